import { z } from '../zod';
import { currency } from './fields';

/** The figures of a blade that a brief bounds, in the order in which they are told. */
export const BRIEF_FIGURES = [
  'lengthMm',
  'heelHeightMm',
  'weightG',
  'hrc',
  'spineHeelMm',
  'behindEdgeMm',
  'edgeAngleDeg',
] as const;
export type BriefFigure = (typeof BRIEF_FIGURES)[number];

const text = z.string().max(2000);
const texts = z.array(text).max(200);
const figure = z.number();
const range = z.tuple([figure, figure]);
const money = z.number().min(0).max(1e12);

export const stepBriefSchema = z.strictObject({
  order: z.number().int().nonnegative(),
  type: z.string().max(200),
  /** The kind of knife and what matters of it, as one would tell a seller. */
  inWords: text,
  /** The model it was worked out on: an example, not an order. */
  pick: z.strictObject({
    model: z.string().max(200),
    price: money,
    lengthMm: figure,
    heelHeightMm: figure.nullable(),
    weightG: figure.nullable(),
    hrc: figure.nullable(),
    spineHeelMm: figure.nullable(),
    behindEdgeMm: figure.nullable(),
    edgeAngleDeg: figure.nullable(),
  }),
  /** Within these the knife stays as good for this cook; null where the figure does not matter. */
  ranges: z.strictObject({
    lengthMm: range,
    heelHeightMm: range.nullable(),
    weightG: range.nullable(),
    hrc: range.nullable(),
    spineHeelMm: range.nullable(),
    behindEdgeMm: range.nullable(),
    edgeAngleDeg: range.nullable(),
  }),
  must: texts,
  avoid: texts,
  indifferent: texts,
  /** The highest price at which it stays in the plan, in the kitchen's currency. */
  priceUpTo: money,
  /** What would take its place above that; null where nothing would. */
  instead: text.nullable(),
  ask: texts,
  inTheHand: texts,
});
/** What to look for in any shop for one step of a plan. Lengths in mm, weight in g, hardness in HRC, angle in degrees a side. */
export type StepBrief = z.infer<typeof stepBriefSchema>;

export const briefFileSchema = z.strictObject({
  format: z.literal('scabbard.brief'),
  version: z.literal(1),
  kitchen: text,
  currency,
  steps: z.array(stepBriefSchema).max(200),
});
/** The briefs of a plan's purchases. */
export type Brief = z.infer<typeof briefFileSchema>;
