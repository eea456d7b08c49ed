import type { BladeType } from '../../blade/schema';
import { WORTH } from '../../constants';
import type { StepBrief } from '../../formats/briefFile';
import type { PlanStep } from '../../formats/planFile';
import { fromMinor, showMoney, toMinor } from '../../money/currency';
import type { PlanningContext } from '../context/planningContext';
import type { Planned } from '../plan/planKitchen';
import { labelledBlade, outsideOf, type Label, type Labelled, type Outside } from './label';
import { trialOf, type Loss } from './trial';

/** What to do with a knife on a shelf, in the place of a step of the plan. */
export interface Verdict extends Labelled {
  word: 'buy' | 'only below' | 'leave';
  /** The price it is good up to here, in the kitchen's currency. */
  goodUpTo: number;
  /** Points it would be worth more or less than the step's own knife at the same price. */
  points: number;
  outside: Outside[];
  /** What it loses most on, and why; null where nothing tells. */
  loss: Loss | null;
  why: string;
}

/**
 * Judges a knife by what its label says against a step of the plan and its brief: it may cost what the step's own may, less what it does worse,
 * at the kitchen's price of a point. Null where the step buys no knife.
 */
export function judgeLabel(
  planned: Planned,
  step: PlanStep,
  brief: StepBrief,
  type: BladeType,
  label: Label,
): Verdict | null {
  const trial = trialOf(planned, step);
  if (!trial) return null;
  const { context } = planned;
  const { kitchen } = context;
  const { currency } = kitchen;
  const labelled = labelledBlade(type, label, kitchen.cooks[0]?.handed ?? 'right', context.models);
  // judged at the price of the step's own knife: what is left is what the blade itself does
  const points = -trial.drop(labelled.blade);
  const goodUpTo = goodUpToMinor(context, brief, points);
  const outside = outsideOf(labelled, brief);
  const loss = points < -0.1 ? trial.loss(labelled.blade) : null;
  const price = label.price;
  const told = showMoney(goodUpTo, currency);
  const worthless = !Number.isFinite(points) || goodUpTo <= 0;
  const word = worthless ? 'leave' : price !== null && toMinor(price, currency) > goodUpTo ? 'only below' : 'buy';
  return {
    ...labelled,
    word,
    goodUpTo: fromMinor(Math.max(0, goodUpTo), currency),
    points: Number.isFinite(points) ? points : -100,
    outside,
    loss,
    why: {
      leave: 'It does too little of this work here to be worth any price.',
      'only below': `Worth it here only below ${told}.`,
      buy:
        Math.abs(points) < 100 * WORTH.halfPoint.value
          ? `As good here as the one in the plan; worth up to ${told}.`
          : points > 0
            ? `Better here than the one in the plan by ${points.toFixed(1)} points; worth up to ${told}.`
            : `${(-points).toFixed(1)} points less than the one in the plan, and still worth up to ${told}.`,
    }[word],
  };
}

/** The most a knife may cost that does so many points more or less than the step's own, minor units. */
function goodUpToMinor({ kitchen, problem }: PlanningContext, brief: StepBrief, points: number): number {
  if (!Number.isFinite(points)) return 0;
  return Math.round(toMinor(brief.priceUpTo, kitchen.currency) + points * problem.scale.pointMinor);
}
