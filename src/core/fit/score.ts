import type { Task } from '../cutting/task';
import type { CookContext } from './cook';
import { FIT, PART_WEIGHTS, type PartId } from '../constants';
import { MODE_WORDS, taskModes, type Mode, type ModeId } from './modes';
import type { Part } from './part';
import { flex, release, steer, wedge } from './parts/body';
import { corrosion, edgeSafety, practice } from './parts/care';
import { crust, face, tip } from './parts/edge';
import { clearance, flatSide, handle, inHand, mass, table } from './parts/hold';
import { board, comfort, reach, span } from './parts/length';
import { contact, motion } from './parts/motion';
import type { BladeTraits } from './traits';
import { vetoOf } from './vetoes';
import { scoreWord } from './words';

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
  flatSide,
  table,
  edgeSafety,
  corrosion,
  handle,
  practice,
  comfort,
  board,
];

interface Weighed {
  part: Part;
  weight: number;
}

/** A task made ready for scoring: its modes, each with the parts that apply and their exponents. */
export interface PreparedTask {
  task: Task;
  modes: { mode: Mode; parts: Weighed[]; personal: Weighed[] }[];
  /** What each blade brings to each mode whoever cuts, 0–1: filled as blades are scored. */
  impersonal: WeakMap<BladeTraits, Float64Array>;
}

const prepared = new WeakMap<Task, PreparedTask>();

/** Prepares a task, once per task object. */
export function prepareTask(task: Task): PreparedTask {
  const before = prepared.get(task);
  if (before) return before;
  const modes = (task.instead ? [] : taskModes(task)).map((mode) => {
    const parts = PARTS.flatMap((part) => {
      const weight = PART_WEIGHTS[part.id].value * part.level(task, mode);
      return weight > 0 ? [{ part, weight }] : [];
    });
    return { mode, parts, personal: parts.filter(({ part }) => part.personal) };
  });
  const ready = { task, modes, impersonal: new WeakMap<BladeTraits, Float64Array>() };
  prepared.set(task, ready);
  return ready;
}

/** A value to its exponent, without the power where there is none. */
const raised = (value: number, weight: number) => (value === 1 || weight === 1 ? value : Math.pow(value, weight));

/** The share of each mode's product that is the same for every cook. */
function impersonal(
  blade: BladeTraits,
  { task, modes, impersonal: known }: PreparedTask,
  cook: CookContext,
): Float64Array {
  const before = known.get(blade);
  if (before) return before;
  const products = Float64Array.from(modes, ({ mode, parts }) =>
    parts.reduce(
      (product, { part, weight }) =>
        part.personal ? product : product * raised(part.value(blade, task, cook, mode), weight),
      mode.factor,
    ),
  );
  known.set(blade, products);
  return products;
}

/** Score 0–100 of a blade in its best mode for one cook; 0 where every mode is vetoed. */
export function scoreFor(blade: BladeTraits, ready: PreparedTask, cook: CookContext): number {
  const { task, modes } = ready;
  const products = impersonal(blade, ready, cook);
  let best = 0;
  for (let m = 0; m < modes.length; m++) {
    const each = modes[m];
    let product = products[m] ?? 0;
    // no part lifts a product: once it is behind, it stays behind
    if (!each || product <= best || vetoOf(blade, task, cook, each.mode)) continue;
    for (const { part, weight } of each.personal) {
      product *= raised(part.value(blade, task, cook, each.mode), weight);
      if (product <= best) break;
    }
    best = Math.max(best, product);
  }
  return 100 * best;
}

/** Mean score over the cooks of a kitchen, 0–100. */
export function score(blade: BladeTraits, prepared: PreparedTask, cooks: readonly CookContext[]): number {
  let sum = 0;
  for (const cook of cooks) sum += scoreFor(blade, prepared, cook);
  return cooks.length > 0 ? sum / cooks.length : 0;
}

/** A score taken apart: the mode chosen, each part's value, exponent and sentence, and the veto if there is one. */
export interface Explanation {
  score: number;
  word: string;
  veto: string | null;
  mode: ModeId | null;
  how: string;
  parts: { id: PartId; name: string; value: number; weight: number; why: string }[];
}

function explainFor(blade: BladeTraits, prepared: PreparedTask, cook: CookContext): Explanation {
  const { task } = prepared;
  if (task.instead) return refused(task.instead);
  if (prepared.modes.length === 0) return refused(toolWords(task));
  const open = prepared.modes.filter(({ mode }) => !vetoOf(blade, task, cook, mode));
  if (open.length === 0) {
    const first = prepared.modes[0];
    return refused((first && vetoOf(blade, task, cook, first.mode)) ?? 'Not to be used for this.');
  }
  let best = {
    score: -1,
    mode: open[0]?.mode,
    parts: [] as PreparedTask['modes'][number]['parts'],
    values: [] as number[],
  };
  for (const { mode, parts } of open) {
    const values = parts.map(({ part }) => part.value(blade, task, cook, mode));
    const score = 100 * parts.reduce((product, { weight }, i) => product * raised(values[i] ?? 1, weight), mode.factor);
    if (score > best.score) best = { score, mode, parts, values };
  }
  const { score, mode, parts, values } = best;
  if (!mode) return refused('Not to be used for this.');
  return {
    score,
    word: scoreWord(score, null),
    veto: null,
    mode: mode.id,
    how: MODE_WORDS[mode.id],
    parts: parts.map(({ part, weight }, i) => {
      const value = values[i] ?? 1;
      return { id: part.id, name: part.name, value, weight, why: part.why(blade, task, cook, mode, value) };
    }),
  };
}

const refused = (veto: string): Explanation => ({
  score: 0,
  word: scoreWord(0, veto),
  veto,
  mode: null,
  how: '',
  parts: [],
});

function toolWords(task: Task): string {
  return `No knife for this: use ${Object.keys(task.tools).join(' or ').replace(/-/g, ' ')}.`;
}

/**
 * Explains a score. With several cooks the score is their mean and the parts are those of the cook who fares worst;
 * a veto stands only when it stands for all of them.
 */
export function explain(blade: BladeTraits, prepared: PreparedTask, cooks: readonly CookContext[]): Explanation {
  const each = cooks.map((cook) => explainFor(blade, prepared, cook));
  const allowed = each.filter((e) => e.veto === null);
  const shown = (allowed.length > 0 ? allowed : each).reduce((a, b) => (b.score < a.score ? b : a));
  if (allowed.length === 0 || each.length === 1) return shown;
  const mean = each.reduce((sum, e) => sum + e.score, 0) / each.length;
  return { ...shown, score: mean, word: scoreWord(mean, null) };
}

/** What the state of an owned knife leaves of its score, 0–1. */
export function conditionFactor(condition: 'keen' | 'serviceable' | 'dull' | 'chipped' | 'worn-out'): number {
  const c = FIT.condition;
  return condition === 'worn-out' ? c.wornOut.value : c[condition].value;
}
