import { REASON, SCORE_WORDS } from '../../constants';
import type { TaskLoad } from '../../load/load';
import { explain } from '../../fit/explain';
import { whatMakesWorse } from '../../fit/whatMakesWorse';
import { type BladeTraits, isReactive } from '../../fit/traits';
import type { LengthBand } from '../../formats/planFile';
import { workingLengthMm } from '../../fit/parts/length';
import { showMoney } from '../../money/currency';
import type { Candidate } from '../candidates/candidate';
import { isAllRound, kindOfPiece } from '../candidates/kinds';
import { isSound } from '../candidates/owned';
import type { Bought } from './buyingOrder';
import type { PlanningContext } from '../context/planningContext';
import { byWishes } from '../../fit/wishes';
import { isInNumbers } from '../search/worth';
import { usefulness } from '../demand/usefulness';
import { listed, lowerFirst, upperFirst } from '../../text/case';
import { figure } from '../../text/figure';

/** Below this a task is badly served, from this on done well (handbook 4, words for scores). */
const { manages, doesItWell, struggles, madeForIt } = SCORE_WORDS;

/** A gain too small to be told, coverage. */
const NOTHING = 0.0005;

/** A task that goes to a step, with its score there and that of the best before it. */
interface Taken {
  load: TaskLoad;
  index: number;
  score: number;
  was: number;
}

/** Tasks a step's knife does better than anything that was there before, most minutes first. */
export function takenOver(context: PlanningContext, step: Candidate, before: Float64Array): Taken[] {
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

/** Joins task names into running text: "slice carrots, dice onions and mince herbs". */
export function taskNames(loads: readonly TaskLoad[], most = 4): string {
  const names = loads.slice(0, most).map(({ task }) => lowerFirst(task.name));
  return listed(loads.length > most ? [...names, `${loads.length - most} more`] : names);
}

/** Why a step is in the plan: sentences with their figures. `gain`, `priceMinor`: of all its pieces. */
export function reasonsFor(
  context: PlanningContext,
  { step, pieces }: Bought,
  before: Float64Array,
  { gain, priceMinor, earlier }: { gain: number; priceMinor: number; earlier: readonly Candidate[] },
): string[] {
  const over = takenOver(context, step, before);
  const sentences = [takesWords(context, step, over, earlier)];
  const lifted = over
    .filter(({ score, was }) => was < manages.value && score >= doesItWell.value)
    .map(({ load }) => load);
  if (lifted.length > 0 && context.owned.length > 0)
    sentences.push(`Lifts from a struggle to done well: ${taskNames(lifted, 3)}.`);
  if (!step.inSet && over.length > 0) sentences.push(...winsWords(context, step, over, earlier));
  sentences.push(...worthWords(context, { step, pieces }, gain, priceMinor));
  const { blade } = step;
  if (!blade) return sentences;
  if (step.action === 'buy' && isAllRound(step.type) && isMainFor(context, earlier))
    sentences.push(lengthWords(context, blade), ...wishWords(context, blade));
  if (step.action === 'sharpen' || step.action === 'repair')
    sentences.push('It is already yours: putting the edge right costs little and gives this back.');
  if (step.offer) sentences.push(step.offer);
  if (step.action === 'buy') sentences.push(...steelWords(context, step));
  return sentences;
}

/** What goes to a step: named is only what it does well or manages, the rest stands in a number. */
function takesWords(
  context: PlanningContext,
  step: Candidate,
  over: readonly Taken[],
  earlier: readonly Candidate[],
): string {
  if (over.length === 0)
    return step.inSet
      ? 'No task goes to it: it would lie idle, and comes only because the whole set costs less than its wanted pieces singly.'
      : 'A second knife for the same work, so that nobody waits and raw food keeps its own.';
  const minutes = over.reduce((sum, { load }) => sum + load.minutesPerWeek, 0);
  const said = minutes >= 1 ? `${Math.round(minutes)} min a week` : 'less than a minute a week';
  const named = over.filter(({ score }) => score >= REASON.praised.value).map(({ load }) => load);
  const takes =
    named.length > 0 ? `Takes over ${said}: ${taskNames(named)}.` : `Takes over ${said} that nothing here does well.`;
  if (isOneMore(context, step, earlier))
    return `One more for the same work, so that nobody waits; beside the others it ${lowerFirst(takes)}`;
  return isForOtherHands(context, step, minutes)
    ? `For another pair of hands at the board, so that nobody waits; beside the others it ${lowerFirst(takes)}`
    : takes;
}

/** A blade or tool that would do a task otherwise, what it is called, and its score there. */
interface There {
  name: string;
  blade: BladeTraits | null;
  score: number;
}

const thereBefore = ({ owned }: PlanningContext, earlier: readonly Candidate[], task: number): There[] => [
  ...owned.map((o) => ({ name: `your ${lowerFirst(o.type.name)}`, blade: o.blade, score: o.scores[task] ?? 0 })),
  ...earlier.map(({ blade, type, tool, scores }) => ({
    name: `the ${lowerFirst(type?.name ?? tool?.name ?? '')}`,
    blade,
    score: scores[task] ?? 0,
  })),
];

/**
 * What a step wins most at, with both figures: of the tasks it does well the one with the most usefulness added by weight, and the part that makes
 * it. Where it does nothing well, or hardly better, that is said instead, with the question whether to buy it at all (handbook 10.5).
 */
function winsWords(
  context: PlanningContext,
  step: Candidate,
  over: readonly Taken[],
  earlier: readonly Candidate[],
): string[] {
  const adds = ({ load, score, was }: Taken) => load.weight * (usefulness(score) - usefulness(was));
  const [won] = over
    .filter(({ score, was }) => score >= REASON.wellFrom.value && score - was >= REASON.wins.value)
    .sort((a, b) => adds(b) - adds(a));
  if (!won) {
    const little = over.filter(({ score }) => score >= REASON.praised.value).map(({ load }) => load);
    if (step.action !== 'buy' || little.length === 0 || isOneMore(context, step, earlier)) return [];
    return [`A little better at much: ${taskNames(little, 3)}. Ask yourself whether it should be bought at all.`];
  }
  const there = step.owned === null ? thereBefore(context, earlier, won.index) : [];
  const rival = there.reduce<There | null>((best, each) => (each.score > (best?.score ?? -1) ? each : best), null);
  const { name } = won.load.task;
  const figures = `${name}: ${Math.round(won.score)} of 100`;
  if (step.owned !== null) return [`${figures} once it is sharp, ${Math.round(won.was)} as it is.`];
  if (rival && Math.round(rival.score) === 0) return [`${name}: nothing that is there may do it.`];
  const beside = rival ? `${figures}, where ${rival.name} does ${Math.round(rival.score)}.` : `${figures}.`;
  return [beside, ...partWords(context, step, won, rival)];
}

/** The part that sets a blade before a rival at a task, both told; or, with no rival, the part that suits the task most. */
function partWords(context: PlanningContext, { blade }: Candidate, won: Taken, rival: There | null): string[] {
  const prepared = context.tasks[won.index];
  if (!prepared || !blade) return [];
  const own = explain(blade, prepared, context.cooks);
  if (!rival?.blade) {
    const [best] = own.parts
      .filter(
        (p) => 100 * p.value >= madeForIt.value && TELLING.has(p.id) && (p.id !== 'flex' || won.load.task.flexible),
      )
      .sort((a, b) => b.weight - a.weight);
    return best ? [best.why] : [];
  }
  const worse = whatMakesWorse(own, explain(rival.blade, prepared, context.cooks));
  // never praise for what is no better, and never two figures that say the same
  if (!worse?.insteadOf || worse.than < REASON.partFrom.value || sameEnd(worse.insteadOf, worse.why)) return [];
  return [`${worse.insteadOf} ${upperFirst(rival.name)}: ${lowerFirst(worse.why)}`];
}

/** Whether two sentences come to the same end, whatever their figures. */
const sameEnd = (one: string, other: string): boolean => one.split(': ').at(-1) === other.split(': ').at(-1);

/** What of the wishes a main knife has and lacks, beside the other general knives for sale here. */
function wishWords({ kitchen, sold }: PlanningContext, blade: BladeTraits): string[] {
  const general = sold.flatMap((c) => (isAllRound(c.type) && c.blade ? [c.blade] : []));
  if (kitchen.wishes.length === 0) return [];
  const found = byWishes(kitchen.wishes, general).find((each) => each.blade === blade);
  if (!found) return [];
  const words = (keep: (share: number) => boolean) =>
    listed(found.each.filter(({ share }) => keep(share)).map(({ wish }) => wish.replaceAll('-', ' ')));
  const has = words((share) => share >= REASON.wishMet.value);
  const lacks = words((share) => share < REASON.wishMissed.value);
  return [
    ...(has ? [`Of your wishes it has more than most general knives: ${has}.`] : []),
    ...(lacks ? [`Of your wishes it has less than most: ${lacks}. What it does weighs more.`] : []),
  ];
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

/** Whether a small or special knife is bought beside one of its kind because so many are at work. */
const isOneMore = ({ kitchen }: PlanningContext, step: Candidate, earlier: readonly Candidate[]): boolean =>
  isInNumbers(kitchen) &&
  step.action === 'buy' &&
  !isAllRound(step.type) &&
  earlier.some((other) => other.action === 'buy' && kindOfPiece(other) === kindOfPiece(step));

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
  const wanted = listed(suited.map(({ wants, fromMm, toMm }) => `${wants}, ${fromMm}–${toMm} mm`));
  if (off === 0) return `${lengthMm} mm lies in the length ${wanted}.`;
  const working = Math.round(workingLengthMm(blade));
  const flat = off < 0 && working >= nearest.fromMm ? `; flat enough to work like ${working} mm` : '';
  return `${lengthMm} mm is ${Math.abs(off)} mm ${off < 0 ? 'under' : 'over'} the length ${wanted}${flat}.`;
}

/** What a step adds against what it is paid, here. */
function worthWords(
  { problem: { scale }, kitchen: { currency } }: PlanningContext,
  { step, pieces }: Bought,
  gain: number,
  priceMinor: number,
): string[] {
  if (step.inSet) return [];
  // sharpened for a service, whose step has the gain
  if (step.owned !== null && step.serviceMinor && gain < NOTHING)
    return ['Sharpened once, it would be dull again within months: the service beside it keeps what this gives back.'];
  const keep = step.action === 'buy' || step.action === 'tool' ? pieces * scale.keepMinor : 0;
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
