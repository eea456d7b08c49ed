import { toolScores } from '../candidates/tools';
import type { Candidate } from '../candidates/candidate';
import type { PlanningContext } from '../context/planningContext';

/** A task of the kitchen with its share of the weight, and what serves it best once the plan is carried out. */
export interface Served {
  task: string;
  /** Share of the kitchen's weight, 0–1. */
  share: number;
  minutesPerWeek: number;
  /** Best score, 0–100. */
  score: number;
  /** Index into the steps, or into the owned knives, or the tool; null where nothing may do it. */
  by: { step: number } | { owned: number } | { tool: string } | null;
}

/** Everything that serves once some steps are taken: owned knives, owned tools, the steps. A knife put right stands for its dull self. */
export function serversOf(
  context: PlanningContext,
  steps: readonly Candidate[],
): { by: NonNullable<Served['by']>; scores: Float64Array }[] {
  const replaced = new Set(steps.flatMap((s) => (s.owned === null ? [] : [s.owned])));
  return [
    ...context.owned.flatMap(({ scores }, owned) => (replaced.has(owned) ? [] : [{ by: { owned }, scores }])),
    ...context.kitchen.tools.map((tool) => ({ by: { tool }, scores: toolScores(tool, context.loads) })),
    ...steps.map(({ scores }, step) => ({ by: { step }, scores })),
  ];
}

/** Shares evenly among the copies of one step what goes to any of them. */
function sharedByCopies(steps: readonly Candidate[], minutes: readonly number[]): number[] {
  const all = new Map<Candidate, { minutes: number; pieces: number }>();
  steps.forEach((step, i) => {
    const before = all.get(step) ?? { minutes: 0, pieces: 0 };
    all.set(step, { minutes: before.minutes + (minutes[i] ?? 0), pieces: before.pieces + 1 });
  });
  return steps.map((step) => {
    const { minutes: sum = 0, pieces = 1 } = all.get(step) ?? {};
    return sum / pieces;
  });
}

/** Minutes a week that go to each of the steps and of the owned knives once all steps are carried out; copies of one model share theirs. */
export function minutesServedBy(
  context: PlanningContext,
  steps: readonly Candidate[],
): { steps: number[]; owned: number[] } {
  const minutes = { steps: steps.map(() => 0), owned: context.owned.map(() => 0) };
  const add = (to: number[], at: number, more: number) => (to[at] = (to[at] ?? 0) + more);
  const servers = serversOf(context, steps);
  bestServers(context, servers).forEach((at, t) => {
    const by = servers[at]?.by;
    const { minutesPerWeek = 0, weight = 0 } = context.loads[t] ?? {};
    if (!by || weight <= 0) return;
    if ('owned' in by) add(minutes.owned, by.owned, minutesPerWeek);
    if (!('step' in by)) return;
    // a knife put right is the owned one again
    const put = steps[by.step]?.owned ?? null;
    add(minutes.steps, by.step, minutesPerWeek);
    if (put !== null) add(minutes.owned, put, minutesPerWeek);
  });
  return { ...minutes, steps: sharedByCopies(steps, minutes.steps) };
}

/** Minutes a week that go to each of the steps once all are carried out. */
export const minutesServed = (context: PlanningContext, steps: readonly Candidate[]): number[] =>
  minutesServedBy(context, steps).steps;

/** By task the server it goes to, by index: owned ones first among equals; −1 where nothing may do it. */
function bestServers({ loads }: PlanningContext, servers: readonly { scores: Float64Array }[]): Int32Array {
  const best = new Int32Array(loads.length).fill(-1);
  const most = new Float64Array(loads.length);
  servers.forEach(({ scores }, i) => {
    for (let t = 0; t < best.length; t++) {
      const score = scores[t] ?? 0;
      if (score <= (most[t] ?? 0)) continue;
      best[t] = i;
      most[t] = score + 0.5;
    }
  });
  return best;
}

/** Which knife or tool every task goes to; owned ones first among equals. Tasks of one server stand together, heaviest server first. */
export function servedBy(context: PlanningContext, steps: readonly Candidate[]): Served[] {
  const servers = serversOf(context, steps);
  const total = context.problem.demand.total;
  const best = bestServers(context, servers);
  const served = context.loads.map((load, t) => {
    const at = best[t] ?? -1;
    const server = servers[at];
    return {
      at,
      task: load.task.id,
      share: total > 0 ? load.weight / total : 0,
      minutesPerWeek: load.minutesPerWeek,
      score: server?.scores[t] ?? 0,
      by: server?.by ?? null,
    };
  });
  const weights = servers.map((_, at) => served.reduce((sum, s) => sum + (s.at === at ? s.share : 0), 0));
  const weight = (at: number) => weights[at] ?? -1;
  return served
    .filter(({ share }) => share > 0)
    .sort((a, b) => weight(b.at) - weight(a.at) || a.at - b.at || b.share - a.share)
    .map(({ task, share, minutesPerWeek, score, by }) => ({ task, share, minutesPerWeek, score, by }));
}
