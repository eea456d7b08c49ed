import type { Task } from '../cutting/task';
import { type CookContext, sameAnyWeek } from './cook';
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
  /** The parts that rest on the cook, in groups shared with other tasks: those that hold in any week, and those of a certain week. */
  lasting: Groups;
  ofWeek: Groups;
}

interface Groups {
  each: readonly Group[];
  /** Where what each leaves stands in tables. */
  places: Int32Array;
}

/** A task made ready for scoring. */
export interface PreparedTask {
  /** Which of all tasks ever prepared: where its figures stand in tables. */
  index: number;
  task: Task;
  modes: PreparedMode[];
}

/** Parts whose product is the same for every task that is done the same way and in which they see the same. */
interface Group {
  index: number;
  mode: Mode;
  parts: Weighed[];
}

const groups = new Map<string, Group>();
const prepared = new WeakMap<Task, PreparedTask>();
let preparedSoFar = 0;

function groupOf(task: Task, mode: Mode, parts: Weighed[]): Group {
  const seen = parts.map(({ part, weight }) => [part.id, weight, part.restsOn === 'both' && part.sees(task, mode)]);
  const key = JSON.stringify([mode.id, mode.long, mode.motions, seen]);
  const group = groups.get(key) ?? { index: groups.size, mode, parts };
  groups.set(key, group);
  return group;
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
    const groupsOf = (resting: Weighed[]): Groups => {
      const alone = resting.filter(({ part }) => part.restsOn === 'cook');
      const seeing = resting.filter(({ part }) => part.restsOn === 'both').map((each) => [each]);
      const each = [alone, ...seeing].filter((some) => some.length > 0).map((some) => groupOf(task, mode, some));
      return { each, places: new Int32Array(each.map(({ index }) => index)) };
    };
    const ofWeek = parts.filter(({ part }) => part.ofWeek);
    return {
      mode,
      parts,
      lasting: groupsOf(parts.filter((each) => !ofWeek.includes(each))),
      ofWeek: groupsOf(ofWeek),
    };
  });
  const ready = { index: preparedSoFar++, task, modes };
  prepared.set(task, ready);
  return ready;
}

/** A value to its exponent, without the power where there is none. */
export const raised = (value: number, weight: number) =>
  value === 1 || weight === 1 ? value : Math.pow(value, weight);

/** What the parts that rest on the task alone leave of each way, its own cost included; 0 where it is unsafe for anyone. */
function leftByTask(blade: BladeTraits, { index, task, modes }: PreparedTask, cook: CookContext): Float64Array {
  const before = blade.forTask[index];
  if (before) return before;
  const left = new Float64Array(
    modes.map(({ mode, parts }) =>
      parts.reduce(
        (product, { part, weight }) =>
          part.restsOn === 'task' ? product * raised(part.value(blade, task, cook, mode), weight) : product,
        unsafeForAnyone(blade, task, mode) ? 0 : mode.factor,
      ),
    ),
  );
  blade.forTask[index] = left;
  return left;
}

/** What has been worked out of a blade for a cook, NaN elsewhere: what the groups of parts leave, and whole scores by task. */
interface Known {
  /** Shared by all weeks of the cook. */
  lasting: Float64Array;
  ofWeek: Float64Array;
  scores: Float64Array;
  /** Whether the cook does nothing with it whatever the task, and whether no board work. */
  isBarred: boolean;
  isBarredOnBoard: boolean;
  /** What the cook measured with it, by task. */
  measured: CookContext['measured'][string] | undefined;
}

/** What is known of each blade goes with the cook, or with the cook in any week. */
const byCooks = new WeakMap<CookContext, Map<BladeTraits, Known>>();
const inAnyWeek = new WeakMap<object, Map<BladeTraits, Float64Array>>();

/** A table of so many figures, with those of a smaller one. */
function widened(before: Float64Array | undefined, size: number): Float64Array {
  if (before && before.length >= size) return before;
  const wide = new Float64Array(size).fill(NaN);
  if (before) wide.set(before);
  return wide;
}

/** What groups that hold in any week leave of a blade. */
function lastingFor(blade: BladeTraits, cook: CookContext): Float64Array {
  const anyWeek = sameAnyWeek(cook);
  const blades = inAnyWeek.get(anyWeek) ?? new Map<BladeTraits, Float64Array>();
  const known = widened(blades.get(blade), groups.size);
  inAnyWeek.set(anyWeek, blades.set(blade, known));
  return known;
}

function knownForCook(blade: BladeTraits, cook: CookContext): Known {
  const blades = byCooks.get(cook) ?? new Map<BladeTraits, Known>();
  const before = blades.get(blade);
  if (before && before.ofWeek.length >= groups.size && before.scores.length >= preparedSoFar) return before;
  const known = {
    lasting: lastingFor(blade, cook),
    ofWeek: widened(before?.ofWeek, groups.size),
    scores: widened(before?.scores, preparedSoFar),
    isBarred: (leftFor(blade, cook) ?? barredFor(blade, cook)) !== null,
    isBarredOnBoard: barredOnBoard(blade, cook) !== null,
    measured: cook.measured[blade.blade.id],
  };
  byCooks.set(cook, blades.set(blade, known));
  return known;
}

/** What a group of parts leaves, worked out for the first task that asks. */
function leftByGroup(blade: BladeTraits, task: Task, cook: CookContext, { mode, parts }: Group): number {
  let product = 1;
  for (const { part, weight } of parts) product *= raised(part.value(blade, task, cook, mode), weight);
  return product;
}

/** The score of a blade in its best mode, 0–1. */
function bestMode(blade: BladeTraits, ready: PreparedTask, cook: CookContext, known: Known): number {
  const { task, modes } = ready;
  const byTask = leftByTask(blade, ready, cook);
  let best = 0;
  for (let m = 0; m < modes.length; m++) {
    const each = modes[m];
    const left = byTask[m] ?? 0;
    // no part lifts a product: once it is behind, it stays behind
    if (!each || left <= best || (known.isBarredOnBoard && each.mode.id === 'board')) continue;
    const product =
      left *
      productOf(each.lasting, known.lasting, blade, task, cook) *
      productOf(each.ofWeek, known.ofWeek, blade, task, cook);
    if (product > best) best = product;
  }
  return best;
}

/** What groups leave together; what is not known yet is worked out into their table. */
function productOf(
  { each, places }: Groups,
  table: Float64Array,
  blade: BladeTraits,
  task: Task,
  cook: CookContext,
): number {
  let product = 1;
  for (let k = 0; k < places.length; k++) {
    const place = places[k] ?? 0;
    let left = table[place] ?? NaN;
    // NaN alone is not equal to itself
    if (left !== left) {
      const group = each[k];
      left = table[place] = group ? leftByGroup(blade, task, cook, group) : 1;
    }
    product *= left;
  }
  return product;
}

function scoreKnowing(blade: BladeTraits, ready: PreparedTask, cook: CookContext, known: Known): number {
  const before = known.scores[ready.index] ?? NaN;
  if (!Number.isNaN(before)) return before;
  const best = known.isBarred ? 0 : bestMode(blade, ready, cook, known);
  const score = known.measured ? withMeasured(100 * best, known.measured[ready.task.id]) : 100 * best;
  known.scores[ready.index] = score;
  return score;
}

/** Score 0–100 of a blade in its best mode for one cook; 0 where every mode is vetoed. Worked out once for each cook, task and blade. */
export const scoreFor = (blade: BladeTraits, ready: PreparedTask, cook: CookContext): number =>
  scoreKnowing(blade, ready, cook, knownForCook(blade, cook));

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
    if (ready) row[at + t] = scoreKnowing(blade, ready, cook, known);
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
