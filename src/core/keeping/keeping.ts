import type { Keeping, Placed, Storage, StoragePlace } from '../formats/storageFile';
import { arrange } from './arrange';
import { leastLeft } from './bound';
import { toBuy, type StoragePrices } from './buying';
import { whyNotThere } from './misplaced';
import { belowStrip, fitting, freeShare, takesGuard, type Held } from './places';
import type { Thing } from './things';

const round = (mm: number): number => Math.round(mm * 10) / 10;

/** Why a thing found no place. */
function whyLeft(thing: Thing, places: readonly StoragePlace[]): string {
  if (places.length === 0) return 'There is no place for knives yet.';
  if (places.some((place) => fitting([thing], place).where !== null))
    return 'It would fit, but what would hold it is taken by others.';
  const { bladeMm, heelMm, longMm, highMm, thickMm } = thing;
  const why = places.map((place) => {
    switch (place.kind) {
      case 'block': {
        const longest = Math.max(...place.slots.map(({ lengthMm }) => lengthMm));
        return bladeMm > longest
          ? `its blade of ${round(bladeMm)} mm is longer than every slot of the block (${longest} mm at most)`
          : `at ${round(heelMm)} mm tall it enters no slot of the block that is long enough`;
      }
      case 'roll':
        return `${round(longMm)} × ${round(highMm)} mm are more than any pocket of the roll takes`;
      case 'strip':
        return `its handle needs ${round(belowStrip(thing))} mm below the strip, and there are ${place.belowMm}`;
      case 'drawer':
        return place.guards.some((guard) => takesGuard(thing, guard))
          ? `${round(longMm)} × ${round(highMm)} mm with its guard do not lie in the drawer`
          : 'no guard of the drawer covers its blade';
      case 'tray':
        return longMm > Math.max(place.lengthMm, place.slats === null ? place.widthMm : 0)
          ? `${round(longMm)} mm are longer than the tray`
          : `at ${round(place.slats === null ? thickMm : highMm)} mm it is too high or too broad for the tray`;
    }
  });
  return `It fits nowhere: ${[...new Set(why)].join('; ')}.`;
}

/** What was laid by hand and may still lie there, a list a place; what no longer fits where it was is placed anew. */
function heldIn(things: readonly Thing[], places: readonly StoragePlace[], laid: readonly Placed[]): Held[][] {
  const held: Held[][] = places.map(() => []);
  for (const { ref, place: p, ...at } of laid) {
    const [thing, place, there] = [things.find((each) => each.ref === ref), places[p], held[p]];
    if (thing && place && there && !held.flat().some((each) => each.thing === thing))
      if (whyNotThere(thing, at, place, there) === null) there.push({ thing, at });
  }
  return held;
}

/**
 * Places things into a storage: where each goes, what does not fit and why, how much room is left, and the least to buy. What `laid` tells of stays where
 * it was laid as long as it may lie there.
 */
export function keepingOf(
  things: readonly Thing[],
  { places, growth = 0 }: Pick<Storage, 'places' | 'growth'>,
  prices: StoragePrices,
  laid: readonly Placed[] = [],
): Keeping {
  const held = heldIn(things, places, laid);
  const heldThings = new Set(held.flat().map(({ thing }) => thing));
  const found = arrange(
    things.filter((thing) => !heldThings.has(thing)),
    places,
    held,
  );
  const { left, proven } = found;
  const sure = left.length === 0 || (proven && heldThings.size === 0);
  const placed = [
    ...found.placed,
    ...held.flatMap((there, place) => there.map(({ thing, at }) => ({ thing, place, where: at }))),
  ];
  const free = places.map((place, i) =>
    freeShare(
      placed.filter((each) => each.place === i).map(({ thing }) => thing),
      place,
    ),
  );
  const growthLeft = free.length === 0 ? 0 : free.reduce((sum, share) => sum + share, 0) / free.length;
  const order = new Map(things.map(({ ref }, i) => [ref, i]));
  return {
    format: 'scabbard.keeping',
    version: 1,
    fits: left.length === 0,
    placed: placed
      .map(({ thing: { ref }, place, where: { slot, xMm, yMm, turned } }) => ({
        ref,
        place,
        ...(slot === undefined ? {} : { slot }),
        ...(xMm === undefined ? {} : { xMm: round(xMm) }),
        ...(yMm === undefined ? {} : { yMm: round(yMm) }),
        turned,
      }))
      .sort((a, b) => (order.get(a.ref) ?? 0) - (order.get(b.ref) ?? 0)),
    left: left.map((thing) => ({ ref: thing.ref, why: whyLeft(thing, places) })),
    growthLeft: Math.round(1000 * growthLeft) / 1000,
    buy: toBuy(left, { places, free, growthLeft, growth }, prices),
    proven: sure,
    leftAtLeast: sure
      ? left.length
      : Math.min(left.length, leastLeft(found.placed.map(({ thing }) => thing).concat(left), places, held)),
  };
}
