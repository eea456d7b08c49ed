import type { BladeModel, Steel } from '../blade/schema';
import type { Dish } from '../cutting/dish';
import type { Avoidable } from '../cutting/words';
import { PEOPLE } from '../constants';
import { Faults } from '../formats/faults';
import type { CookFile, KitchenFile, OwnDishFile, OwnedFile } from '../formats/kitchenFile';
import { euroIn, planningRate, showMoney, toMinor, CATALOGUE_CURRENCY } from '../money/currency';
import type { Reference } from '../reference';
import type { DiaryEntry } from '../formats/diaryFile';
import type { BenchTrialFile } from '../formats/trialsFile';
import { type FeltKnives, feltBy } from './felt';
import { DEFAULTS } from './defaults';
import { checkIds, knownModels } from './ids';
import { completePlace } from './place';

type Filled<T> = { [K in keyof T]-?: Exclude<T[K], undefined> };
export type BoardMotion = 'rock' | 'push' | 'pull' | 'chop';
export type MotionShares = Record<BoardMotion, number>;
export type Cook = Omit<Filled<CookFile>, 'motions'> & {
  motions: MotionShares;
  /** Models held by this cook, by id. */
  felt: FeltKnives;
  /** Trials on food made by this cook; none where they are not to count. */
  trials: readonly BenchTrialFile[];
};
export type Habits = Filled<NonNullable<KitchenFile['habits']>>;
export type Board = Filled<NonNullable<KitchenFile['board']>>;
export type Owned = Pick<
  OwnedFile,
  | 'type'
  | 'model'
  | 'lengthMm'
  | 'steel'
  | 'heelHeightMm'
  | 'weightG'
  | 'spineMm'
  | 'behindEdgeMm'
  | 'balanceMm'
  | 'flex'
  | 'flatShare'
  | 'bellyMm'
  | 'boughtOn'
  | 'sharpenedOn'
> &
  Required<Pick<OwnedFile, 'condition' | 'use' | 'keep'>>;
export type Limits = Omit<Filled<NonNullable<KitchenFile['limits']>>, 'steel'> & { steel: readonly Steel['id'][] };
export type Wish = NonNullable<KitchenFile['wishes']>[number];
export type Tastes = Filled<NonNullable<KitchenFile['tastes']>>;
export type Spending = NonNullable<NonNullable<KitchenFile['budget']>['spend']>;

/** A kitchen with every gap filled: what the computation works on. */
export interface Kitchen {
  name: string;
  currency: string;
  cooks: Cook[];
  cooksAtOnce: number;
  board: Board;
  habits: Habits;
  avoids: Avoidable[];
  mealsPerWeek: number;
  portions: number;
  cuisines: { id: string; share: number }[];
  dishes: { id: string; timesPerWeek: number; portions: number }[];
  /** Dishes of this kitchen's own, amounts for four portions. */
  ownDishes: Dish[];
  tasks: { id: string; timesPerWeek: number; amount: number; matters: number }[];
  owned: Owned[];
  tools: string[];
  /** What there is to spend, minor units of `currency`; null: no ceiling. */
  budgetMinor: number | null;
  perMonthMinor: number | null;
  spend: Spending;
  /** What was paid for knives bought since: with what is left it is the money the plan was made for, minor units. */
  investedMinor: number;
  /** What a point of coverage is worth, minor units, when the cook says it; null: worked out from the money. */
  pointMinor: number | null;
  /** People at table when there are guests, everyday ones included. */
  seats: number;
  /** Sizes and minutes of tasks that are other here than in the table. */
  sizes: ReadonlyMap<string, TaskSize>;
  limits: Limits;
  tastes: Tastes;
  /** What is wished of the main knife, most wanted first. */
  wishes: readonly Wish[];
  diary: readonly DiaryEntry[];
  /** Whether its uses teach the loads and motions. */
  learnsFromUse: boolean;
  closedMonths: readonly number[];
}

/** What a kitchen says of a task's food: its height on the board and width of cut, mm, and minutes a unit. */
export type TaskSize = Partial<Record<'heightMm' | 'widthMm' | 'minutes', number>>;

const PER_WEEK = { day: 7, week: 1, month: 12 / 52, year: 1 / 52 } as const;

/** Times a week for `times` per day, week, month or year. */
export function timesPerWeek(times: number, per: keyof typeof PER_WEEK): number {
  return times * PER_WEEK[per];
}

/** Guests that come often enough to buy for. */
const guestsCount = (guests: NonNullable<KitchenFile['cooking']>['guests']) =>
  guests !== undefined && timesPerWeek(guests.times, guests.per) * 52 >= DEFAULTS.guestsPerYear;

const NO_TASTES: Tastes = {
  steel: null,
  main: null,
  dimples: null,
  bolster: null,
  third: null,
  rawMeat: null,
  garlic: null,
  leftover: null,
  specialist: null,
  looks: null,
  make: null,
  origin: null,
  handleShape: null,
  boning: null,
  boningEdge: null,
  sharpening: null,
  rod: null,
  pair: null,
};

/** Sorts rows by their own contents: sums come out the same to the last bit whatever order the file has. */
function byOwnText<T>(rows: T[]): T[] {
  const text = new Map(rows.map((row) => [row, JSON.stringify(row)]));
  return [...rows].sort((a, b) => ((text.get(a) ?? '') < (text.get(b) ?? '') ? -1 : 1));
}

/** Shares of the motions on the board, summing to 1; all alike where none is said. */
export function motionShares({ rock = 0, push = 0, pull = 0, chop = 0 }: CookFile['motions'] = {}): MotionShares {
  const total = rock + push + pull + chop;
  return total === 0
    ? { rock: 0.25, push: 0.25, pull: 0.25, chop: 0.25 }
    : { rock: rock / total, push: push / total, pull: pull / total, chop: chop / total };
}

/** What a cook is called: by name, or by place among several. */
const calledAmong = (cooks: readonly CookFile[], { name }: CookFile, index: number): string =>
  name ?? (cooks.length > 1 ? `cook ${index + 1}` : 'main');

function completeCook(cook: CookFile, who: string, assumed: string[]): Cook {
  const missing: string[] = [];
  const take = <T>(value: T | undefined, fallback: T, words: string): T => {
    if (value === undefined) missing.push(words);
    return value === undefined ? fallback : value;
  };
  const handLengthMm =
    cook.handLengthMm ??
    (cook.palmBreadthMm ? Math.round(cook.palmBreadthMm / DEFAULTS.palmPerHand) : DEFAULTS.handLengthMm);
  if (cook.handLengthMm === undefined) missing.push(`a hand ${handLengthMm} mm long`);
  const palmBreadthMm = take(
    cook.palmBreadthMm,
    Math.round(handLengthMm * DEFAULTS.palmPerHand),
    `a palm ${Math.round(handLengthMm * DEFAULTS.palmPerHand)} mm broad`,
  );
  const motions = motionShares(cook.motions);
  if (Object.values(cook.motions ?? {}).every((share) => !share)) missing.push('no settled cutting motion');
  const filled: Cook = {
    name: who,
    handLengthMm,
    palmBreadthMm,
    handed: take(cook.handed, 'right', 'right-handed'),
    strength: take(cook.strength, 'average', 'average strength'),
    experience: take(cook.experience, 'home', 'a practised home cook'),
    grip: take(cook.grip, 'unsure', 'grip unsure'),
    motions,
    wantsLengthMm: cook.wantsLengthMm ?? null,
    wantsWeight: take(cook.wantsWeight, 'any', 'no taste in weight'),
    wantsBalance: cook.wantsBalance ?? 'any',
    nervous: cook.nervous ?? false,
    mayUse: cook.mayUse ?? null,
    felt: {},
    trials: [],
  };
  if (missing.length > 0) assumed.push(`Cook ${who}: ${missing.join(', ')}.`);
  return filled;
}

/** A cook with what they found out by hand and on food. */
function withTrials(cook: Cook, index: number, { trials = {} }: KitchenFile, reference: Reference): Cook {
  const by = <T extends { cook?: number }>(list: readonly T[] = []) =>
    list.filter((each) => (each.cook ?? 0) === index);
  return {
    ...cook,
    felt: feltBy(by(trials.hand), cook, reference.handChecks),
    trials: (trials.measuredCounts ?? true) ? by(trials.bench).filter(({ runs }) => runs.length > 0) : [],
  };
}

/** A dish of one's own with its amounts for four portions, as the shipped ones have them; whole things stay whole. */
function forFour({ id, name, portions = 4, contains = [], tasks }: OwnDishFile, reference: Reference): Dish {
  return {
    id,
    name,
    contains,
    cuisines: [],
    tasks: tasks
      .filter((t) => t.amount > 0)
      .map(({ id: task, amount, optional }) => ({
        id: task,
        amount: reference.tasks.get(task)?.scales === 'whole' ? amount : (amount * 4) / portions,
        ...(optional ? { optional } : {}),
      })),
  };
}

/** The currency of a kitchen, and how catalogue prices come into it. */
function completeCurrency({ currency }: KitchenFile, assumed: string[]): string {
  if (currency === undefined) assumed.push(`Prices in ${CATALOGUE_CURRENCY}.`);
  if (currency === undefined || currency === CATALOGUE_CURRENCY) return CATALOGUE_CURRENCY;
  const rate = planningRate(CATALOGUE_CURRENCY, currency);
  assumed.push(
    rate === null
      ? `Catalogue prices in ${CATALOGUE_CURRENCY} are taken one for one in ${currency}: there is no planning rate.`
      : `Catalogue prices in ${CATALOGUE_CURRENCY} are turned into ${currency} at a planning rate of ${rate}.`,
  );
  return currency;
}

/** Whether a cuisine brings dishes whose meat or fish somebody else takes apart. */
const buysInParts = (
  cuisines: readonly { id: string }[],
  avoids: readonly Avoidable[],
  { cuisines: known, dishes, tasks }: Reference,
): boolean =>
  cuisines.some(
    ({ id }) =>
      known.get(id)?.takesApart !== true &&
      [...dishes.values()].some(
        (dish) =>
          dish.cuisines.includes(id) &&
          !dish.contains.some((food) => avoids.includes(food)) &&
          dish.tasks.some((part) => tasks.get(part.id)?.takesApart),
      ),
  );

/** What is cooked: meals, cuisines, dishes and tasks. */
function completeCooking({ cooking = {}, avoids = [] }: KitchenFile, reference: Reference, assumed: string[]) {
  const mealsPerWeek = cooking.mealsPerWeek ?? DEFAULTS.mealsPerWeek;
  const portions = cooking.portions ?? DEFAULTS.portions;
  let cuisines = (cooking.cuisines ?? []).map(({ id, share = 1 }) => ({ id, share }));
  const onlyTasks = (cooking.tasks?.length ?? 0) > 0 && !((cooking.mealsPerWeek ?? 0) > 0);
  const saysNothing = cuisines.length === 0 && !cooking.dishes?.length && !onlyTasks;
  if (saysNothing) {
    cuisines = [{ id: DEFAULTS.cuisine, share: 1 }];
    assumed.push('Everyday Western cooking.');
  }
  if (cuisines.length > 0 && cooking.mealsPerWeek === undefined) assumed.push(`${mealsPerWeek} cooked meals a week.`);
  if (buysInParts(cuisines, avoids, reference))
    assumed.push(
      'Meat, poultry and fish are bought boned, jointed and filleted; name what you take apart yourself under your cutting.',
    );
  if (cooking.portions === undefined) assumed.push(`${portions} portions a meal.`);
  return {
    mealsPerWeek,
    portions,
    cuisines: byOwnText(cuisines),
    dishes: byOwnText(
      (cooking.dishes ?? []).map((d) => ({
        id: d.id,
        timesPerWeek: timesPerWeek(d.times, d.per) * (d.months ? new Set(d.months).size / 12 : 1),
        portions: d.portions ?? portions,
      })),
    ),
    ownDishes: (cooking.ownDishes ?? []).map((dish) => forFour(dish, reference)),
    tasks: byOwnText(
      (cooking.tasks ?? []).map((t) => ({
        id: t.id,
        timesPerWeek: timesPerWeek(t.times, t.per),
        amount: t.amount ?? 1,
        matters: t.matters ?? 1,
      })),
    ),
    seats: Math.ceil(portions + (guestsCount(cooking.guests) ? (cooking.guests?.portions ?? 0) : 0)),
    sizes: new Map((cooking.sizes ?? []).map(({ id, ...size }) => [id, size])),
  };
}

/** What there is to spend, and what has been spent on owned knives, minor units. */
function completeMoney({ budget, owned = [] }: KitchenFile, currency: string, assumed: string[]) {
  const perMonthMinor = budget?.perMonth == null ? null : toMinor(budget.perMonth, currency);
  let budgetMinor = budget?.total == null ? null : toMinor(budget.total, currency);
  if (budgetMinor === null && perMonthMinor !== null) {
    budgetMinor = perMonthMinor * DEFAULTS.months;
    assumed.push(`The monthly amount counted over ${DEFAULTS.months} months.`);
  } else if (budget?.total === undefined && perMonthMinor === null) {
    budgetMinor = euroIn(DEFAULTS.budgetEur, currency);
    assumed.push(`${showMoney(budgetMinor, currency)} to spend.`);
  }
  return {
    budgetMinor,
    perMonthMinor,
    spend: budget?.spend ?? ('even' as const),
    investedMinor: owned.reduce(
      (sum, { boughtOn, paid }) => sum + (boughtOn !== undefined && paid !== undefined ? toMinor(paid, currency) : 0),
      0,
    ),
    pointMinor: budget?.pointPrice == null ? null : toMinor(budget.pointPrice, currency),
  };
}

function completeLimits(
  { limits = {}, cooksAtOnce = 1 }: KitchenFile,
  models: readonly BladeModel[],
  assumed: string[],
): Limits {
  const { list } = limits;
  const hasList = typeof list === 'string' && models.some((model) => model.list === list);
  if (list && !hasList) assumed.push(`The list ${list} is not here: planned from every model.`);
  const inKinds = cooksAtOnce >= PEOPLE.inNumbersFrom.value;
  const usualMost = inKinds ? DEFAULTS.maxKnives : DEFAULTS.maxKnives + cooksAtOnce - 1;
  if (limits.maxKnives === undefined)
    assumed.push(
      inKinds
        ? `At most ${usualMost} kinds of knife, as many of each as the people at work want.`
        : `At most ${usualMost} knives.`,
    );
  return {
    maxKnives: limits.maxKnives ?? usualMost,
    school: limits.school ?? 'free',
    lengthSchool: limits.lengthSchool ?? 'moderate',
    must: limits.must ?? [],
    never: limits.never ?? [],
    steel: typeof limits.steel === 'string' ? [limits.steel] : (limits.steel ?? []),
    handle: limits.handle ?? null,
    maker: limits.maker ?? null,
    list: hasList ? list : null,
    second: limits.second ?? null,
    order: limits.order ?? [],
  };
}

/**
 * Fills every gap of a kitchen file and says, sentence by sentence, what was assumed.
 * Throws {@link FaultyInput} when an id names no cuisine, dish, task, tool, type or model.
 *
 * @example completeKitchen(file, reference, models).kitchen.portions // 2
 */
export function completeKitchen(
  file: KitchenFile,
  reference: Reference,
  models: readonly BladeModel[],
): { kitchen: Kitchen; assumed: string[] } {
  const faults = new Faults();
  checkIds(file, reference, knownModels(models), faults);
  faults.throwAny();
  const assumed: string[] = [];
  // one after another: their sentences are told in this order
  const currency = completeCurrency(file, assumed);
  const said = file.cooks ?? [{}];
  const cooks = said.map((cook, i) =>
    withTrials(completeCook(cook, calledAmong(said, cook, i), assumed), i, file, reference),
  );
  const place = completePlace(file, reference, assumed);
  const cooking = completeCooking(file, reference, assumed);
  const money = completeMoney(file, currency, assumed);
  const limits = completeLimits(file, models, assumed);
  return {
    assumed,
    kitchen: {
      name: file.name ?? 'Unnamed kitchen',
      currency,
      cooks,
      cooksAtOnce: file.cooksAtOnce ?? 1,
      ...place,
      avoids: file.avoids ?? [],
      ...cooking,
      owned: (file.owned ?? []).map(({ condition = 'serviceable', use = 'weekly', keep = 'use', ...knife }) => ({
        ...knife,
        condition,
        use,
        keep,
      })),
      tools: file.tools ?? [],
      ...money,
      limits,
      tastes: { ...NO_TASTES, ...file.tastes },
      wishes: file.wishes ?? [],
      diary: file.diary ?? [],
      learnsFromUse: file.learnsFromUse ?? true,
      closedMonths: file.closedMonths ?? [],
    },
  };
}
