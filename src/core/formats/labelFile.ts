import { BEVELS, HANDED, STEEL_IDS } from '../blade/words';
import { z } from '../zod';

/** The parts of a label that are printed, in this order. */
export const LABEL_KEYS = [
  'type',
  'lengthMm',
  'heelHeightMm',
  'weightG',
  'hrc',
  'spineHeelMm',
  'edgeAngleDeg',
  'bevel',
  'handed',
  'steel',
  'stainless',
  'price',
  'currency',
] as const;

const figure = z.number().nonnegative();
const text = z.string().max(4000);

/** How a knife in a shop is judged. */
const LABEL_VERDICTS = ['buy', 'dear', 'wrong', 'leave'] as const;
export type LabelVerdict = (typeof LABEL_VERDICTS)[number];

export const labelFileSchema = z.strictObject({
  format: z.literal('scabbard.label'),
  version: z.literal(1),
  knife: z.boolean(),
  /** What stands on the label; what does not is left out. */
  read: z.strictObject({
    type: z.string().optional(),
    lengthMm: figure.optional(),
    heelHeightMm: figure.optional(),
    weightG: figure.optional(),
    hrc: figure.optional(),
    spineHeelMm: figure.optional(),
    edgeAngleDeg: figure.optional(),
    bevel: z.enum(BEVELS).optional(),
    handed: z.enum(HANDED).optional(),
    steel: z.enum(STEEL_IDS).optional(),
    stainless: z.boolean().optional(),
    price: figure.optional(),
    currency: z.string().optional(),
  }),
  asks: z.array(z.enum(LABEL_KEYS)),
  unread: z.array(text),
  verdict: z
    .strictObject({
      word: z.enum(LABEL_VERDICTS),
      step: z.number().int().nullable(),
      priceUpTo: figure,
      because: z.array(text),
    })
    .nullable()
    .optional(),
});
/** A shop's label as it was read and, with a kitchen, judged. Lengths in mm, weight in g, hardness in HRC, angle in degrees a side. */
export type LabelFile = z.infer<typeof labelFileSchema>;
