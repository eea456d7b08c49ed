import type { BladeModel, BladeType } from '../../blade/schema';
import { LABEL, WORTH } from '../../constants';
import type { StepBrief } from '../../formats/briefFile';
import type { LabelVerdict } from '../../formats/labelFile';
import type { PlanStep } from '../../formats/planFile';
import { fromMinor, showMoney, toMinor } from '../../money/currency';
import { withArticle } from '../../text/case';
import { figure } from '../../text/figure';
import { walkAway } from '../brief/price';
import { because, briefedSteps, type Loss, type Trial, trialOf } from '../brief/trial';
import { candidateFor } from '../candidates/sold';
import { besideOwned } from '../candidates/besideOwned';
import type { PlanningContext } from '../context/planningContext';
import { stepsOf } from '../plan/plan';
import type { Planned } from '../plan/planKitchen';
import { filledKit, KitValue } from '../search/value';
import { costOf } from '../search/worth';
import { labelledBlade, outsideOf, type Labelled, type Outside } from './labelledBlade';
import type { Label } from './label';

/** What to do with a knife in a shop. */
export interface Verdict extends Labelled {
  word: LabelVerdict;
  /** Order of the step of the plan it was judged against; null where no step is for such work. */
  step: number | null;
  /** The price it is good up to here, in the kitchen's currency. */
  priceUpTo: number;
  /** The part of the step's work it does, where the step's own knife does 1. */
  share: number;
  /** What of it lies outside the step's brief, where that is known. */
  outside: Outside[];
  because: string[];
}

/** A knife in the place of one step of the plan. */
interface Beside {
  step: PlanStep;
  trial: Trial;
  /** What it adds there, and what the step's own adds, points. */
  adds: number;
  share: number;
  /** What it loses most on beside the step's own knife; null where it does as much or nothing tells. */
  loss: Loss | null;
}

/** Whether a knife is the wrong one for a step: it does little of its work as one of its parts fails there, or next to nothing. */
const isWrong = ({ share, loss }: Beside): boolean =>
  share < LABEL.tooLittle.value || (share < LABEL.little.value && loss !== null && loss.keeps < LABEL.failing.value);

/** The step a knife could best stand in for: of its role and not the wrong knife for it, of its own kind, then by the work it does. */
function stepServed(planned: Planned, type: BladeType, blade: BladeModel): Beside | undefined {
  const served = briefedSteps(planned.plan).flatMap((step): Beside[] => {
    const trial = trialOf(planned, step);
    if (trial?.step.type?.role !== type.role) return [];
    const adds = Math.max(0, trial.adds(blade));
    const share = adds / Math.max(1e-9, trial.adds());
    const loss = share < 1 - LABEL.asGood.value ? trial.loss(blade) : null;
    return [{ step, trial, adds, share, loss }];
  });
  const near = (each: Beside) =>
    (isWrong(each) ? 0 : 4) +
    (each.trial.step.type?.id === type.id ? 2 : each.trial.step.type?.work === type.work ? 1 : 0);
  return served.sort((a, b) => near(b) - near(a) || b.share - a.share)[0];
}

/** What a knife would add to the whole kit beside the plan, less what a place in the kitchen costs, points. */
function addsBeside({ context, plan }: Planned, blade: BladeModel): number {
  const kit = stepsOf(context, plan);
  const made = candidateFor(context, { ...blade, priceMinor: 0 });
  const beside = made && besideOwned([made], context.owned, context, context.counts)[0];
  if (!beside || kit.filter((each) => each.action === 'buy').length >= context.kitchen.limits.maxKnives) return 0;
  const filled = filledKit(new KitValue(context.problem.demand), context.problem, kit, (c) => c.counted);
  return 100 * (filled.gain(beside.counted) - costOf(beside, context.problem.scale, 0));
}

/**
 * The price up to which a knife is good in the place of a step, minor units. What it does more than the step's own is paid by the point. What it does
 * less is taken off twice over, as the rest has to be bought once more; no more than by the point either.
 */
function goodUpTo(context: PlanningContext, walkAwayPrice: number, { trial, adds, share }: Beside): number {
  const { pointMinor } = context.problem.scale;
  const most = toMinor(walkAwayPrice, context.kitchen.currency);
  const byPoint = most + (adds - trial.adds()) * pointMinor;
  return share >= 1 ? byPoint : Math.max(byPoint, most * share ** LABEL.shortfall.value);
}

const name = ({ type, lengthMm }: Pick<PlanStep, 'lengthMm'> & { type: BladeType | null }) =>
  `${(type?.name ?? 'knife').toLowerCase()}${lengthMm ? ` of ${Math.round(lengthMm)} mm` : ''}`;

/** How much of a step's work it does, in words. */
function workDone({ step, trial, share, adds }: Beside): string {
  const own = `the ${name({ type: trial.step.type, lengthMm: step.lengthMm })} in your plan`;
  const more = adds - trial.adds();
  if (share > 1 && more >= 100 * WORTH.halfPoint.value)
    return `It does more here than ${own}, by ${more.toFixed(1)} points of your cutting.`;
  if (share >= 1 - LABEL.asGood.value) return `It does the work of ${own}.`;
  return `It does ${Math.round(100 * share)}% of the work of ${own}.`;
}

/**
 * Judges a knife by what its label says, against a kitchen's plan: beside having none, beside the step it serves best with that step's own knife, and
 * beside waiting for a better price. `brief`: the brief of a step where it is at hand. Yields after every slice of work.
 */
export function* judging(
  context: PlanningContext,
  planned: Planned,
  { type, label, brief }: { type: BladeType; label: Label; brief?: StepBrief },
): Generator<unknown, Verdict> {
  const { kitchen } = planned.context;
  const labelled = labelledBlade(type, label, kitchen.cooks[0]?.handed ?? 'right', planned.context.models);
  const { blade } = labelled;
  const best = stepServed(planned, type, blade);
  const beside = addsBeside(planned, blade);
  yield;
  const known = best && brief?.order === best.step.order ? brief : null;
  const wrong = best !== undefined && isWrong(best);
  const inPlace =
    best && !wrong
      ? goodUpTo(planned.context, known?.priceUpTo ?? (yield* walkAway(context, planned, best.step)).priceUpTo, best)
      : 0;
  const onTop = beside >= 100 * WORTH.halfPoint.value ? beside * planned.context.problem.scale.pointMinor : 0;
  const besideAll = onTop > inPlace;
  const money = moneyLeft(planned, besideAll ? null : (best?.step ?? null));
  const upTo = Math.round(Math.max(0, Math.min(money, Math.max(inPlace, onTop))));
  const asked = label.price === null ? null : toMinor(label.price, kitchen.currency);
  const judged = { best: besideAll ? undefined : best, beside, upTo, asked, currency: kitchen.currency };
  const word = wrong && !besideAll ? 'wrong' : upTo <= 0 ? 'leave' : asked !== null && asked > upTo ? 'dear' : 'buy';
  return {
    ...labelled,
    word,
    step: judged.best?.step.order ?? null,
    priceUpTo: fromMinor(upTo, kitchen.currency),
    share: best?.share ?? 0,
    outside: known ? outsideOf(labelled, known) : [],
    because: reasonsFor(word, judged),
  };
}

/** What the plan leaves of the money once a step's own knife is not bought, minor units. */
function moneyLeft({ context, plan }: Planned, instead: PlanStep | null): number {
  const spent = toMinor(plan.spent - (instead?.price ?? 0), plan.currency);
  return context.problem.budgetMinor - spent;
}

/** Why, in a few sentences: the work it does, where it falls behind, what it adds to having none, the price. */
function reasonsFor(
  word: Verdict['word'],
  {
    best,
    beside,
    upTo,
    asked,
    currency,
  }: { best: Beside | undefined; beside: number; upTo: number; asked: number | null; currency: string },
): string[] {
  if (word === 'leave')
    return [
      best
        ? 'There is no money left for it in this plan.'
        : 'Nothing you cook needs it: what you have and what the plan buys already do this work.',
    ];
  const price = priceWords(upTo, asked, currency);
  if (!best) return [`Beside everything in your plan it adds ${beside.toFixed(1)} points of your cutting.`, ...price];
  const { loss, adds, step, trial } = best;
  const work = [workDone(best), ...(loss ? [`It falls behind most here${because(loss)}.`] : [])];
  if (word === 'wrong')
    return [...work, `Look for ${withArticle(name({ type: trial.step.type, lengthMm: step.lengthMm }))} instead.`];
  return [...work, `Compared with having neither, it adds ${figure(adds)} points of your cutting.`, ...price];
}

function priceWords(upTo: number, asked: number | null, currency: string): string[] {
  const most = showMoney(upTo, currency);
  if (asked === null) return [`It is worth up to ${most} here.`];
  if (asked <= upTo) return [`It is worth up to ${most} here, so ${showMoney(asked, currency)} is a fair price.`];
  return [`It is worth up to ${most} here. Offer that, or wait for a better price.`];
}
