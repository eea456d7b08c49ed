import type { StoragePlace } from '../formats/storageFile';
import {
  alongStrip,
  belowStrip,
  covered,
  lyingMm,
  standsBetween,
  takesGuard,
  takesPocket,
  takesSlot,
  type Held,
  type Spot,
} from './places';
import { overlaps, SLACK } from './rectangles';
import { seated } from './seats';
import type { Thing } from './things';

const figure = (mm: number): string => `${Math.max(1, Math.round(mm))} mm`;
const beside = ({ thing }: Held): string => `There lies the ${thing.name}.`;

/** Why a thing enters no slot or pocket of such a size; null where it does. */
function whyNotInSeat(
  thing: Thing,
  { slot = -1 }: Spot,
  place: StoragePlace & { kind: 'block' | 'roll' },
): string | null {
  if (place.kind === 'roll') {
    const pocket = place.pockets[slot];
    if (!pocket) return 'There is no such pocket.';
    return takesPocket(thing, pocket)
      ? null
      : `The pocket takes ${pocket.lengthMm} × ${pocket.widthMm} mm; it needs ${Math.ceil(thing.longMm)} × ${Math.ceil(thing.highMm)}.`;
  }
  const into = place.slots[slot];
  if (!into) return 'There is no such slot.';
  if (takesSlot(thing, into)) return null;
  if (thing.bladeMm > into.lengthMm)
    return `Its blade is ${figure(thing.bladeMm - into.lengthMm)} longer than the slot.`;
  return thing.heelMm > into.heightMm
    ? `Its blade is ${figure(thing.heelMm - into.heightMm)} taller than the slot.`
    : `At ${thing.spineMm} mm its spine is too thick for the slot.`;
}

/** Along one line: beyond an end, or over a neighbour. */
function whyNotAlong(
  from: number,
  long: number,
  end: number,
  others: readonly { held: Held; from: number; long: number }[],
) {
  if (from < -SLACK || from + long > end + SLACK)
    return `It sticks out by ${figure(Math.max(-from, from + long - end))}.`;
  const other = others.find((each) => overlaps(from, from + long, each.from, each.from + each.long));
  return other ? beside(other.held) : null;
}

function whyNotLying(
  thing: Thing,
  at: Spot,
  place: StoragePlace & { kind: 'tray' | 'drawer' },
  others: readonly Held[],
) {
  const guarded = place.kind === 'drawer';
  if (lyingMm(thing, guarded) > place.heightMm)
    return `It is ${figure(lyingMm(thing, guarded) - place.heightMm)} too thick.`;
  const { x, y, wide, deep } = covered(thing, at, guarded);
  const out = Math.max(-x, -y, x + wide - place.lengthMm, y + deep - place.widthMm);
  if (out > SLACK) return `It sticks out by ${figure(out)}.`;
  const under = others.find((held) => {
    const it = covered(held.thing, held.at, guarded);
    return overlaps(x, x + wide, it.x, it.x + it.wide) && overlaps(y, y + deep, it.y, it.y + it.deep);
  });
  if (under) return beside(under);
  if (place.kind === 'tray') return null;
  const all = [thing, ...others.map((held) => held.thing)];
  const guards = seated(all.length, place.guards.length, (t, g) => {
    const it = all[t];
    return it !== undefined && takesGuard(it, place.guards[g]);
  });
  return guards ? null : 'No guard is left that covers its blade, and without one it may not lie there.';
}

/**
 * Why a thing may not be where it is held, in a sentence; null where it may. `others` are the things of that place without it. The rules are those by
 * which things are placed: nothing overlaps, nothing sticks out, handles hang clear, no bare edge lies loose.
 */
export function whyNotThere(thing: Thing, at: Spot, place: StoragePlace, others: readonly Held[]): string | null {
  switch (place.kind) {
    case 'block':
    case 'roll': {
      const taken = others.find((held) => held.at.slot === at.slot);
      return whyNotInSeat(thing, at, place) ?? (taken ? beside(taken) : null);
    }
    case 'strip': {
      const lacks = belowStrip(thing) - place.belowMm;
      if (lacks > SLACK) return `Its handle would touch what is below the strip: ${figure(lacks)} are missing.`;
      const long = alongStrip(thing);
      const along = others.map((held) => ({ held, from: held.at.xMm ?? 0, long: alongStrip(held.thing) }));
      return whyNotAlong(at.xMm ?? 0, long, place.lengthMm + long - thing.highMm, along);
    }
    case 'drawer':
      return whyNotLying(thing, at, place, others);
    case 'tray': {
      if (place.slats === null) return whyNotLying(thing, at, place, others);
      if ((at.slot ?? -1) < 0 || (at.slot ?? 0) >= place.slats) return 'There is no such row.';
      if (!standsBetween(thing, place)) return 'It is too high, or too thick, to stand between the slats.';
      const along = others
        .filter((held) => held.at.slot === at.slot)
        .map((held) => ({ held, from: held.at.xMm ?? 0, long: held.thing.longMm }));
      return whyNotAlong(at.xMm ?? 0, thing.longMm, place.lengthMm, along);
    }
  }
}
