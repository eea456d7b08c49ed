import { PART_WEIGHTS, type PartId } from '../constants';
import type { Task } from '../cutting/task';
import { keptByKeenness } from '../cutting/work';
import type { EdgeLife } from '../edge/keenness';
import type { CookContext } from './cook';
import { type Measured, withMeasured } from './measuredScore';
import { MODE_WORDS, type ModeId } from './modes';
import { type PreparedTask, raised } from './score';
import type { BladeTraits } from './traits';
import { vetoOf } from './vetoes';
import { scoreWord } from './words';

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
  const told = parts.flatMap(({ part, weight }, i) => {
    if (part.tells?.(blade, cook) === false) return [];
    const value = values[i] ?? 1;
    return [{ id: part.id, name: part.name, value, weight, why: part.why(blade, task, cook, mode, value) }];
  });
  const found = cook.measured[blade.blade.id]?.[task.id];
  const mixed = withMeasured(score, found);
  return {
    score: mixed,
    word: scoreWord(mixed, null),
    veto: null,
    mode: mode.id,
    how: MODE_WORDS[mode.id],
    parts: found && score > 0 ? [...told, measuredPart(found, score)] : told,
  };
}

/** What a trial on food made of a computed score; the only part that may lift it above 1. */
function measuredPart({ score, weight, trials }: Measured, computed: number): Explanation['parts'][number] {
  return {
    id: 'measured',
    name: 'Measured',
    value: withMeasured(computed, { score, weight, trials }) / computed,
    weight: PART_WEIGHTS.measured.value,
    why: `${trials === 1 ? 'One trial' : `${trials} trials`} on food found ${Math.round(score)} where the figures say ${Math.round(computed)}; the trials count ${Math.round(100 * weight)} %.`,
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
 * Explains a score, for the cook whom the blade suits best; a veto stands only when it stands for all of them. With an edge's life in this
 * kitchen the score is that of an average day, and its keenness is one of the parts.
 */
export function explain(
  blade: BladeTraits,
  prepared: PreparedTask,
  cooks: readonly CookContext[],
  edge: EdgeLife | null = null,
): Explanation {
  const sharp = cooks
    .map((cook) => explainFor(blade, prepared, cook))
    .reduce((a, b) => (b.veto === null && (a.veto !== null || b.score > a.score) ? b : a));
  if (!edge || sharp.veto !== null) return sharp;
  const value = keptByKeenness(prepared.task, edge.averageKeenness);
  const score = sharp.score * value;
  const part = {
    id: 'keenness' as const,
    name: 'Keenness',
    value,
    weight: PART_WEIGHTS.keenness.value,
    why: keennessWords(edge, value),
  };
  return { ...sharp, score, word: scoreWord(score, null), parts: [...sharp.parts, part] };
}

function keennessWords({ halfLifeMinutes, averageKeenness, sharpenEveryWeeks }: EdgeLife, value: number): string {
  const kept =
    sharpenEveryWeeks === null
      ? 'never sharpened'
      : `sharpened every ${sharpenEveryWeeks < 8 ? `${Math.max(1, Math.round(sharpenEveryWeeks))} weeks` : `${Math.round(sharpenEveryWeeks / 4.33)} months`}`;
  const felt =
    value >= 0.97 ? 'keen enough for this' : value >= 0.88 ? 'a little is lost' : 'too dull for this on most days';
  return `Half of its keenness goes in ${Math.round(halfLifeMinutes)} min of work; ${kept} it averages ${Math.round(100 * averageKeenness)} of 100: ${felt}.`;
}
