import { KEEPING } from '../constants';
import type { Placed, StoragePlace } from '../formats/storageFile';
import type { Thing } from './things';
import { isTooMuch, layOut } from './tray';

/** Where each of some things lies in a place, in their order. */
export type Where = Omit<Placed, 'ref' | 'place'>[];

/** Whether things fit into a place together, and how; `known`: it was searched to the end. */
export interface Fitting {
  where: Where | null;
  known: boolean;
}

const NO: Fitting = { where: null, known: true };

/** Gives every thing a slot of its own, or none can be given (augmenting paths). */
function inSlots(things: readonly Thing[], slots: number, takes: (thing: Thing, slot: number) => boolean): Fitting {
  const holds = new Array<number>(slots).fill(-1);
  const seat = (thing: number, seen: Set<number>): boolean => {
    const it = things[thing];
    if (!it) return false;
    for (let slot = 0; slot < slots; slot++) {
      if (seen.has(slot) || !takes(it, slot)) continue;
      seen.add(slot);
      const there = holds[slot] ?? -1;
      if (there < 0 || seat(there, seen)) {
        holds[slot] = thing;
        return true;
      }
    }
    return false;
  };
  if (!things.every((_, i) => seat(i, new Set()))) return NO;
  return { where: things.map((_, i) => ({ slot: holds.indexOf(i), turned: false })), known: true };
}

/** Things end to end in rows of a length; exact for few things, each row filled by the first that fits. */
function inRows(things: readonly Thing[], rows: number, long: number): Fitting {
  const order = things.map((_, i) => i).sort((a, b) => (things[b]?.longMm ?? 0) - (things[a]?.longMm ?? 0));
  const used: number[] = [];
  const where: Where = [];
  const put = (at: number): boolean => {
    const i = order[at];
    const thing = i === undefined ? undefined : things[i];
    if (i === undefined || !thing) return true;
    for (let row = 0; row <= Math.min(used.length, rows - 1); row++) {
      const x = used[row] ?? 0;
      if (x + thing.longMm > long) continue;
      used[row] = x + thing.longMm;
      where[i] = { slot: row, xMm: x, turned: false };
      if (put(at + 1)) return true;
      if (x === 0) used.length = row;
      else used[row] = x;
    }
    return false;
  };
  return put(0) ? { where, known: true } : NO;
}

/** Side by side on a strip, handles down, with a gap between neighbours. */
function onStrip(things: readonly Thing[], long: number, below: number): Fitting {
  const { gap, gripAboveHeel } = KEEPING;
  let x = 0;
  const where: Where = [];
  for (const { highMm, handleMm } of things) {
    if (handleMm + gripAboveHeel.value > below) return NO;
    where.push({ xMm: x, yMm: 0, turned: false });
    x += highMm + gap.value;
  }
  return x - gap.value <= long || things.length === 0 ? { where, known: true } : NO;
}

/** Whether some things fit into a place together, and where each of them is. */
export function fitting(things: readonly Thing[], place: StoragePlace): Fitting {
  switch (place.kind) {
    case 'block':
      return inSlots(things, place.slots.length, (thing, i) => {
        const slot = place.slots[i];
        return (
          slot !== undefined &&
          thing.bladeMm <= slot.lengthMm &&
          thing.heelMm <= slot.heightMm &&
          thing.spineMm <= slot.thicknessMm
        );
      });
    case 'roll':
      return inSlots(things, place.pockets.length, (thing, i) => {
        const pocket = place.pockets[i];
        return pocket !== undefined && thing.longMm <= pocket.lengthMm && thing.highMm <= pocket.widthMm;
      });
    case 'strip':
      return onStrip(things, place.lengthMm, place.belowMm);
    case 'tray': {
      const { lengthMm, widthMm, heightMm, slats } = place;
      if (slats !== null) {
        const row = widthMm / slats;
        if (things.some(({ highMm, thickMm }) => highMm > heightMm || thickMm > row)) return NO;
        return inRows(things, slats, lengthMm);
      }
      if (things.some(({ thickMm }) => thickMm > heightMm)) return NO;
      const { laid, known } = layOut(
        things.map(({ longMm, highMm }) => ({ long: longMm, high: highMm })),
        lengthMm,
        widthMm,
      );
      return { where: laid && laid.map(({ x, y, turned }) => ({ xMm: x, yMm: y, turned })), known };
    }
  }
}

/** Whether things can be seen not to fit into a place together without trying: false where only a search could tell. */
export const isBeyond = (things: readonly Thing[], place: StoragePlace): boolean =>
  place.kind === 'tray' && place.slats === null
    ? isTooMuch(
        things.map(({ longMm, highMm }) => ({ long: longMm, high: highMm })),
        place.lengthMm,
        place.widthMm,
      )
    : fitting(things, place).where === null;

/** Share of a place that some things leave free, 0–1. */
export function freeShare(things: readonly Thing[], place: StoragePlace): number {
  const sum = (of: (thing: Thing) => number) => things.reduce((total, thing) => total + of(thing), 0);
  const used = (() => {
    switch (place.kind) {
      case 'block':
        return things.length / place.slots.length;
      case 'roll':
        return things.length / place.pockets.length;
      case 'strip':
        return sum(({ highMm }) => highMm + KEEPING.gap.value) / (place.lengthMm + KEEPING.gap.value);
      case 'tray':
        return place.slats === null
          ? sum(({ longMm, highMm }) => longMm * highMm) / (place.lengthMm * place.widthMm)
          : sum(({ longMm }) => longMm) / (place.slats * place.lengthMm);
    }
  })();
  return Math.min(1, Math.max(0, 1 - used));
}
