import { KEEPING } from '../constants';
import type { Guard, Placed, Pocket, Slot, StoragePlace } from '../formats/storageFile';
import type { Fixed, Piece } from './rectangles';
import { seated } from './seats';
import { freeSegments, intoSegments } from './segments';
import type { Thing } from './things';
import { isTooMuch, layOut } from './tray';

/** Where each of some things lies in a place, in their order. */
export type Spot = Omit<Placed, 'ref' | 'place'>;
export type Where = Spot[];

/** A thing that stays where it was laid. */
export interface Held {
  thing: Thing;
  at: Spot;
}

/** Whether things fit into a place together, and how; `known`: it was searched to the end. */
export interface Fitting {
  where: Where | null;
  known: boolean;
}

const NO: Fitting = { where: null, known: true };

export const takesSlot = (thing: Thing, slot: Slot | undefined): boolean =>
  slot !== undefined &&
  thing.bladeMm <= slot.lengthMm &&
  thing.heelMm <= slot.heightMm &&
  thing.spineMm <= slot.thicknessMm;
export const takesPocket = (thing: Thing, pocket: Pocket | undefined): boolean =>
  pocket !== undefined && thing.longMm <= pocket.lengthMm && thing.highMm <= pocket.widthMm;
export const takesGuard = (thing: Thing, guard: Guard | undefined): boolean =>
  guard !== undefined && thing.bladeMm <= guard.lengthMm && thing.heelMm <= guard.heightMm;

/** A knife lying in a tray as a rectangle, or in a drawer with its guard on. */
export function pieceOf({ longMm, highMm, heelMm }: Thing, guarded: boolean): Piece {
  const wall = guarded ? KEEPING.guardWall.value : 0;
  return { long: longMm + wall, high: Math.max(highMm, heelMm + 2 * wall) };
}

/** Height that lying knives need. */
export const lyingMm = ({ thickMm, spineMm }: Thing, guarded: boolean): number =>
  guarded ? Math.max(thickMm, spineMm + 2 * KEEPING.guardWall.value) : thickMm;

/** What a thing needs along a strip: its height, and room for fingers beside it. */
export const alongStrip = ({ highMm }: Thing): number => highMm + KEEPING.gap.value;
export const belowStrip = ({ handleMm }: Thing): number => handleMm + KEEPING.gripAboveHeel.value;

/** What a laid thing covers of a tray or drawer, mm. */
export function covered(thing: Thing, { xMm = 0, yMm = 0, turned }: Spot, guarded: boolean): Fixed {
  const { long, high } = pieceOf(thing, guarded);
  return { x: xMm, y: yMm, wide: turned ? high : long, deep: turned ? long : high };
}

function lying(
  things: readonly Thing[],
  { lengthMm, widthMm, heightMm }: { lengthMm: number; widthMm: number; heightMm: number },
  held: readonly Held[],
  guarded: boolean,
): Fitting {
  if (things.some((thing) => lyingMm(thing, guarded) > heightMm)) return NO;
  const { laid, known } = layOut(
    things.map((thing) => pieceOf(thing, guarded)),
    lengthMm,
    widthMm,
    held.map(({ thing, at }) => covered(thing, at, guarded)),
  );
  return { where: laid && laid.map(({ x, y, turned }) => ({ xMm: x, yMm: y, turned })), known };
}

/** Every thing in a seat of its own, the smallest that takes it where there is a choice: slots and pockets that held ones have are taken. */
function inSeats(
  things: readonly Thing[],
  sizes: readonly number[],
  held: readonly Held[],
  takes: (thing: Thing, seat: number) => boolean,
): Fitting {
  const taken = new Set(held.map(({ at }) => at.slot));
  const free = sizes.map((_, s) => s).filter((s) => !taken.has(s));
  const order = free.sort((a, b) => (sizes[a] ?? 0) - (sizes[b] ?? 0));
  const found = seated(things.length, order.length, (t, s) => {
    const [thing, seat] = [things[t], order[s]];
    return thing !== undefined && seat !== undefined && takes(thing, seat);
  });
  return found ? { where: found.map((s) => ({ slot: order[s] ?? 0, turned: false })), known: true } : NO;
}

/** Things on a plain drawer's floor, each in a guard that takes it, with those that are held. */
function inDrawer(things: readonly Thing[], place: StoragePlace & { kind: 'drawer' }, held: readonly Held[]): Fitting {
  const all = [...things, ...held.map(({ thing }) => thing)];
  const guards = seated(all.length, place.guards.length, (t, g) => {
    const thing = all[t];
    return thing !== undefined && takesGuard(thing, place.guards[g]);
  });
  if (!guards) return NO;
  const { where, known } = lying(things, place, held, true);
  return { where: where && where.map((at, i) => ({ ...at, slot: guards[i] ?? 0 })), known };
}

/** Whether some things fit into a place together beside what is held there, and where each of them is. */
export function fitting(things: readonly Thing[], place: StoragePlace, held: readonly Held[] = []): Fitting {
  switch (place.kind) {
    case 'block':
      return inSeats(
        things,
        place.slots.map(({ lengthMm, heightMm }) => lengthMm * heightMm),
        held,
        (thing, s) => takesSlot(thing, place.slots[s]),
      );
    case 'roll':
      return inSeats(
        things,
        place.pockets.map(({ lengthMm, widthMm }) => lengthMm * widthMm),
        held,
        (thing, s) => takesPocket(thing, place.pockets[s]),
      );
    case 'strip': {
      if (things.some((thing) => belowStrip(thing) > place.belowMm)) return NO;
      const taken = held.map(({ thing, at }) => ({ row: 0, from: at.xMm ?? 0, long: alongStrip(thing) }));
      // the last one needs no room beside it
      const found = intoSegments(things.map(alongStrip), freeSegments(1, place.lengthMm + KEEPING.gap.value, taken));
      return found ? { where: found.map(({ x }) => ({ xMm: x, yMm: 0, turned: false })), known: true } : NO;
    }
    case 'drawer':
      return inDrawer(things, place, held);
    case 'tray': {
      const { lengthMm, slats } = place;
      if (slats === null) return lying(things, place, held, false);
      if (things.some((thing) => !standsBetween(thing, place))) return NO;
      const taken = held.map(({ thing, at }) => ({ row: at.slot ?? 0, from: at.xMm ?? 0, long: thing.longMm }));
      const found = intoSegments(
        things.map(({ longMm }) => longMm),
        freeSegments(slats, lengthMm, taken),
      );
      return found ? { where: found.map(({ row, x }) => ({ slot: row, xMm: x, turned: false })), known: true } : NO;
    }
  }
}

/** Whether a knife stands on its spine between the slats of a tray. */
export const standsBetween = (
  { highMm, thickMm }: Thing,
  { heightMm, widthMm, slats }: StoragePlace & { kind: 'tray' },
): boolean => highMm <= heightMm && thickMm <= widthMm / (slats ?? 1);

/** Whether things can be seen not to fit into a place together without trying: false where only a search could tell. */
export function isBeyond(things: readonly Thing[], place: StoragePlace, held: readonly Held[]): boolean {
  const guarded = place.kind === 'drawer';
  if (!guarded && (place.kind !== 'tray' || place.slats !== null)) return fitting(things, place, held).where === null;
  return isTooMuch(
    things.map((thing) => pieceOf(thing, guarded)),
    place.lengthMm,
    place.widthMm,
    held.map(({ thing, at }) => covered(thing, at, guarded)),
  );
}

/** Share of a place that some things leave free, 0–1. */
export function freeShare(things: readonly Thing[], place: StoragePlace): number {
  const sum = (of: (thing: Thing) => number) => things.reduce((total, thing) => total + of(thing), 0);
  const ofFloor = (guarded: boolean, { lengthMm, widthMm }: { lengthMm: number; widthMm: number }) =>
    sum((thing) => {
      const { long, high } = pieceOf(thing, guarded);
      return long * high;
    }) /
    (lengthMm * widthMm);
  const used = (() => {
    switch (place.kind) {
      case 'block':
        return things.length / place.slots.length;
      case 'roll':
        return things.length / place.pockets.length;
      case 'strip':
        return sum(alongStrip) / (place.lengthMm + KEEPING.gap.value);
      case 'drawer':
        return Math.max(ofFloor(true, place), things.length / Math.max(1, place.guards.length));
      case 'tray':
        return place.slats === null
          ? ofFloor(false, place)
          : sum(({ longMm }) => longMm) / (place.slats * place.lengthMm);
    }
  })();
  return Math.min(1, Math.max(0, 1 - used));
}
