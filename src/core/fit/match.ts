import type { TaskLoad } from '../load/load';
import { keptByKeenness } from '../cutting/work';
import type { EdgeLife } from '../edge/keenness';
import type { CookContext } from './cook';
import { explain, type Explanation } from './explain';
import { score, type PreparedTask } from './score';
import { whatMakesWorse } from './whatMakesWorse';
import type { BladeTraits } from './traits';

/** Every blade at every task: scores row by row of blades, 0–100, and the share of the kitchen's cutting each blade does well. */
export interface MatchMatrix {
  blades: number;
  tasks: number;
  /** Score of blade b at task t: `scores[b * tasks + t]`. */
  scores: Float32Array;
  /** 1 where nobody here may do it. */
  refused: Uint8Array;
  /** What each blade alone would cover of the kitchen's weighted cutting, 0–1. */
  worth: Float32Array;
}

/** The work blades are matched with: tasks, each with its weight here (0 for what is never done), and who does them. */
export interface MatchedWork {
  tasks: readonly PreparedTask[];
  cooks: readonly CookContext[];
  weights: readonly number[];
}

/** Scores every blade at every task, as it is on an average day where an edge's life is given by blade. `useful` turns a score into its worth. */
export function matchMatrix(
  { tasks, cooks, weights }: MatchedWork,
  blades: readonly BladeTraits[],
  edges: readonly (EdgeLife | null)[],
  useful: (score: number) => number,
): MatchMatrix {
  const scores = new Float32Array(blades.length * tasks.length);
  const refused = new Uint8Array(scores.length);
  const worth = new Float32Array(blades.length);
  const total = weights.reduce((a, b) => a + b, 0);
  blades.forEach((blade, b) => {
    let sum = 0;
    tasks.forEach((task, t) => {
      const edge = edges[b];
      const points = score(blade, task, cooks) * (edge ? keptByKeenness(task.task, edge.averageKeenness) : 1);
      scores[b * tasks.length + t] = points;
      if (points === 0) refused[b * tasks.length + t] = 1;
      sum += (weights[t] ?? 0) * useful(points);
    });
    worth[b] = total > 0 ? sum / total : 0;
  });
  return { blades: blades.length, tasks: tasks.length, scores, refused, worth };
}

/** A task's blades from the best down, each with what holds it back against the best. */
export function rankBlades(
  task: PreparedTask,
  blades: readonly BladeTraits[],
  cooks: readonly CookContext[],
  most: number,
  edgeOf: (blade: BladeTraits) => EdgeLife | null = () => null,
): { blade: BladeTraits; explanation: Explanation; heldBack: ReturnType<typeof whatMakesWorse> }[] {
  const ranked = blades
    .map((blade) => {
      const edge = edgeOf(blade);
      return {
        blade,
        edge,
        points: score(blade, task, cooks) * (edge ? keptByKeenness(task.task, edge.averageKeenness) : 1),
      };
    })
    .filter(({ points }) => points > 0)
    .sort((a, b) => b.points - a.points || (a.blade.blade.id < b.blade.blade.id ? -1 : 1))
    .slice(0, most)
    .map(({ blade, edge }) => ({ blade, explanation: explain(blade, task, cooks, edge) }));
  const [best] = ranked;
  return ranked.map((each) => ({
    ...each,
    heldBack: best && each !== best ? whatMakesWorse(best.explanation, each.explanation) : null,
  }));
}

/** What a blade is made for and what it must never do, over a set of tasks; most weight first. */
export function characterOf(
  blade: BladeTraits,
  tasks: readonly PreparedTask[],
  cooks: readonly CookContext[],
  loads: ReadonlyMap<string, TaskLoad>,
  edge: EdgeLife | null = null,
): { madeFor: { task: string; score: number }[]; never: { task: string; why: string }[] } {
  const weight = (id: string) => loads.get(id)?.weight ?? 0;
  const judged = tasks.map((task) => ({
    id: task.task.id,
    tool: task.modes.length === 0,
    e: explain(blade, task, cooks, edge),
  }));
  return {
    madeFor: judged
      .filter(({ e }) => e.score >= 70)
      .sort((a, b) => weight(b.id) - weight(a.id) || b.e.score - a.e.score)
      .map(({ id, e }) => ({ task: id, score: Math.floor(e.score) })),
    never: judged.flatMap(({ id, tool, e }) => (e.veto && !tool ? [{ task: id, why: e.veto }] : [])),
  };
}
