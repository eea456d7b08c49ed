import { z } from '../zod';
import { faultsOf, FaultyInput, shown } from './faults';
import { id, list, number, text, truth } from './fields';
import { parseJson } from './json';
import { BOUNDS, MOST } from './kitchenBounds';

const long = number(...BOUNDS.placeMm);
const named = { name: text(60).optional() };
const inside = { lengthMm: long, widthMm: long, heightMm: number(...BOUNDS.insideHeightMm) };
const slot = z.strictObject({
  lengthMm: long,
  heightMm: number(...BOUNDS.slotHeightMm),
  thicknessMm: number(...BOUNDS.slotThicknessMm),
});
const pocket = z.strictObject({ lengthMm: long, widthMm: number(...BOUNDS.slotHeightMm) });
const guard = z.strictObject({ lengthMm: long, heightMm: number(...BOUNDS.slotHeightMm) });
const several = <T extends z.ZodType>(item: T) => list(item, MOST.slots).min(1, 'is empty; describe one');

export const pocketsSchema = several(pocket);

export const placeSchema = z.discriminatedUnion('kind', [
  /** A block: the blade goes in, the handle stands out. */
  z.strictObject({ ...named, kind: z.literal('block'), slots: several(slot) }),
  /** A tray in a drawer, its inside: knives lie flat, or (`slats` rows) stand on their spines between slats. */
  z.strictObject({
    ...named,
    kind: z.literal('tray'),
    ...inside,
    slats: number(1, MOST.slots, true).nullable(),
  }),
  /** A magnetic strip, and the room below it. */
  z.strictObject({ ...named, kind: z.literal('strip'), lengthMm: long, belowMm: number(...BOUNDS.belowStripMm) }),
  /** A roll: every pocket takes a whole knife. */
  z.strictObject({ ...named, kind: z.literal('roll'), pockets: pocketsSchema }),
  /** A plain drawer: what lies in it wears a guard. */
  z.strictObject({
    ...named,
    kind: z.literal('drawer'),
    ...inside,
    guards: list(guard, MOST.slots),
  }),
]);
export type StoragePlace = z.infer<typeof placeSchema>;
export type StorageKind = StoragePlace['kind'];
/** A slot or pocket, and a blade's guard. */
export type Slot = z.infer<typeof slot>;
export type Pocket = z.infer<typeof pocket>;
export type Guard = z.infer<typeof guard>;

const at = {
  /** Which of the storage's places. */
  place: number(0, MOST.places - 1, true),
  /** Which slot, pocket, row or guard; the corner of what lies in a tray or hangs on a strip, mm. */
  slot: number(0, MOST.slots - 1, true).optional(),
  xMm: number(0, 2000).optional(),
  yMm: number(0, 2000).optional(),
  /** Lies across the tray. */
  turned: truth,
};

const places = list(placeSchema, MOST.places);
/** Share of the room that is to stay free for what is bought later. */
const growth = number(0, 1);

/** The storage of a kitchen, and where what was laid by hand lies: an owned knife by its place in the drawer, a planned one by its model. */
export const storageSchema = z.strictObject({
  growth: growth.optional(),
  places,
  laid: list(
    z.strictObject({ owned: number(0, MOST.owned - 1, true).optional(), model: id.optional(), ...at }),
    MOST.laid,
  ).optional(),
});
export type Storage = z.infer<typeof storageSchema>;

export const storageFileSchema = z.strictObject({
  format: z.literal('scabbard.storage', { error: (i) => `${shown(i.input)} is not "scabbard.storage"` }),
  version: z.literal(1, { error: (i) => `${shown(i.input)} is not 1, the version this release reads` }),
  growth: growth.default(0),
  places,
});
export type StorageFile = z.infer<typeof storageFileSchema>;

/** Reads a storage file. Throws {@link FaultyInput} with every fault. */
export function readStorageText(text: string): StorageFile {
  const parsed = storageFileSchema.safeParse(parseJson(text));
  if (!parsed.success) throw new FaultyInput(faultsOf(parsed.error));
  return parsed.data;
}

export const placedSchema = z.strictObject({ ref: z.string(), ...at });
export type Placed = z.infer<typeof placedSchema>;

export const keepingFileSchema = z.strictObject({
  format: z.literal('scabbard.keeping'),
  version: z.literal(1),
  fits: z.boolean(),
  placed: z.array(placedSchema),
  left: z.array(z.strictObject({ ref: z.string(), why: z.string() })),
  /** Share of the room that stays free. */
  growthLeft: z.number().min(0).max(1),
  /** The smallest change that makes it fit. */
  buy: z.array(z.strictObject({ what: z.string(), why: z.string(), price: z.number().min(0) })),
  /** No arrangement leaves out less. */
  proven: z.boolean(),
  /** So many are left out whatever the arrangement: as many as are left where it is proven. */
  leftAtLeast: z.number().int().min(0),
});
/** Where the knives of a kitchen live, and what does not fit. */
export type Keeping = z.infer<typeof keepingFileSchema>;
