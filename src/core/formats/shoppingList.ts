import { counted } from './planSteps';
import { showMoney, toMinor } from '../money/currency';
import type { StepBrief } from './briefFile';
import type { Plan, PlanStep } from './planFile';
import type { Names, Table } from './planTable';
import { withoutMoney } from './shownPlan';
import { STEP_WORDS } from './stepWords';

/** One thing of a shopping list. */
export interface ShoppingItem {
  order: number;
  month: number;
  /** What is done: buy, have sharpened, and so on. */
  does: string;
  what: string;
  /** What to look for, in words; null where any will do. */
  lookFor: string | null;
  /** Planned price and the most it may cost, in the kitchen's currency; the most is null where it was not worked out. */
  price: number;
  priceUpTo: number | null;
  need: PlanStep['need'];
}

/** What a plan asks to be bought or brought away, in its order; briefs say what to look for and how much it may cost. */
export function shoppingList(plan: Plan, briefs: readonly StepBrief[], names: Names): ShoppingItem[] {
  return plan.steps.flatMap((step) => {
    if (step.action === 'retire') return [];
    const does = STEP_WORDS[step.action];
    const brief = briefs.find(({ order }) => order === step.order);
    const kind = step.type && step.action === 'buy' ? names.type(step.type) : step.name;
    const long = step.lengthMm !== null && step.action === 'buy' ? `, ${Math.round(step.lengthMm)} mm` : '';
    return [
      {
        order: step.order,
        month: step.month,
        does,
        what: counted(step, `${kind}${long}`),
        lookFor: brief?.inWords ?? (step.action === 'buy' ? `such as ${step.maker ?? ''} ${step.name}`.trim() : null),
        price: step.price,
        priceUpTo: brief?.priceUpTo ?? step.walkAwayPrice,
        need: step.need,
      },
    ];
  });
}

/** A shopping list as text to copy. Months are named where there is more than one. */
export function shoppingText(plan: Plan, items: readonly ShoppingItem[], withPrices = true): string {
  const money = (amount: number) => showMoney(toMinor(amount, plan.currency), plan.currency);
  const months = new Set(items.map(({ month }) => month));
  const lines = [`Shopping list: ${plan.kitchen}`, ''];
  let month = 0;
  for (const item of items) {
    if (months.size > 1 && item.month !== month) lines.push(`Month ${(month = item.month)}`);
    const most = item.priceUpTo === null ? '' : `, up to ${money(item.priceUpTo)}`;
    const price = withPrices ? ` · about ${money(item.price)}${most}` : '';
    lines.push(`[ ] ${item.does}: ${item.what}${price}${item.need === 'want' ? ' (a want)' : ''}`);
    if (item.lookFor) lines.push(`    ${withoutMoney(item.lookFor, plan.currency)}`);
  }
  return `${lines.join('\n')}\n`;
}

export const shoppingTable = ({ currency }: Plan, items: readonly ShoppingItem[]): Table => ({
  name: 'Shopping list',
  head: ['order', 'month', 'action', 'what', 'lookFor', 'price', 'priceUpTo', 'currency', 'need'],
  rows: items.map(({ order, month, does, what, lookFor, price, priceUpTo, need }) => [
    ...[order, month, does, what, lookFor, price, priceUpTo, currency, need],
  ]),
});
