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

/** A task made ready for scoring: its modes, each with the parts that apply and their exponents. */
export interface PreparedTask {
  task: Task;
  modes: { mode: Mode; parts: { part: Part; weight: number }[] }[];
}

/** Prepares a task. `tweak` multiplies a part's exponent, for asking how sure a plan is. */
export function prepareTask(task: Task, tweak: Partial<Record<PartId, number>> = {}): PreparedTask {
  const modes = task.instead ? [] : taskModes(task);
  return {
    task,
    modes: modes.map((mode) => ({
      mode,
      parts: PARTS.flatMap((part) => {
        const weight = PART_WEIGHTS[part.id].value * part.level(task, mode) * (tweak[part.id] ?? 1);
        return weight > 0 ? [{ part, weight }] : [];
      }),
    })),
  };
}

/** A value to its exponent, without the power where there is none. */
const raised = (value: number, weight: number) => (value === 1 || weight === 1 ? value : Math.pow(value, weight));

/** Points 0–100 of a blade in one mode, vetoes aside. */
function modePoints(
  blade: BladeTraits,
  { task }: PreparedTask,
  cook: CookContext,
  { mode, parts }: PreparedTask['modes'][number],
): number {
  let product = mode.factor;
  for (const { part, weight } of parts) {
    const value = part.value(blade, task, cook, mode);
    product *= raised(value, weight);
  }
  return 100 * product;
}

/** Score 0–100 of a blade in its best mode for one cook; 0 where every mode is vetoed. */
export function scoreFor(blade: BladeTraits, prepared: PreparedTask, cook: CookContext): number {
  let best = 0;
  for (const each of prepared.modes) {
    if (vetoOf(blade, prepared.task, cook, each.mode)) continue;
    best = Math.max(best, modePoints(blade, prepared, cook, each));
  }
  return best;
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
