import { KEEPING } from '../constants';
import type { Keeping, StorageFile, StoragePlace } from '../formats/storageFile';
import { arrange } from './arrange';
import { fitting, freeShare } from './places';
import type { Thing } from './things';

/** What storage costs, in the kitchen's currency: guards by the piece, a strip. */
export interface StoragePrices {
  guard: number;
  strip: number;
}

const round = (mm: number): number => Math.round(mm * 10) / 10;

/** Why a thing found no place. */
function whyLeft(thing: Thing, places: readonly StoragePlace[]): string {
  if (places.length === 0) return 'There is no place for knives yet.';
  if (places.some((place) => fitting([thing], place).where !== null))
    return 'It would fit, but what would hold it is taken by others.';
  const { bladeMm, heelMm, longMm, highMm, thickMm, handleMm } = thing;
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
        return `its handle needs ${round(handleMm + KEEPING.gripAboveHeel.value)} mm below the strip, and there are ${place.belowMm}`;
      case 'tray':
        return longMm > Math.max(place.lengthMm, place.slats === null ? place.widthMm : 0)
          ? `${round(longMm)} mm are longer than the tray`
          : `at ${round(place.slats === null ? thickMm : highMm)} mm it is too high or too broad for the tray`;
    }
  });
  return `It fits nowhere: ${[...new Set(why)].join('; ')}.`;
}

/** The least that makes all of it fit, or leaves the room that is wanted: guards for few, a strip for more. */
function toBuy(left: readonly Thing[], growthLeft: number, growth: number, prices: StoragePrices): Keeping['buy'] {
  if (left.length > 0) {
    const guards = left.length * prices.guard;
    const needs = left.reduce((sum, { highMm }) => sum + highMm + KEEPING.gap.value, 0);
    const longest = Math.max(...left.map(({ bladeMm }) => bladeMm));
    const tallest = Math.max(...left.map(({ heelMm }) => heelMm));
    return guards <= prices.strip
      ? [
          {
            what: `${left.length === 1 ? 'A blade guard' : `${left.length} blade guards`} for up to ${Math.ceil(longest)} × ${Math.ceil(tallest)} mm`,
            why: 'With its edge covered a knife may lie in a drawer; loose it never does.',
            price: guards,
          },
        ]
      : [
          {
            what: `A magnetic strip of ${Math.ceil(needs / 10) * 10} mm or more`,
            why: `It holds the ${left.length} that are left, side by side.`,
            price: prices.strip,
          },
        ];
  }
  if (growthLeft >= growth) return [];
  return [
    {
      what: 'A magnetic strip of 300 mm or more',
      why: `Everything fits, and ${Math.round(100 * growthLeft)} % of the room is free where ${Math.round(100 * growth)} % is wanted.`,
      price: prices.strip,
    },
  ];
}

/** Places things into a storage: where each goes, what does not fit and why, how much room is left, and the least to buy. */
export function keepingOf(things: readonly Thing[], { places, growth }: StorageFile, prices: StoragePrices): Keeping {
  const { placed, left, proven } = arrange(things, places);
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
    buy: toBuy(left, growthLeft, growth, prices),
    proven,
  };
}
