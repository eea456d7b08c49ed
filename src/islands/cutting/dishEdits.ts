import type { DishFile, KitchenFile, OwnDishFile } from '../../core/formats/kitchenFile';
import type { RecipeLine } from '../../core/formats/recipeFile';
import { DEFAULTS } from '../../core/kitchen/defaults';
import { timesPerWeek } from '../../core/kitchen/kitchen';
import { slug } from '../../core/text/slug';

type Change = (kitchen: KitchenFile) => KitchenFile;
const cooking =
  (change: (cooking: NonNullable<KitchenFile['cooking']>) => NonNullable<KitchenFile['cooking']>): Change =>
  (kitchen) => ({ ...kitchen, cooking: change(kitchen.cooking ?? {}) });

/** Adds a dish once a week; one that is there already is left as it is. */
export const addDish = (id: string): Change =>
  cooking((c) =>
    c.dishes?.some((d) => d.id === id) ? c : { ...c, dishes: [...(c.dishes ?? []), { id, times: 1, per: 'week' }] },
  );

export const changeDish = (id: string, change: Partial<DishFile>): Change =>
  cooking((c) => ({ ...c, dishes: (c.dishes ?? []).map((d) => (d.id === id ? { ...d, ...change } : d)) }));

/** Takes a dish off the list; one of the kitchen's own stays known. */
export const removeDish = (id: string): Change =>
  cooking((c) => ({ ...c, dishes: (c.dishes ?? []).filter((d) => d.id !== id) }));

/** Forgets a dish of the kitchen's own, and takes it off the list. */
export const forgetDish = (id: string): Change =>
  cooking((c) => ({
    ...c,
    dishes: (c.dishes ?? []).filter((d) => d.id !== id),
    ownDishes: (c.ownDishes ?? []).filter((d) => d.id !== id),
  }));

/** How often a dish is cooked, and whether instead of one of the everyday meals or beside them. */
export interface HowOften extends Pick<DishFile, 'times' | 'per'> {
  instead: boolean;
}
const ONCE_A_WEEK: HowOften = { times: 1, per: 'week', instead: false };

/** Keeps a dish of the kitchen's own and puts it on the list; the same id is replaced, and stays on the list as it is. */
export const keepDish =
  (dish: OwnDishFile, { times, per, instead }: HowOften = ONCE_A_WEEK): Change =>
  (kitchen) => {
    const kept = cooking((c) => ({ ...c, ownDishes: [...(c.ownDishes ?? []).filter((d) => d.id !== dish.id), dish] }));
    if (kitchen.cooking?.dishes?.some(({ id }) => id === dish.id)) return kept(kitchen);
    const listed = changeDish(dish.id, { times, per })(addDish(dish.id)(kept(kitchen)));
    return instead ? fewerMeals(timesPerWeek(times, per))(listed) : listed;
  };

/** Takes meals that are now cooked by name off the everyday ones: so many a week, to a tenth of a meal, never below zero. */
const fewerMeals = (fewer: number): Change =>
  cooking((c) => {
    const meals = c.mealsPerWeek ?? DEFAULTS.mealsPerWeek;
    return { ...c, mealsPerWeek: Math.max(0, Math.round(10 * (meals - fewer)) / 10) };
  });

/** An id for a dish from its name, different from those in use. */
export function dishId(name: string, used: ReadonlySet<string>): string {
  const base = `own-${slug(name) || 'dish'}`;
  let id = base;
  for (let n = 2; used.has(id); n++) id = `${base}-${n}`;
  return id;
}

/** The tasks of a recipe's lines, each once with its amounts added up, in the order they come. */
export function tasksOf(lines: readonly Pick<RecipeLine, 'tasks'>[]): { id: string; amount: number }[] {
  const sums = new Map<string, number>();
  for (const { tasks } of lines) for (const { id, amount } of tasks) sums.set(id, (sums.get(id) ?? 0) + amount);
  return [...sums]
    .filter(([, amount]) => amount > 0)
    .map(([id, amount]) => ({ id, amount: Math.round(amount * 100) / 100 }));
}
