import { EDGE } from '../../constants';
import type { TaskLoad } from '../../load/load';
import { biteLost, keennessNeed } from '../../cutting/work';
import { type EdgeCare, edgeLife, type EdgeLife } from '../../edge/keenness';
import { ramp } from '../../fit/curves';
import type { CookContext } from '../../fit/cook';
import { conditionFactor, type PreparedTask, prepareTask, scoresFor } from '../../fit/score';
import type { BladeTraits } from '../../fit/traits';
import type { Kitchen, Owned } from '../../kitchen/kitchen';
import { rescued, rescues } from '../demand/rescue';
import { type Hand, handsOf, isPooled } from '../demand/hands';
import { looksAtFace, usefulness } from '../demand/usefulness';

/** What blades are scored for: the kitchen's work, its hands, and what it does to edges. */
export interface Scoring {
  loads: readonly TaskLoad[];
  tasks: readonly PreparedTask[];
  hands: readonly Hand[];
  /** By hand and task: 1 where this cook looks at the face of the work. */
  ofFace: Uint8Array;
  care: EdgeCare;
  /** How many work at once and share the minutes. */
  atOnce: number;
  /** Rows carry the mean of the hands behind the hands: more may be at one kind of work than are served each for their own. */
  pooled: boolean;
}

/** What a blade is for this kitchen. */
export interface Scored {
  /** Best score over the hands, 0–100, by task: at the keenness of an average day. */
  scores: Float64Array;
  /** Usefulness by hand and task, their mean by task where it is asked for, then rescue by pressing task: the columns of the demand. */
  usefulness: Float64Array;
  edge: EdgeLife;
}

export const careOf = ({ habits, board }: Kitchen): EdgeCare => ({
  sharpening: habits.sharpening,
  honing: habits.honing,
  roughUse: habits.roughUse,
  visitsPerYear: habits.visitsPerYear,
  sharpenAtMostEveryWeeks: habits.sharpenAtMostEveryWeeks,
  board: board.material,
});

/** What a kitchen's blades are scored for. */
export function scoringOf(kitchen: Kitchen, loads: readonly TaskLoad[], cooks: readonly CookContext[]): Scoring {
  const hands = handsOf(cooks);
  return {
    loads,
    tasks: loads.map(({ task }) => prepareTask(task)),
    hands,
    ofFace: Uint8Array.from(hands.flatMap(({ cook }) => loads.map((load) => Number(looksAtFace(load, cook.cook))))),
    pooled: isPooled(hands, Math.max(kitchen.cooksAtOnce, cooks.length)),
    care: careOf(kitchen),
    atOnce: kitchen.cooksAtOnce,
  };
}

/** Scores with a fresh edge, by hand and task, in one array. */
export function sharpScores(blade: BladeTraits, { tasks, hands }: Pick<Scoring, 'tasks' | 'hands'>): Float64Array {
  const sharp = new Float64Array(hands.length * tasks.length);
  hands.forEach(({ cook }, h) => scoresFor(blade, tasks, cook, sharp, h * tasks.length));
  return sharp;
}

/** Minutes of board work a week that go to a blade: of all it does well, shared among those at work at once. */
function minutesFor(sharp: Float64Array, { loads, hands, atOnce }: Scoring): number {
  const T = loads.length;
  const { from, to } = EDGE.likeWell;
  let minutes = 0;
  for (let t = 0; t < T; t++) {
    let best = 0;
    for (let h = 0; h < hands.length; h++) best = Math.max(best, sharp[h * T + t] ?? 0);
    minutes += (loads[t]?.minutesPerWeek ?? 0) * ramp(best, from.value, to.value);
  }
  return minutes / Math.max(1, atOnce);
}

/** How a blade's edge fares on this kitchen's work. */
export const edgeHere = (blade: BladeTraits, scoring: Scoring, sharp = sharpScores(blade, scoring)): EdgeLife =>
  edgeLife(blade.blade, blade.steel, scoring.care, minutesFor(sharp, scoring));

/** Keenness of an owned knife as it lies in the drawer, 0–1, where its cycle averages `average`. */
export function keennessNow(condition: Owned['condition'], average: number): number {
  if (condition === 'dull') return EDGE.floor.value;
  return condition === 'serviceable' ? Math.min(average, EDGE.serviceable.value) : average;
}

const needs = new WeakMap<readonly TaskLoad[], Float64Array>();

/** What each task asks of the edge, 0–1. */
function needsOf(loads: readonly TaskLoad[]): Float64Array {
  const found = needs.get(loads) ?? new Float64Array(loads.map(({ task }) => keennessNeed(task)));
  needs.set(loads, found);
  return found;
}

/** Turns sharp scores into what the blade is on an average day of some keenness; `left`: what its state leaves, 0–1. */
export function scoredAt(
  sharp: Float64Array,
  keenness: number,
  left: number,
  { loads, hands, pooled, ofFace }: Pick<Scoring, 'loads' | 'hands' | 'pooled' | 'ofFace'>,
): Pick<Scored, 'scores' | 'usefulness'> {
  const T = loads.length;
  const pressing = rescued(loads);
  const scores = new Float64Array(T);
  const people = hands.length * T;
  const rows = new Float64Array(people + (pooled ? T : 0) + pressing.length);
  const asks = needsOf(loads);
  const lost = biteLost(keenness);
  for (let t = 0; t < T; t++) {
    const factor = Math.max(0, 1 - (asks[t] ?? 0) * lost) * left;
    for (let h = 0; h < hands.length; h++) {
      const score = (sharp[h * T + t] ?? 0) * factor;
      const useful = usefulness(score, ofFace[h * T + t] === 1);
      rows[h * T + t] = useful;
      if (pooled) rows[people + t] = (rows[people + t] ?? 0) + (hands[h]?.share ?? 0) * useful;
      if (score > (scores[t] ?? 0)) scores[t] = score;
    }
  }
  pressing.forEach((t, r) => (rows[rows.length - pressing.length + r] = rescues(scores[t] ?? 0)));
  return { scores, usefulness: rows };
}

/** A blade as bought: sharp, then kept as this kitchen keeps its edges. */
export function scored(blade: BladeTraits, scoring: Scoring): Scored {
  const sharp = sharpScores(blade, scoring);
  const edge = edgeHere(blade, scoring, sharp);
  return { ...scoredAt(sharp, edge.averageKeenness, 1, scoring), edge };
}

/** What the damage of an owned knife leaves of its score, 0–1; dullness is told by its keenness. */
export const damageLeft = (condition: Owned['condition']): number =>
  condition === 'chipped' || condition === 'worn-out' ? conditionFactor(condition) : 1;
