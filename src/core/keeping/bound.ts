import { KEEPING } from '../constants';
import type { StoragePlace } from '../formats/storageFile';
import { alongStrip, fitting, pieceOf, type Held } from './places';
import type { Thing } from './things';

/** How many of some sizes, the smallest first, sum to no more than a room. */
function mostWithin(sizes: readonly number[], room: number): number {
  let left = room;
  return [...sizes].sort((a, b) => a - b).filter((size) => (left -= size) >= -1e-6).length;
}

/** More things than this a place never takes, by its slots, its length or its floor alone. */
function mostIn(things: readonly Thing[], place: StoragePlace): number {
  const fits = things.filter((thing) => fitting([thing], place).where !== null);
  const floor = (guarded: boolean, area: number) =>
    mostWithin(
      fits.map((thing) => {
        const { long, high } = pieceOf(thing, guarded);
        return long * high;
      }),
      area,
    );
  switch (place.kind) {
    case 'block':
      return Math.min(fits.length, place.slots.length);
    case 'roll':
      return Math.min(fits.length, place.pockets.length);
    case 'strip':
      return mostWithin(fits.map(alongStrip), place.lengthMm + KEEPING.gap.value);
    case 'drawer':
      return Math.min(place.guards.length, floor(true, place.lengthMm * place.widthMm));
    case 'tray':
      return place.slats === null
        ? floor(false, place.lengthMm * place.widthMm)
        : mostWithin(
            fits.map(({ longMm }) => longMm),
            place.slats * place.lengthMm,
          );
  }
}

/** How many things at least are left out whatever the arrangement: those that fit nowhere, and what is more than all places together could take. */
export function leastLeft(
  things: readonly Thing[],
  places: readonly StoragePlace[],
  held: readonly (readonly Held[])[],
): number {
  const all = [...things, ...held.flat().map(({ thing }) => thing)];
  const nowhere = all.filter((thing) => places.every((place) => fitting([thing], place).where === null)).length;
  const most = places.reduce((sum, place) => sum + mostIn(all, place), 0);
  return Math.max(nowhere, all.length - most);
}
