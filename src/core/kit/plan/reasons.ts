import { SCORE_WORDS } from '../../constants';
import type { TaskLoad } from '../../load/load';
import { explain } from '../../fit/explain';
import { whatMakesWorse } from '../../fit/whatMakesWorse';
import { type BladeTraits, isReactive } from '../../fit/traits';
import type { LengthBand } from '../../formats/planFile';
import { workingLengthMm } from '../../fit/parts/length';
import { showMoney } from '../../money/currency';
import type { Candidate } from '../candidates/candidate';
import { isAllRound } from '../candidates/kinds';
import { isSound } from '../candidates/owned';
import type { PlanningContext } from '../context/planningContext';
import { lowerFirst } from '../../text/case';
import { figure } from '../../text/figure';

/** Below this a task is badly served, from this on done well (handbook 4, words for scores). */
const { manages, doesItWell, struggles, madeForIt } = SCORE_WORDS;

/** Tasks a step's knife does better than anything that was there before, most minutes first. */
export function takenOver(
  context: PlanningContext,
  step: Candidate,
  before: Float64Array,
): { load: TaskLoad; index: number; score: number; was: number }[] {
  return context.loads
    .map((load, index) => ({ load, index, score: step.scores[index] ?? 0, was: before[index] ?? 0 }))
    .filter(({ load, score, was }) => load.weight > 0 && score > was + 0.5 && score >= struggles.value)
    .sort((a, b) => b.load.minutesPerWeek - a.load.minutesPerWeek || a.index - b.index);
}

/** Mean of the cooks' wanted bands, with each one's reasons. */
export function lengthWanted(context: PlanningContext): LengthBand {
  const bands = context.cooks.map((cook) => ({ name: cook.cook.name, band: cook.length }));
  const mean = (pick: (band: LengthBand) => number) =>
    Math.round(bands.reduce((sum, { band }) => sum + pick(band), 0) / bands.length);
  return {
    fromMm: mean((b) => b.fromMm),
    toMm: mean((b) => b.toMm),
    why:
      bands.length === 1
        ? (bands[0]?.band.why ?? [])
        : bands.map(({ name, band }) => `${name}: ${band.fromMm}–${band.toMm} mm. ${band.why.join(' ')}`),
  };
}

const list = (words: string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;

/** Joins task names into running text: "slice carrots, dice onions and mince herbs". */
export function taskNames(loads: readonly TaskLoad[], most = 4): string {
  const names = loads.slice(0, most).map(({ task }) => lowerFirst(task.name));
  return list(loads.length > most ? [...names, `${loads.length - most} more`] : names);
}

/** Why a step is in the plan: sentences with their figures. */
export function reasonsFor(
  context: PlanningContext,
  step: Candidate,
  before: Float64Array,
  { gain, priceMinor, earlier }: { gain: number; priceMinor: number; earlier: readonly Candidate[] },
): string[] {
  const over = takenOver(context, step, before);
  const minutes = over.reduce((sum, { load }) => sum + load.minutesPerWeek, 0);
  const said = minutes >= 1 ? `${Math.round(minutes)} min a week` : 'less than a minute a week';
  const takes = `Takes over ${said}: ${taskNames(over.map(({ load }) => load))}.`;
  const sentences =
    over.length > 0
      ? [
          isForOtherHands(context, step, minutes)
            ? `For another pair of hands at the board, so that nobody waits; beside the others it ${lowerFirst(takes)}`
            : takes,
        ]
      : [
          step.inSet
            ? 'No task goes to it: it would lie idle, and comes only because the whole set costs less than its wanted pieces singly.'
            : 'A second knife for the same work, so that nobody waits and raw food keeps its own.',
        ];
  const lifted = over
    .filter(({ score, was }) => was < manages.value && score >= doesItWell.value)
    .map(({ load }) => load);
  if (lifted.length > 0 && context.owned.length > 0)
    sentences.push(`Lifts from a struggle to done well: ${taskNames(lifted, 3)}.`);
  sentences.push(...worthWords(context, step, gain, priceMinor));
  const { blade } = step;
  if (!blade) return sentences;
  if (step.action === 'buy' && isAllRound(step.type) && isMainFor(context, earlier))
    sentences.push(lengthWords(context, blade));
  if (over[0]) sentences.push(...atItsTask(context, step, blade, over[0], earlier));
  if (step.action === 'sharpen' || step.action === 'repair')
    sentences.push('It is already yours: putting the edge right costs little and gives this back.');
  if (step.offer) sentences.push(step.offer);
  if (step.action === 'buy') sentences.push(...steelWords(context, step));
  return sentences;
}

/** A blade that is there before a step, what it is called, and its score at a task. */
interface There {
  name: string;
  blade: BladeTraits;
  score: number;
}

const thereBefore = ({ owned }: PlanningContext, earlier: readonly Candidate[], task: number): There[] => [
  ...owned.map((o) => ({ name: `Your ${lowerFirst(o.type.name)}`, blade: o.blade, score: o.scores[task] ?? 0 })),
  ...earlier.flatMap(({ blade, type, scores }) =>
    blade && type ? [{ name: `The ${lowerFirst(type.name)}`, blade, score: scores[task] ?? 0 }] : [],
  ),
];

/** What a blade has at the task it is most used for: what sets it before the best that is there, or else what suits the task most. */
function atItsTask(
  context: PlanningContext,
  step: Candidate,
  blade: BladeTraits,
  { load, index }: { load: TaskLoad; index: number },
  earlier: readonly Candidate[],
): string[] {
  const prepared = context.tasks[index];
  if (!prepared) return [];
  const { name, flexible } = load.task;
  const there = step.owned === null ? thereBefore(context, earlier, index) : [];
  const [rival] = there.sort((a, b) => b.score - a.score);
  if (rival?.score === 0) return [`${name}: nothing that is there may do it.`];
  const own = explain(blade, prepared, context.cooks);
  const worse = rival && whatMakesWorse(own, explain(rival.blade, prepared, context.cooks));
  const [best] = own.parts
    .filter((p) => 100 * p.value >= madeForIt.value && TELLING.has(p.id) && (p.id !== 'flex' || flexible))
    .sort((a, b) => b.weight - a.weight);
  // done in another way than by the rival, it has nothing to set against what holds that back
  const why = worse?.insteadOf || best?.why;
  if (!why) return [];
  return [`${name}: ${lowerFirst(why)}${worse ? ` ${rival.name}: ${lowerFirst(worse.why)}` : ''}`];
}

/**
 * Whether a general knife is one more for people at work at once: less than half of what it does goes to it, as another does the rest as
 * well. `minutes`: what goes to it, a week.
 */
function isForOtherHands({ kitchen, loads }: PlanningContext, step: Candidate, minutes: number): boolean {
  if (kitchen.cooksAtOnce < 2 || !isAllRound(step.type)) return false;
  const does = loads.reduce(
    (sum, load, t) => sum + ((step.scores[t] ?? 0) >= manages.value ? load.minutesPerWeek : 0),
    0,
  );
  return minutes < does / 2;
}

/** Whether a general knife is somebody's main one: none that is fit for use is there before it, or several want one at once. */
const isMainFor = ({ kitchen, owned }: PlanningContext, earlier: readonly Candidate[]): boolean =>
  kitchen.cooksAtOnce > 1 || ![...owned.filter(isSound), ...earlier].some(({ type }) => isAllRound(type));

/** How far a length lies outside a band, mm: below it negative. */
const outside = (lengthMm: number, { fromMm, toMm }: Pick<LengthBand, 'fromMm' | 'toMm'>) =>
  lengthMm < fromMm ? lengthMm - fromMm : Math.max(0, lengthMm - toMm);

/** A general knife's length beside the wanted one: that of those at work at once whom it suits best, else of all. */
function lengthWords(context: PlanningContext, blade: BladeTraits): string {
  const { lengthMm } = blade.blade;
  const wishes =
    context.kitchen.cooksAtOnce > 1 && context.hands.length > 1
      ? context.cooks.map(({ cook, length }) => ({ wants: `${cook.name} wants`, ...length }))
      : [{ wants: 'you want', ...lengthWanted(context) }];
  const nearest = wishes.reduce((best, each) =>
    Math.abs(outside(lengthMm, each)) < Math.abs(outside(lengthMm, best)) ? each : best,
  );
  const off = outside(lengthMm, nearest);
  const suited = off === 0 ? wishes.filter((each) => outside(lengthMm, each) === 0) : [nearest];
  const wanted = list(suited.map(({ wants, fromMm, toMm }) => `${wants}, ${fromMm}–${toMm} mm`));
  if (off === 0) return `${lengthMm} mm lies in the length ${wanted}.`;
  const working = Math.round(workingLengthMm(blade));
  const flat = off < 0 && working >= nearest.fromMm ? `; flat enough to work like ${working} mm` : '';
  return `${lengthMm} mm is ${Math.abs(off)} mm ${off < 0 ? 'under' : 'over'} the length ${wanted}${flat}.`;
}

/** What a step adds against what it is paid, here. */
function worthWords(
  { problem: { scale }, kitchen: { currency } }: PlanningContext,
  step: Candidate,
  gain: number,
  priceMinor: number,
): string[] {
  if (step.inSet) return [];
  const keep = step.action === 'buy' || step.action === 'tool' ? scale.keepMinor : 0;
  const points = 100 * gain;
  const paid = (priceMinor + keep) / scale.pointMinor;
  return [
    `Adds ${points.toFixed(1)} points for ${showMoney(priceMinor, currency)}: ${points >= paid ? 'worth it here' : 'taken for what it rescues or what was asked for'}, where a point is worth ${showMoney(scale.pointMinor, currency)}.`,
  ];
}

const TELLING = new Set(['reach', 'span', 'contact', 'motion', 'in-hand', 'tip', 'crust', 'flex', 'clearance']);

function steelWords(context: PlanningContext, step: Candidate): string[] {
  const blade = step.blade;
  if (!blade) return [];
  const { steel } = blade;
  const words = [
    `${steel.name}${blade.blade.hrc === null ? '' : `, ${figure(blade.blade.hrc)} HRC`}: ${lowerFirst(steel.note)}`,
  ];
  if (isReactive(blade) && context.kitchen.habits.upkeep !== 'wipes-during')
    words.push('Wipe it during the work and dry it before it is put away; a grey patina is normal, red rust is not.');
  if (step.regrindMinor)
    words.push(
      `Its factory edge, ${figure(blade.blade.edgeAngleDeg)}° a side, is more acute than this steel carries: opening it to ${steel.leastAngleDeg}° before first use is in the price, ${showMoney(step.regrindMinor, context.kitchen.currency)}.`,
    );
  return words;
}
