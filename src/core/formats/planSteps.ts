import type { Plan, PlanStep } from './planFile';

const isOfKit = (step: PlanStep) => !step.upkeep && step.action !== 'retire' && step.action !== 'service';

/** The steps that cut: neither upkeep nor service nor what is retired. */
export const kitSteps = ({ steps }: Pick<Plan, 'steps'>): PlanStep[] => steps.filter(isOfKit);

/** What stands for each step of a plan, given for {@link kitSteps}; null for the others. */
export function perStep<T>({ steps }: Pick<Plan, 'steps'>, values: readonly T[]): (T | null)[] {
  let next = 0;
  return steps.map((step) => (isOfKit(step) ? (values[next++] ?? null) : null));
}

/** How many pieces a step is. */
export const piecesOf = ({ quantity }: Pick<PlanStep, 'quantity'>): number => quantity ?? 1;

/** What the pieces of a step are called: `step-3`, or `step-3.1`, `step-3.2` and so on where it is several. */
export const pieceRefs = ({ order, quantity = 1 }: Pick<PlanStep, 'order' | 'quantity'>): string[] =>
  quantity === 1 ? [`step-${order}`] : Array.from({ length: quantity }, (_, k) => `step-${order}.${k + 1}`);

/** Price of one piece of a step. */
export const priceOfOne = ({ price, unitPrice }: Pick<PlanStep, 'price' | 'unitPrice'>): number => unitPrice ?? price;

/** A name with how many of it a step is, where it is several. */
export const counted = ({ quantity = 1 }: Pick<PlanStep, 'quantity'>, name: string): string =>
  quantity === 1 ? name : `${quantity} × ${name}`;
