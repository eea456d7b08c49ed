import { LOAD } from '../constants/index';
import type { Kitchen } from '../kitchen/kitchen';
import type { Reference } from '../reference';
import type { Task } from '../cutting/task';
import { isEaten } from '../cutting/eaten';
import type { Avoidable } from '../cutting/words';
import type { Dish } from '../cutting/dish';
import { latelyOf } from '../text/lately';

/** What a kitchen asks of its knives in one task. */
export interface TaskLoad {
  task: Task;
  minutesPerWeek: number;
  timesPerYear: number;
  matters: number;
  occasional: boolean;
  /** Weight in the plan: minutes to a power, times what it matters. 0 for what no knife should do. */
  weight: number;
  /** Where the minutes come from: dish id, or `direct` for a task the cook named. */
  from: { source: string; minutesPerWeek: number }[];
}

/** A dish is off the menu when it contains anything avoided. */
export function dishIsEaten(dish: Pick<Dish, 'contains'>, avoids: readonly Avoidable[]): boolean {
  return !dish.contains.some((food) => avoids.includes(food));
}

/**
 * How often each dish is cooked, times a week, from cuisines, meals and the dishes named one by one. `inParts`: a cuisine alone brings it, so its
 * meat and fish are bought boned, jointed and filleted (handbook 10.4).
 */
export function dishesPerWeek(
  kitchen: Pick<Kitchen, 'cuisines' | 'mealsPerWeek' | 'dishes' | 'ownDishes' | 'avoids' | 'portions'>,
  reference: Reference,
): { dish: Dish; timesPerWeek: number; portions: number; inParts: boolean }[] {
  const menus = kitchen.cuisines
    .map(({ id, share }) => ({
      share,
      inParts: reference.cuisines.get(id)?.takesApart !== true,
      dishes: [...reference.dishes.values()].filter(
        (dish) => dish.cuisines.includes(id) && dishIsEaten(dish, kitchen.avoids),
      ),
    }))
    .filter((menu) => menu.dishes.length > 0 && menu.share > 0);
  const shares = menus.reduce((sum, menu) => sum + menu.share, 0);
  const fromCuisines = menus.flatMap((menu) =>
    menu.dishes.map((dish) => ({
      dish,
      timesPerWeek: (kitchen.mealsPerWeek * menu.share) / shares / menu.dishes.length,
      portions: kitchen.portions,
      inParts: menu.inParts,
    })),
  );
  const own = new Map(kitchen.ownDishes.map((dish) => [dish.id, dish]));
  const named = kitchen.dishes.flatMap(({ id, timesPerWeek, portions }) => {
    const dish = own.get(id) ?? reference.dishes.get(id);
    return dish && dishIsEaten(dish, kitchen.avoids) ? [{ dish, timesPerWeek, portions, inParts: false }] : [];
  });
  return [...fromCuisines, ...named];
}

/** What is cut beside the dishes themselves, by cuisine: the onion in the pan, the salad, the bread and the fruit. Amounts for four, per meal. */
export function usualCutting(
  kitchen: Pick<Kitchen, 'cuisines' | 'mealsPerWeek'>,
  reference: Pick<Reference, 'cuisines'>,
): { id: string; amount: number; mealsPerWeek: number }[] {
  const shares = kitchen.cuisines.reduce((sum, { share }) => sum + share, 0);
  if (shares <= 0) return [];
  return kitchen.cuisines.flatMap(({ id, share }) =>
    (reference.cuisines.get(id)?.usual ?? []).map((usual) => ({
      ...usual,
      mealsPerWeek: (kitchen.mealsPerWeek * share) / shares,
    })),
  );
}

/** What is not eaten here took away: dishes and tasks that were named, and how many dishes of the menus. */
export function takenAway(
  kitchen: Pick<Kitchen, 'cuisines' | 'dishes' | 'ownDishes' | 'tasks' | 'avoids'>,
  reference: Reference,
): { dishes: string[]; tasks: string[]; fromMenus: number } {
  const own = new Map(kitchen.ownDishes.map((dish) => [dish.id, dish]));
  const menus = new Set(kitchen.cuisines.map((c) => c.id));
  const all = [...reference.dishes.values()].filter((dish) => dish.cuisines.some((c) => menus.has(c)));
  return {
    dishes: kitchen.dishes.flatMap(({ id }) => {
      const dish = own.get(id) ?? reference.dishes.get(id);
      return dish && !dishIsEaten(dish, kitchen.avoids) ? [dish.name] : [];
    }),
    tasks: kitchen.tasks.flatMap(({ id }) => {
      const task = reference.tasks.get(id);
      return task && !isEaten(task, kitchen.avoids) ? [task.name] : [];
    }),
    fromMenus: all.filter((dish) => !dishIsEaten(dish, kitchen.avoids)).length,
  };
}

/** Amount of a task for `portions`, from the dish's amount for four. */
export function scaledAmount(task: Task, amountForFour: number, portions: number): number {
  if (task.scales === 'whole') return amountForFour * Math.max(1, portions / LOAD.wholeUpTo.value);
  return (amountForFour * portions) / 4;
}

/** Slices of cooked meat by the kitchen's taste: thin ones ask for one long clean stroke, thick ones forgive a few short ones. */
const CARVED = {
  thin: { thin: 2, clean: 3, long: true },
  thick: { thin: 0, clean: 2, long: false },
} as const;
const asDone = new WeakMap<Task, Map<string, Task>>();

/** What of a kitchen changes how a task is done. */
export type TaskHabits = Pick<Kitchen, 'sizes'> & { habits: Pick<Kitchen['habits'], 'carves'> };

/** A task as this kitchen does it: its own sizes, minutes and slices; the same object each time. Slicing that is thin by its nature stays so. */
export function taskDone(task: Task, { habits: { carves }, sizes }: TaskHabits): Task {
  const size = sizes.get(task.id);
  const carving = carves && task.group === 'Cooked meat' && task.long && task.thin !== 3 ? CARVED[carves] : null;
  if (!size && !carving) return task;
  const changes = { ...size, ...carving };
  const key = JSON.stringify(changes);
  const known = asDone.get(task) ?? new Map<string, Task>();
  const done = known.get(key) ?? { ...task, ...changes };
  asDone.set(task, known.set(key, done));
  return done;
}

/** What a load is worked out from. */
type Cooking = Pick<
  Kitchen,
  'cuisines' | 'mealsPerWeek' | 'dishes' | 'ownDishes' | 'tasks' | 'avoids' | 'portions' | 'habits' | 'sizes' | 'tastes'
>;

interface Gathered {
  minutes: number;
  times: number;
  matters: number;
  from: Map<string, number>;
}

/** Minutes and times of every task, gathered over dishes, menus and what was named directly. */
function gathered(kitchen: Cooking, reference: Reference): Map<string, Gathered> {
  const loads = new Map<string, Gathered>();
  const add = (id: string, source: string, timesPerWeek: number, amount: number, matters: number) => {
    const known = reference.tasks.get(id);
    if (!known || timesPerWeek <= 0 || amount <= 0 || !isEaten(known, kitchen.avoids)) return;
    if (known.flatSide && kitchen.tastes.garlic === 'never') return;
    const minutes = timesPerWeek * amount * taskDone(known, kitchen).minutes;
    const load = loads.get(id) ?? { minutes: 0, times: 0, matters: 1, from: new Map<string, number>() };
    load.minutes += minutes;
    load.times += timesPerWeek;
    if (matters !== 1) load.matters = Math.max(load.matters === 1 ? 0 : load.matters, matters);
    load.from.set(source, (load.from.get(source) ?? 0) + minutes);
    loads.set(id, load);
  };
  for (const { dish, timesPerWeek, portions, inParts } of dishesPerWeek(kitchen, reference))
    for (const part of dish.tasks) {
      const task = reference.tasks.get(part.id);
      if (inParts && task?.takesApart) continue;
      const times = timesPerWeek * (part.optional ? LOAD.optionalShare.value : 1);
      if (task) add(part.id, dish.id, times, scaledAmount(task, part.amount, portions), 1);
    }
  for (const { id, amount, mealsPerWeek } of usualCutting(kitchen, reference)) {
    const task = reference.tasks.get(id);
    if (task) add(id, 'usual', mealsPerWeek, scaledAmount(task, amount, kitchen.portions), 1);
  }
  for (const { id, timesPerWeek, amount, matters } of kitchen.tasks) add(id, 'direct', timesPerWeek, amount, matters);
  return loads;
}

const workedOut = latelyOf<readonly TaskLoad[]>(16);

/**
 * Weekly load of every task the kitchen does, in the order of the task table; the same object for equal cooking. Tasks never done are left out.
 *
 * @example taskLoads(kitchen, reference)[0].minutesPerWeek > 0 // true
 */
export function taskLoads(kitchen: Cooking, reference: Reference): readonly TaskLoad[] {
  const { cuisines, mealsPerWeek, dishes, ownDishes, tasks, avoids, portions, habits, sizes, tastes } = kitchen;
  const cooked = [cuisines, mealsPerWeek, dishes, ownDishes, tasks, avoids, portions, habits, [...sizes], tastes];
  return workedOut(reference, JSON.stringify(cooked), () => loadsOf(kitchen, reference));
}

function loadsOf(kitchen: Cooking, reference: Reference): TaskLoad[] {
  const loads = gathered(kitchen, reference);
  return [...reference.tasks.values()].flatMap((task) => {
    const load = loads.get(task.id);
    if (!load) return [];
    const timesPerYear = load.times * 52;
    return [
      {
        task: taskDone(task, kitchen),
        minutesPerWeek: load.minutes,
        timesPerYear,
        matters: load.matters,
        occasional: timesPerYear < LOAD.occasional.value,
        weight: task.instead ? 0 : Math.pow(load.minutes, LOAD.exponent.value) * load.matters,
        from: [...load.from]
          .map(([source, minutesPerWeek]) => ({ source, minutesPerWeek }))
          .sort((a, b) => b.minutesPerWeek - a.minutesPerWeek || (a.source < b.source ? -1 : 1)),
      },
    ];
  });
}
