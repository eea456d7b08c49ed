import { bladeModelSchema } from '../blade/schema';
import { z } from '../zod';
import { currency } from './fields';

const count = z.number().int().nonnegative();
const share = z.number().min(-1).max(2);
const money = z.number().min(-1e12).max(1e12);
const text = z.string().max(2000);
const id = z.string().max(200);
const texts = z.array(text).max(200);
const blade = bladeModelSchema.shape;

const planStepSchema = z.strictObject({
  order: count,
  action: z.enum(['buy', 'sharpen', 'repair', 'service', 'tool', 'retire']),
  need: z.enum(['need', 'want']),
  type: id.nullable(),
  model: id.nullable(),
  maker: text.nullable(),
  /** Plain name of the thing: model, owned knife or tool. */
  name: text,
  lengthMm: z.number().nullable(),
  heelHeightMm: z.number().nullable(),
  weightG: z.number().nullable(),
  hrc: z.number().nullable(),
  steel: blade.steel.nullable(),
  bevel: blade.bevel.nullable(),
  handed: blade.handed.nullable(),
  /** Of all its pieces. */
  price: money,
  /** How many equal pieces; one when left out. `gain` and `worth` are then of all. */
  quantity: count.optional(),
  /** Price of one of them. */
  unitPrice: money.optional(),
  month: count,
  coverageAfter: share,
  gain: share,
  /** What it costs a year: price over its life, sharpening, replacement; an estimate. */
  costPerYear: money,
  /** Points it adds less points paid at the price of a point. */
  worth: z.number(),
  /** Highest price at which it stays in the plan; null until it is asked for. */
  walkAwayPrice: money.nullable(),
  /** How its edge fares on the work that goes to it here; null for what has no edge to keep. */
  edge: z
    .strictObject({
      averageKeenness: z.number(),
      sharpenEveryWeeks: z.number().nullable(),
      honeEveryDays: z.number().nullable(),
      angleDeg: z.number(),
    })
    .nullable(),
  /** Share of perturbed plans in which this model at this length stayed; null until it has been asked. */
  stays: share.nullable(),
  /** The same for any knife of its kind about as long, and for any of its type. */
  staysAs: z.strictObject({ kind: share, type: share }).optional(),
  /** The model that takes its place most often where it does not stay. */
  closeTo: id.optional(),
  because: texts,
  takesOver: z
    .array(
      z.strictObject({
        task: id,
        minutesPerWeek: z.number(),
        score: z.number(),
        /** The score rests on trials on food. */
        measured: z.literal(true).optional(),
      }),
    )
    .max(1000),
  runnersUp: z.array(z.strictObject({ model: id, costsCoverage: z.number(), price: money })).max(100),
  /** Index of the owned knife that the step is about. */
  owned: count.optional(),
  /** It cuts nothing but keeps the kit: a board, guards, something to hone or sharpen with. */
  upkeep: z.literal(true).optional(),
});
/** One step of a plan. Money is decimal, exact to the currency's minor unit; coverage is 0–1. Documented in docs/formats.md. */
export type PlanStep = z.infer<typeof planStepSchema>;

const lengthBandSchema = z.strictObject({ fromMm: z.number(), toMm: z.number(), why: texts });
/** The band of edge lengths that suits a cook's general knife, mm, with the reasons that moved it. */
export type LengthBand = z.infer<typeof lengthBandSchema>;

/** What becomes of an owned knife: put right, taken out, kept apart, without work, left dull, or kept as it is. */
const ownedFateSchema = z.strictObject({
  owned: count,
  fate: z.enum(['put-right', 'retired', 'apart', 'unused', 'kept-dull', 'kept']),
  why: text,
});
export type OwnedFate = z.infer<typeof ownedFateSchema>;

export const planFileSchema = z.strictObject({
  format: z.literal('scabbard.plan'),
  version: z.literal(1),
  kitchen: text,
  currency,
  coverage: z.strictObject({ now: share, needs: share, all: share }),
  /** Coverage in points less what the kit is paid, and the price of a point behind it, in the kitchen's currency. */
  worth: z.strictObject({ points: z.number(), pointPrice: money }),
  steps: z.array(planStepSchema).max(200),
  spent: money,
  costPerYear: money,
  /** What a year of keeping the knives going takes: sharpening and worn-out blades, minutes at one's own stones, blades bought anew. */
  upkeep: z.strictObject({ perYear: money, minutesPerYear: z.number(), replacedPerYear: z.number() }).optional(),
  unserved: z.array(z.strictObject({ task: id, minutesPerWeek: z.number(), score: z.number(), why: text })).max(1000),
  lengthWanted: lengthBandSchema,
  warnings: texts,
  assumed: texts,
  /** What holding and trying knives changed in it, in sentences. */
  tried: texts.optional(),
  /** Where several work at once: how many of each kind are wanted, and are there. */
  copies: z
    .array(z.strictObject({ role: text, wanted: count, have: count, why: text }))
    .max(200)
    .optional(),
  /** What becomes of each owned knife once the plan is carried out, and why; left out where none is owned. */
  drawer: z.array(ownedFateSchema).max(200).optional(),
  /** Where an order was asked for: coverage given up on the way, on average, 0–1. */
  orderCosts: z.number().optional(),
  /** Whether the kit is proven to be of the greatest worth within the limits, and how much more it could be, 0–1; null before a search. */
  proof: z.strictObject({ best: z.boolean(), gap: z.number().nullable() }),
});
/** The answer to a kitchen file: steps in order, what they cost and reach, and what stays badly served. */
export type Plan = z.infer<typeof planFileSchema>;
