import type { KitchenFile } from '../formats/kitchenFile';
import type { PlanStep } from '../formats/planFile';
import { fromMinor, isCurrency, toMinor } from '../money/currency';

/** What a cook does with a plan, written into the kitchen file. Pure: each returns a new file; dates come from outside (YYYY-MM-DD). */
type Limits = NonNullable<KitchenFile['limits']>;

const limited = (file: KitchenFile, change: (limits: Limits) => Limits): KitchenFile => ({
  ...file,
  limits: change(file.limits ?? {}),
});

const without = (list: readonly string[] | undefined, ...ids: string[]) => {
  const left = (list ?? []).filter((id) => !ids.includes(id));
  return left.length > 0 ? left : undefined;
};

const withThe = (list: readonly string[] | undefined, id: string) => [...new Set([...(list ?? []), id])];

/** The name a step goes by in `limits.order`: its model, its tool, or what is done to which owned knife. */
export function stepKey(step: Pick<PlanStep, 'action' | 'model' | 'type' | 'owned'>): string {
  if (step.action === 'buy') return step.model ?? step.type ?? '';
  if (step.action === 'tool') return step.type ?? '';
  return `${step.action}-${step.owned ?? ''}`;
}

/** What is left of a total after paying, never below nothing. */
function afterPaying(file: KitchenFile, price: number): KitchenFile['budget'] {
  const { budget, currency = 'EUR' } = file;
  if (typeof budget?.total !== 'number' || !isCurrency(currency)) return budget;
  return {
    ...budget,
    total: fromMinor(Math.max(0, toMinor(budget.total, currency) - toMinor(price, currency)), currency),
  };
}

/** What a thing that keeps the kit changes in the kitchen it comes to. */
function settledIn(file: KitchenFile, tool: string): KitchenFile {
  if (tool === 'board') return { ...file, board: { ...file.board, material: 'wood' } };
  const withIt = { ...file, tools: withThe(file.tools, tool) };
  return tool === 'guard' ? { ...withIt, habits: { ...file.habits, storage: 'guards' } } : withIt;
}

/** A bought step moves to the drawer with its date and price, and what it cost leaves the budget. */
export function bought(file: KitchenFile, step: PlanStep, day: string): KitchenFile {
  const paid: KitchenFile = { ...file, budget: afterPaying(file, step.price) };
  if (step.action === 'tool') return step.type ? settledIn(paid, step.type) : file;
  if (step.action !== 'buy' || !step.model) return file;
  const knife = {
    model: step.model,
    condition: 'keen' as const,
    use: 'weekly' as const,
    boughtOn: day,
    paid: step.price,
  };
  return limited({ ...paid, owned: [...(file.owned ?? []), knife] }, (limits) => ({
    ...limits,
    must: without(limits.must, step.model ?? '', step.type ?? ''),
    order: without(limits.order, stepKey(step)),
  }));
}

/** A sharpened or repaired knife is keen again; what it cost leaves the budget. */
export function putRight(file: KitchenFile, step: PlanStep, day: string): KitchenFile {
  const { owned } = step;
  if (owned === undefined || !file.owned?.[owned]) return file;
  return limited(
    {
      ...file,
      budget: afterPaying(file, step.price),
      owned: file.owned.map((knife, i) => (i === owned ? { ...knife, condition: 'keen', sharpenedOn: day } : knife)),
    },
    (limits) => ({ ...limits, order: without(limits.order, stepKey(step)) }),
  );
}

/** An owned knife was sharpened on a day, whoever did it. */
export const sharpenedOn = (file: KitchenFile, owned: number, day: string): KitchenFile => ({
  ...file,
  owned: (file.owned ?? []).map((knife, i) =>
    i === owned ? { ...knife, condition: 'keen', sharpenedOn: day } : knife,
  ),
});

/** Edges are sharpened by a professional from now on, twice a year at least. */
export const served = (file: KitchenFile): KitchenFile => ({
  ...file,
  habits: { ...file.habits, sharpening: 'professional', visitsPerYear: file.habits?.visitsPerYear ?? 2 },
});

/** An owned knife leaves the drawer. */
export function givenAway(file: KitchenFile, owned: number): KitchenFile {
  // the places of those behind it move, so an order that speaks of owned knives no longer holds
  return limited({ ...file, owned: file.owned?.filter((_, i) => i !== owned) }, (limits) => ({
    ...limits,
    order: without(limits.order, ...(limits.order ?? []).filter((key) => /^(sharpen|repair)-/.test(key))),
  }));
}

/** This model, type or tool must be in the plan, or must not, or may be again. */
export const demanded = (file: KitchenFile, id: string): KitchenFile =>
  limited(file, (limits) => ({ ...limits, must: withThe(limits.must, id), never: without(limits.never, id) }));
export const excluded = (file: KitchenFile, id: string): KitchenFile =>
  limited(file, (limits) => ({
    ...limits,
    never: withThe(limits.never, id),
    must: without(limits.must, id),
    order: without(limits.order, id),
  }));
export const released = (file: KitchenFile, id: string): KitchenFile =>
  limited(file, (limits) => ({ ...limits, must: without(limits.must, id), never: without(limits.never, id) }));

/** A runner-up takes a step's place: it is demanded and the one it replaces excluded. */
export const swapped = (file: KitchenFile, from: string, to: string): KitchenFile => demanded(excluded(file, from), to);

/** The steps in this order from now on; an empty order leaves it to the plan. */
export const inOrder = (file: KitchenFile, keys: readonly string[]): KitchenFile =>
  limited(file, (limits) => ({ ...limits, order: keys.length > 0 ? [...keys] : undefined }));
