import { z } from '../zod';
import { faultsOf, FaultyInput, shown } from './faults';
import { parseJson } from './json';

const mm = (low: number, high: number) =>
  z
    .number({ error: (i) => `${shown(i.input)} is not a number of millimetres` })
    .min(low)
    .max(high);
const long = mm(20, 2000);
const MOST_PLACES = 40;
const MOST_SLOTS = 60;

const placeSchema = z.discriminatedUnion('kind', [
  /** A block: the blade goes in, the handle stands out. */
  z.strictObject({
    kind: z.literal('block'),
    slots: z
      .array(z.strictObject({ lengthMm: long, heightMm: mm(5, 300), thicknessMm: mm(0.5, 60) }))
      .min(1)
      .max(MOST_SLOTS),
  }),
  /** A tray in a drawer, its inside: knives lie flat, or stand between slats. */
  z.strictObject({
    kind: z.literal('tray'),
    lengthMm: long,
    widthMm: long,
    heightMm: mm(5, 500),
    /** Rows between slats in which knives stand on their spines; null: they lie flat. */
    slats: z.number().int().min(1).max(MOST_SLOTS).nullable(),
  }),
  /** A magnetic strip, and the room below it. */
  z.strictObject({ kind: z.literal('strip'), lengthMm: long, belowMm: mm(0, 2000) }),
  /** A roll: every pocket takes a whole knife. */
  z.strictObject({
    kind: z.literal('roll'),
    pockets: z
      .array(z.strictObject({ lengthMm: long, widthMm: mm(5, 300) }))
      .min(1)
      .max(MOST_SLOTS),
  }),
]);
export type StoragePlace = z.infer<typeof placeSchema>;

export const storageFileSchema = z.strictObject({
  format: z.literal('scabbard.storage', { error: (i) => `${shown(i.input)} is not "scabbard.storage"` }),
  version: z.literal(1, { error: (i) => `${shown(i.input)} is not 1, the version this release reads` }),
  /** Share of the room that is to stay free for what is bought later. */
  growth: z.number().min(0).max(1).default(0),
  places: z.array(placeSchema).max(MOST_PLACES),
});
export type StorageFile = z.infer<typeof storageFileSchema>;

/** Reads a storage file. Throws {@link FaultyInput} with every fault. */
export function readStorageText(text: string): StorageFile {
  const parsed = storageFileSchema.safeParse(parseJson(text));
  if (!parsed.success) throw new FaultyInput(faultsOf(parsed.error));
  return parsed.data;
}

const placedSchema = z.strictObject({
  ref: z.string(),
  /** Which of the storage's places. */
  place: z.number().int().min(0),
  /** Which slot, pocket or row; the corner of what lies in a tray or hangs on a strip, mm. */
  slot: z.number().int().min(0).optional(),
  xMm: z.number().min(0).optional(),
  yMm: z.number().min(0).optional(),
  /** Lies across the tray. */
  turned: z.boolean(),
});
export type Placed = z.infer<typeof placedSchema>;

export const keepingFileSchema = z.strictObject({
  format: z.literal('scabbard.keeping'),
  version: z.literal(1),
  fits: z.boolean(),
  placed: z.array(placedSchema),
  left: z.array(z.strictObject({ ref: z.string(), why: z.string() })),
  /** Share of the room that stays free. */
  growthLeft: z.number().min(0).max(1),
  /** The least that makes it fit. */
  buy: z.array(z.strictObject({ what: z.string(), why: z.string(), price: z.number().min(0) })),
  /** No arrangement leaves out less. */
  proven: z.boolean(),
});
/** Where the knives of a kitchen live, and what does not fit. */
export type Keeping = z.infer<typeof keepingFileSchema>;
