import { z } from '../zod';
import { LIST_NAME_MOST, STEEL_IDS } from '../blade/words';
import { FOODS_AVOIDED } from '../cutting/words';
import { isCurrency, isExact } from '../money/currency';
import { faultsOf, FaultyInput, shown } from './faults';
import { currency, date, id, list, money, number, object, oneOf, share, taste, text, truth } from './fields';
import { parseJson } from './json';
import { BOUNDS, MOST, PHOTO } from './kitchenBounds';
import { diaryEntrySchema } from './diaryFile';
import { pocketsSchema, storageSchema } from './storageFile';
import { trialsSchema } from './trialsFile';
import {
  BALANCE_TASTES,
  BOARD_MATERIALS,
  CARVINGS,
  CONDITIONS,
  COUNTERS,
  EXPERIENCES,
  GRIPS,
  HANDLE_TASTES,
  HANDS,
  HONINGS,
  KEEPINGS,
  LENGTH_SCHOOLS,
  LIFTINGS,
  PERIODS,
  SCHOOL_IDS,
  SECOND_KNIVES,
  SHARPENINGS,
  SPENDINGS,
  STORAGES,
  STRENGTHS,
  TASTES,
  UPKEEPS,
  USES,
  WEIGHT_TASTES,
  WISHES,
} from './kitchenWords';

/** Largest kitchen file accepted, bytes. */
export const MAX_FILE_BYTES = 2 * 1024 * 1024;
/** Most values in it: every list at its longest has some 120,000. */
export const MAX_VALUES = 140_000;

const cookSchema = object({
  name: text(60).optional(),
  handLengthMm: number(...BOUNDS.handLengthMm).optional(),
  palmBreadthMm: number(...BOUNDS.palmBreadthMm).optional(),
  handed: oneOf(HANDS).optional(),
  strength: oneOf(STRENGTHS).optional(),
  experience: oneOf(EXPERIENCES).optional(),
  grip: oneOf(GRIPS).optional(),
  motions: object({
    rock: share.optional(),
    push: share.optional(),
    pull: share.optional(),
    chop: share.optional(),
  }).optional(),
  wantsLengthMm: number(...BOUNDS.wantsLengthMm)
    .nullable()
    .optional(),
  wantsWeight: oneOf(WEIGHT_TASTES).optional(),
  wantsBalance: oneOf(BALANCE_TASTES).optional(),
  nervous: truth.optional(),
  mayUse: list(number(0, MOST.owned - 1, true), MOST.owned)
    .nullable()
    .optional(),
});

/** An edge traced from a photo: mm from the heel, above the flat line. */
const profileSchema = object({
  on: date,
  lengthMm: number(...BOUNDS.edgeLengthMm),
  heelHeightMm: number(...BOUNDS.heelHeightMm),
  edge: list(object({ x: number(...PHOTO.edgeX), y: number(...PHOTO.edgeY) }), PHOTO.edgePoints),
});

const ownedSchema = object({
  type: id.optional(),
  model: id.nullable().optional(),
  lengthMm: number(...BOUNDS.edgeLengthMm).optional(),
  steel: oneOf(STEEL_IDS).optional(),
  condition: oneOf(CONDITIONS).optional(),
  use: oneOf(USES).optional(),
  boughtOn: date.optional(),
  paid: money.optional(),
  sharpenedOn: date.optional(),
  keep: oneOf(KEEPINGS).optional(),
  heelHeightMm: number(...BOUNDS.heelHeightMm).optional(),
  weightG: number(15, 1500).optional(),
  spineMm: number(0.8, 12).optional(),
  behindEdgeMm: number(0.05, 3).optional(),
  balanceMm: number(-80, 120).optional(),
  flex: number(0, 1).optional(),
  flatShare: number(...PHOTO.flatShare).optional(),
  bellyMm: number(...PHOTO.bellyMm).optional(),
  profiles: list(profileSchema, MOST.profiles).optional(),
}).check((ctx) => {
  if (!ctx.value.type && !ctx.value.model)
    ctx.issues.push({
      code: 'custom',
      input: ctx.value,
      path: ['type'],
      message: 'is missing; name the blade type, such as chef, or a catalogue model',
    });
});

/** A dish of one's own: tasks for so many portions (4 when not said). */
const ownDishSchema = object({
  id: id.check((ctx) => {
    if (!/^[a-z0-9][a-z0-9-]*$/.test(ctx.value))
      ctx.issues.push({
        code: 'custom',
        input: ctx.value,
        message: `${shown(ctx.value)} is not lower-case letters, digits and dashes`,
      });
  }),
  name: text(80),
  portions: number(...BOUNDS.portions).optional(),
  contains: list(oneOf(FOODS_AVOIDED), 7).optional(),
  tasks: list(object({ id, amount: number(...BOUNDS.amount), optional: truth.optional() }), 60),
});

const boardSchema = object({
  lengthMm: number(...BOUNDS.boardLengthMm).optional(),
  widthMm: number(...BOUNDS.boardWidthMm).optional(),
  material: oneOf(BOARD_MATERIALS).optional(),
  counter: oneOf(COUNTERS).optional(),
});

const cookingSchema = object({
  mealsPerWeek: number(...BOUNDS.mealsPerWeek).optional(),
  portions: number(...BOUNDS.portions).optional(),
  guests: object({
    portions: number(...BOUNDS.guests),
    times: number(...BOUNDS.times),
    per: oneOf(PERIODS),
  }).optional(),
  sizes: list(
    object({
      id,
      heightMm: number(1, 500).optional(),
      widthMm: number(1, 600).optional(),
      minutes: number(...BOUNDS.minutes).optional(),
    }),
    200,
  ).optional(),
  cuisines: list(object({ id, share: share.optional() }), 60).optional(),
  dishes: list(
    object({
      id,
      times: number(...BOUNDS.times),
      per: oneOf(PERIODS),
      portions: number(...BOUNDS.portions).optional(),
      months: list(number(1, 12, true), 12).optional(),
    }),
    400,
  ).optional(),
  ownDishes: list(ownDishSchema, MOST.ownDishes).optional(),
  tasks: list(
    object({
      id,
      times: number(...BOUNDS.times),
      per: oneOf(PERIODS),
      amount: number(...BOUNDS.amount).optional(),
      matters: number(...BOUNDS.matters).optional(),
    }),
    400,
  ).optional(),
});

/** Another kitchen a roll is packed for: what it holds, and what is cooked there on which board; what is not said is as at home. */
const awaySchema = object({
  name: text(60).optional(),
  pockets: pocketsSchema.optional(),
  maxWeightG: number(...BOUNDS.rollWeightG)
    .nullable()
    .optional(),
  cook: number(0, MOST.cooks - 1, true).optional(),
  board: boardSchema.optional(),
  roughUse: truth.optional(),
  cooking: cookingSchema.optional(),
});

/** The kitchen file as people write it: everything but `format` and `version` may be left out. Documented in docs/formats.md. */
export const kitchenFileSchema = object({
  format: z.literal('scabbard.kitchen', { error: (issue) => `${shown(issue.input)} is not "scabbard.kitchen"` }),
  version: z.literal(1, { error: (issue) => `${shown(issue.input)} is not 1, the version this release reads` }),
  name: text(80).optional(),
  currency: currency.optional(),
  cooks: list(cookSchema, MOST.cooks).min(1, 'is empty; describe at least one cook or leave it out').optional(),
  cooksAtOnce: number(...BOUNDS.cooksAtOnce, true).optional(),
  board: boardSchema.optional(),
  habits: object({
    upkeep: oneOf(UPKEEPS).optional(),
    sharpening: oneOf(SHARPENINGS).optional(),
    sharpeningPrice: money.nullable().optional(),
    /** What the tools of each way of sharpening cost here. */
    sharpenerPrices: object({
      stones: money.optional(),
      'pull-through': money.optional(),
      powered: money.optional(),
    }).optional(),
    visitsPerYear: number(...BOUNDS.visitsPerYear)
      .nullable()
      .optional(),
    /** Own stones are got out no more often than this. */
    sharpenAtMostEveryWeeks: number(...BOUNDS.sharpenAtMostEveryWeeks)
      .nullable()
      .optional(),
    honing: oneOf(HONINGS).optional(),
    storage: oneOf(STORAGES).optional(),
    lifts: oneOf(LIFTINGS).nullable().optional(),
    carves: oneOf(CARVINGS).nullable().optional(),
    dishwasher: truth.optional(),
    roughUse: truth.optional(),
    bones: truth.optional(),
  }).optional(),
  avoids: list(oneOf(FOODS_AVOIDED), 7).optional(),
  cooking: cookingSchema.optional(),
  owned: list(ownedSchema, MOST.owned).optional(),
  tools: list(id, MOST.tools).optional(),
  diary: list(diaryEntrySchema, MOST.diary).optional(),
  /** Whether the uses in the diary teach the loads and motions; they do unless it is said not to. */
  learnsFromUse: truth.optional(),
  /** Months in which nothing is cooked here, 1–12. */
  closedMonths: list(number(1, 12, true), 12).optional(),
  /** Where knives live here, and the rolls packed for other kitchens. */
  storage: storageSchema.optional(),
  away: list(awaySchema, MOST.away).optional(),
  trials: trialsSchema.optional(),
  wishes: list(oneOf(WISHES), WISHES.length).optional(),
  budget: object({
    total: money.nullable().optional(),
    perMonth: money.nullable().optional(),
    spend: oneOf(SPENDINGS).optional(),
    pointPrice: money.nullable().optional(),
  }).optional(),
  limits: object({
    maxKnives: number(...BOUNDS.maxKnives, true).optional(),
    school: oneOf(SCHOOL_IDS).optional(),
    lengthSchool: oneOf(LENGTH_SCHOOLS).optional(),
    must: list(id, MOST.must).optional(),
    never: list(id, MOST.never).optional(),
    maker: text(80).nullable().optional(),
    list: text(LIST_NAME_MOST).nullable().optional(),
    second: oneOf(SECOND_KNIVES).nullable().optional(),
    order: list(id, MOST.order).optional(),
    steel: z
      .union([oneOf(STEEL_IDS), list(oneOf(STEEL_IDS), STEEL_IDS.length)], {
        error: (issue) => `${shown(issue.input)} is not one of ${STEEL_IDS.join(', ')}, nor a list of them`,
      })
      .nullable()
      .optional(),
    handle: oneOf(HANDLE_TASTES).nullable().optional(),
  }).optional(),
  tastes: object({
    steel: taste(TASTES.steel),
    main: taste(TASTES.main),
    dimples: taste(TASTES.dimples),
    bolster: taste(TASTES.bolster),
    third: taste(TASTES.third),
    rawMeat: taste(TASTES.rawMeat),
    garlic: taste(TASTES.garlic),
    leftover: taste(TASTES.leftover),
    specialist: taste(TASTES.specialist),
    looks: taste(TASTES.looks),
    make: taste(TASTES.make),
    origin: taste(TASTES.origin),
    handleShape: taste(TASTES.handleShape),
    boning: taste(TASTES.boning),
    boningEdge: taste(TASTES.boningEdge),
    sharpening: taste(TASTES.sharpening),
    rod: taste(TASTES.rod),
    pair: taste(TASTES.pair),
  }).optional(),
}).check((ctx) => {
  const { currency = 'EUR', budget } = ctx.value;
  if (!isCurrency(currency)) return;
  for (const key of ['total', 'perMonth', 'pointPrice'] as const) {
    const amount = budget?.[key];
    if (typeof amount === 'number' && !isExact(amount, currency))
      ctx.issues.push({
        code: 'custom',
        input: amount,
        path: ['budget', key],
        message: `${amount} has more decimals than ${currency} has`,
      });
  }
});

/** A kitchen as it is stored, exported and imported: what was said, and nothing that was not. */
export type KitchenFile = z.infer<typeof kitchenFileSchema>;
export type CookFile = NonNullable<KitchenFile['cooks']>[number];
export type DishFile = NonNullable<NonNullable<KitchenFile['cooking']>['dishes']>[number];
export type OwnDishFile = z.infer<typeof ownDishSchema>;
export type ProfileFile = z.infer<typeof profileSchema>;
export type AwayFile = z.infer<typeof awaySchema>;
export type OwnedFile = NonNullable<KitchenFile['owned']>[number];

/** Parses an unknown value as a kitchen file. Throws {@link FaultyInput} with every fault. */
export function readKitchenFile(value: unknown): KitchenFile {
  const result = kitchenFileSchema.safeParse(value);
  if (!result.success) throw new FaultyInput(faultsOf(result.error));
  return result.data;
}

/** Parses the text of a kitchen file. Throws {@link FaultyInput}, also when it is not JSON or too large. */
export function readKitchenText(source: string): KitchenFile {
  if (source.length > MAX_FILE_BYTES)
    throw new FaultyInput([{ path: 'file', message: 'is larger than 2 MB; a kitchen file is smaller than that' }]);
  return readKitchenFile(parseJson(source, MAX_VALUES));
}

/** An empty kitchen: everything is assumed until it is said. */
export function emptyKitchen(name: string): KitchenFile {
  return { format: 'scabbard.kitchen', version: 1, name };
}
