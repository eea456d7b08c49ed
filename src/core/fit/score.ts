import type { Task } from '../cutting/task';
import type { CookContext } from './cook';
import { lately } from '../text/lately';
import { FIT, PART_WEIGHTS } from '../constants';
import { withMeasured } from './measuredScore';
import { taskModes, type Mode } from './modes';
import type { Part } from './part';
import { body, flex, joint, release, steer, wedge } from './parts/body';
import { corrosion, edgeSafety, practice } from './parts/care';
import { crust, face, tip } from './parts/edge';
import { clearance, flatSide, handle, inHand, mass, table } from './parts/hold';
import { board, comfort, reach, span } from './parts/length';
import { felt } from './parts/felt';
import { contact, motion } from './parts/motion';
import type { BladeTraits } from './traits';
import { barredFor, barredOnBoard, leftFor, unsafeForAnyone } from './vetoes';

/** Every part of the score, in the order they are shown. */
export const PARTS: readonly Part[] = [
  reach,
  span,
  contact,
  motion,
  clearance,
  inHand,
  tip,
  wedge,
  mass,
  face,
  crust,
  steer,
  release,
  flex,
  joint,
  body,
  flatSide,
  table,
  edgeSafety,
  corrosion,
  handle,
  practice,
  comfort,
  board,
  felt,
];

interface Weighed {
  part: Part;
  weight: number;
}

/** A way of doing a task with the parts that apply and their exponents. */
interface PreparedMode {
  mode: Mode;
  parts: Weighed[];
  /** Of these the parts that rest on the task alone, and on the cook. */
  ofTask: readonly Weighed[];
  ofCook: Factors;
  /** Which of all ways ever prepared: where its figures stand in tables. */
  index: number;
}

/** Parts that rest on the cook. What each leaves of a blade stands in a table, in a place for every way and every task in which it sees something else. */
interface Factors {
  each: readonly Weighed[];
  /** Which of {@link ASPECTS} they read, and where in its tables they stand. */
  aspects: Int32Array;
  places: Int32Array;
}

/** What is read of a cook, by how often it changes; what changes most comes first. */
const ASPECTS = (['hand', 'week', undefined] as const).map((aspect) =>
  PARTS.flatMap((part) => (part.restsOn === 'task' || part.changes !== aspect ? [] : [part])),
);

/** A task made ready for scoring. */
export interface PreparedTask {
  /** Which of all tasks ever prepared: where its figures stand in tables. */
  index: number;
  task: Task;
  modes: PreparedMode[];
}

/** By aspect of cooks: the places of its tables, by part, by what it sees and by how strongly it counts. */
const placesOf = ASPECTS.map(() => new Map<string, number>());

const prepared = new WeakMap<Task, PreparedTask>();
let preparedSoFar = 0;
let waysSoFar = 0;

/** The parts that rest on the cook, of a task done in a way, what changes most first. */
function factorsOf(task: Task, mode: Mode, parts: readonly Weighed[]): Factors {
  const each = ASPECTS.flatMap((aspect, a) =>
    parts.flatMap((weighed) => {
      const { part, weight } = weighed;
      if (!aspect.some(({ id }) => id === part.id)) return [];
      const seen = part.restsOn === 'both' ? part.sees(task, mode) : [];
      const key = JSON.stringify([part.id, mode.id, mode.long, mode.motions, weight, seen]);
      const places = placesOf[a];
      const place = places?.get(key) ?? places?.size ?? 0;
      places?.set(key, place);
      return [{ weighed, a, place }];
    }),
  );
  return {
    each: each.map(({ weighed }) => weighed),
    aspects: new Int32Array(each.map(({ a }) => a)),
    places: new Int32Array(each.map(({ place }) => place)),
  };
}

/** Prepares a task, once per task object. */
export function prepareTask(task: Task): PreparedTask {
  const before = prepared.get(task);
  if (before) return before;
  const modes = (task.instead ? [] : taskModes(task)).map((mode) => {
    const parts = PARTS.flatMap((part) => {
      const weight = PART_WEIGHTS[part.id].value * part.level(task, mode);
      return weight > 0 ? [{ part, weight }] : [];
    });
    const ofTask = parts.filter(({ part }) => part.restsOn === 'task');
    return { mode, parts, ofTask, ofCook: factorsOf(task, mode, parts), index: waysSoFar++ };
  });
  const ready = { index: preparedSoFar++, task, modes };
  prepared.set(task, ready);
  return ready;
}

/** A value to its exponent, without the power where there is none. */
export const raised = (value: number, weight: number) =>
  value === 1 || weight === 1 ? value : Math.pow(value, weight);

/** What has been worked out of a blade for a cook, NaN elsewhere. */
interface Known {
  blade: BladeTraits;
  cook: CookContext;
  /** By aspect of cooks: what each part leaves, raised to its exponent. Shared by cooks who agree in what is read of them. */
  tables: readonly Float64Array[];
  /** Whole scores by task. */
  scores: Float64Array;
  /** How many tasks had been prepared when the tables were laid out. */
  preparedThen: number;
  /** Whether the cook does nothing with it whatever the task, and whether no board work. */
  isBarred: boolean;
  isBarredOnBoard: boolean;
  /** What the cook measured with it, by task. */
  measured: CookContext['measured'][string] | undefined;
}

type Tables = WeakMap<BladeTraits, Float64Array>;

const byCooks = new WeakMap<CookContext, { tables: readonly Tables[]; blades: WeakMap<BladeTraits, Known> }>();

/** By aspect: the tables for as many different readings of cooks. */
const latest = ASPECTS.map(() => lately<Tables>(16));

/** What is known for a cook. */
function knownFor(cook: CookContext) {
  const before = byCooks.get(cook);
  if (before) return before;
  const tables = ASPECTS.flatMap((parts, a) => {
    const reading = JSON.stringify(parts.map((part) => part.reads(cook)));
    return latest[a]?.(reading, () => new WeakMap()) ?? [];
  });
  const known = { tables, blades: new WeakMap<BladeTraits, Known>() };
  byCooks.set(cook, known);
  return known;
}

/** A table of so many figures, with those of a smaller one. */
function widened(before: Float64Array | undefined, size: number): Float64Array {
  if (before && before.length >= size) return before;
  const wide = new Float64Array(size).fill(NaN);
  if (before) wide.set(before);
  return wide;
}

/** The tables of a blade, one an aspect. */
const tablesOf = (blade: BladeTraits, tables: readonly Tables[]): Float64Array[] =>
  tables.map((byBlade, a) => {
    const table = widened(byBlade.get(blade), placesOf[a]?.size ?? 0);
    byBlade.set(blade, table);
    return table;
  });

function knownForCook(blade: BladeTraits, cook: CookContext): Known {
  const { tables, blades } = knownFor(cook);
  const before = blades.get(blade);
  if (before?.preparedThen === preparedSoFar) return before;
  const known = {
    blade,
    cook,
    tables: tablesOf(blade, tables),
    scores: widened(before?.scores, preparedSoFar),
    preparedThen: preparedSoFar,
    isBarred: (leftFor(blade, cook) ?? barredFor(blade, cook)) !== null,
    isBarredOnBoard: barredOnBoard(blade, cook) !== null,
    measured: cook.measured[blade.blade.id],
  };
  blades.set(blade, known);
  return known;
}

/** What the parts that rest on the task alone leave of a way, its own cost included; 0 where it is unsafe for anyone. */
function leftByTask({ blade, cook }: Known, { mode, ofTask, index }: PreparedMode, task: Task): number {
  const before = blade.byWay[index] ?? NaN;
  // NaN alone is not equal to itself
  if (before === before) return before;
  let left = unsafeForAnyone(blade, task, mode) ? 0 : mode.factor;
  for (const { part, weight } of ofTask) left *= raised(part.value(blade, task, cook, mode), weight);
  blade.byWay = widened(blade.byWay, waysSoFar);
  blade.byWay[index] = left;
  return left;
}

/** The score of a blade in its best mode, 0–1. */
function bestMode(ready: PreparedTask, known: Known): number {
  const { task, modes } = ready;
  let best = 0;
  for (let m = 0; m < modes.length; m++) {
    const each = modes[m];
    if (!each || (known.isBarredOnBoard && each.mode.id === 'board')) continue;
    const left = leftByTask(known, each, task);
    // no part lifts a product: once it is behind, it stays behind
    if (left <= best) continue;
    best = Math.max(best, leftByCook(left, best, each, known, task));
  }
  return best;
}

/** What the parts that rest on the cook leave of what those of the task left, as long as it is more than `enough`; what is not known yet is worked out. */
function leftByCook(
  byTask: number,
  enough: number,
  { mode, ofCook: { each, aspects, places } }: PreparedMode,
  { blade, cook, tables }: Known,
  task: Task,
): number {
  let left = byTask;
  for (let k = 0; k < places.length && left > enough; k++) {
    const table = tables[aspects[k] ?? 0];
    const place = places[k] ?? 0;
    let value = table?.[place] ?? NaN;
    if (value !== value) {
      const weighed = each[k];
      value = weighed ? raised(weighed.part.value(blade, task, cook, mode), weighed.weight) : 1;
      if (table) table[place] = value;
    }
    left *= value;
  }
  return left;
}

function scoreKnowing(ready: PreparedTask, known: Known): number {
  const before = known.scores[ready.index] ?? NaN;
  if (!Number.isNaN(before)) return before;
  const best = known.isBarred ? 0 : bestMode(ready, known);
  const score = known.measured ? withMeasured(100 * best, known.measured[ready.task.id]) : 100 * best;
  known.scores[ready.index] = score;
  return score;
}

/** Score 0–100 of a blade in its best mode for one cook; 0 where every mode is vetoed. Worked out once for each cook, task and blade. */
export const scoreFor = (blade: BladeTraits, ready: PreparedTask, cook: CookContext): number =>
  scoreKnowing(ready, knownForCook(blade, cook));

/** {@link scoreFor} of many tasks, written into a row from `at` on. */
export function scoresFor(
  blade: BladeTraits,
  tasks: readonly PreparedTask[],
  cook: CookContext,
  row: Float64Array,
  at: number,
): void {
  const known = knownForCook(blade, cook);
  for (let t = 0; t < tasks.length; t++) {
    const ready = tasks[t];
    if (ready) row[at + t] = scoreKnowing(ready, known);
  }
}

/** Score of a fresh edge for the cook of a kitchen whom the blade suits best, 0–100: everyone takes the knife of their own hand. */
export function score(blade: BladeTraits, prepared: PreparedTask, cooks: readonly CookContext[]): number {
  let best = 0;
  for (const cook of cooks) best = Math.max(best, scoreFor(blade, prepared, cook));
  return best;
}

/** What chips or wear leave of the score of an owned knife, 0–1. */
export const conditionFactor = (condition: 'chipped' | 'worn-out'): number =>
  condition === 'worn-out' ? FIT.condition.wornOut.value : FIT.condition.chipped.value;
