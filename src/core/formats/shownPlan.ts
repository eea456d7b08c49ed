import { bladeModelSchema, type BladeModel } from '../blade/schema';
import { showMoney } from '../money/currency';
import { z } from '../zod';
import { planFileSchema, type Plan } from './planFile';

/** Longest time a plan is shown, days, and most links of one kitchen. */
export const MAX_SHOWN_DAYS = 365;
export const MAX_SHOWN = 20;

/** A plan as it is shown to others: what it says, and the blades it draws. */
export const shownPlanSchema = z.strictObject({
  plan: planFileSchema,
  blades: z.array(bladeModelSchema).max(200),
  withPrices: z.boolean(),
});
export type ShownPlan = z.infer<typeof shownPlanSchema>;

/** Whether a sentence names an amount of money of this currency. */
function namesMoney(sentence: string, currency: string): boolean {
  const sign = showMoney(0, currency).replace(/[\d.,\s]/g, '');
  return sentence.includes(sign) || sentence.includes(currency);
}

/** A text without its sentences that name an amount of money of this currency. */
export const withoutMoney = (text: string, currency: string): string =>
  text
    .split(/(?<=[.!?])\s+/)
    .filter((sentence) => !namesMoney(sentence, currency))
    .join(' ');

/** A plan without what it costs: prices gone, and every sentence that names one. */
export function withoutPrices(plan: Plan): Plan {
  const quiet = (sentences: readonly string[]) => sentences.filter((each) => !namesMoney(each, plan.currency));
  return {
    ...plan,
    worth: { points: 0, pointPrice: 0 },
    spent: 0,
    costPerYear: 0,
    ...(plan.upkeep ? { upkeep: { ...plan.upkeep, perYear: 0 } } : {}),
    warnings: quiet(plan.warnings),
    assumed: quiet(plan.assumed),
    unserved: plan.unserved.filter(({ why }) => !namesMoney(why, plan.currency)),
    ...(plan.copies ? { copies: plan.copies.filter(({ why }) => !namesMoney(why, plan.currency)) } : {}),
    steps: plan.steps.map((step) => ({
      ...step,
      price: 0,
      costPerYear: 0,
      worth: 0,
      walkAwayPrice: null,
      because: quiet(step.because),
      runnersUp: step.runnersUp.map((other) => ({ ...other, price: 0 })),
    })),
  };
}

/** A plan without what it says of the people it is for. */
const withoutPeople = (plan: Plan): Plan => ({ ...plan, assumed: [], lengthWanted: { ...plan.lengthWanted, why: [] } });

/** What is shown of a plan: its steps and what they reach, with or without prices, and the blades among `models` it draws; nothing else of the kitchen. */
export function shownPlanOf(plan: Plan, models: readonly BladeModel[], withPrices: boolean): ShownPlan {
  const named = new Set(plan.steps.map(({ model }) => model));
  const blades = models.filter(({ id }) => named.has(id));
  return {
    plan: withoutPeople(withPrices ? plan : withoutPrices(plan)),
    blades: withPrices ? blades : blades.map((blade) => ({ ...blade, priceMinor: 0 })),
    withPrices,
  };
}
