import type { Plan, PlanStep } from './planFile';

const isOfKit = (step: PlanStep) => !step.upkeep && step.action !== 'retire' && step.action !== 'service';

/** The steps that cut: neither upkeep nor service nor what is retired. */
export const kitSteps = ({ steps }: Pick<Plan, 'steps'>): PlanStep[] => steps.filter(isOfKit);

/** What stands for each step of a plan, given for {@link kitSteps}; null for the others. */
export function perStep<T>({ steps }: Pick<Plan, 'steps'>, values: readonly T[]): (T | null)[] {
  let next = 0;
  return steps.map((step) => (isOfKit(step) ? (values[next++] ?? null) : null));
}
