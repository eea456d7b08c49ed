import { KEEPING } from '../constants';
import type { Keeping, StoragePlace } from '../formats/storageFile';
import { CATALOGUE_CURRENCY, convertMinor, fromMinor } from '../money/currency';
import type { Reference } from '../reference';
import { alongStrip, belowStrip, fitting } from './places';
import type { Thing } from './things';

/** What storage costs, in the kitchen's currency: a guard apiece, a strip, a roll. */
export interface StoragePrices {
  guard: number;
  strip: number;
  roll: number;
}

/** What storage costs by the tools of the trade, in a currency. */
export function storagePrices({ tools }: Pick<Reference, 'tools'>, currency: string): StoragePrices {
  const price = (tool: string) =>
    fromMinor(convertMinor(tools.get(tool)?.priceMinor ?? 0, CATALOGUE_CURRENCY, currency), currency);
  return { guard: price('guard'), strip: price('magnet-strip'), roll: price('roll') };
}

type Buy = Keeping['buy'][number];

const upTo = (step: number, mm: number): number => Math.ceil(mm / step - 1e-9) * step;
const most = (things: readonly Thing[], of: (thing: Thing) => number): number => Math.max(...things.map(of));
const them = (many: number): string => (many === 1 ? 'the one' : `the ${many}`);

/** Blade guards: with a drawer at hand they are enough. */
function guards(left: readonly Thing[], { guard }: StoragePrices): Buy {
  const size = `${upTo(
    1,
    most(left, ({ bladeMm }) => bladeMm),
  )} × ${upTo(
    1,
    most(left, ({ heelMm }) => heelMm),
  )} mm`;
  return {
    what: `${left.length === 1 ? 'A blade guard' : `${left.length} blade guards`} for up to ${size}`,
    why: 'With its edge covered a knife may lie in a drawer; loose it never does.',
    price: left.length * guard,
  };
}

function strip(left: readonly Thing[], { strip: price }: StoragePrices): Buy {
  const long = left.reduce((sum, thing) => sum + alongStrip(thing), 0) - KEEPING.gap.value;
  return {
    what: `A magnetic strip of ${upTo(10, long)} mm or more, ${upTo(10, most(left, belowStrip))} mm clear below it`,
    why: `It holds ${them(left.length)} that found no place, side by side.`,
    price,
  };
}

function roll(left: readonly Thing[], { roll: price }: StoragePrices): Buy {
  const size = `${upTo(
    10,
    most(left, ({ longMm }) => longMm),
  )} × ${upTo(
    5,
    most(left, ({ highMm }) => highMm),
  )} mm`;
  return {
    what: `A knife roll with ${left.length} or more pockets of ${size}`,
    why: `It takes ${them(left.length)} that found no place, and travels.`,
    price,
  };
}

/** Everything fits, but without the room that is wanted for later: one more strip. */
const room = (growthLeft: number, growth: number, { strip: price }: StoragePrices): Buy => ({
  what: 'A magnetic strip of 300 mm or more',
  why: `Everything fits, and ${Math.round(100 * growthLeft)} % of the room is free where ${Math.round(100 * growth)} % is wanted.`,
  price,
});

/** Guards more for a drawer that has room for what was left: the smallest thing there is. */
function moreGuards(left: readonly Thing[], places: readonly StoragePlace[], free: readonly number[]): boolean {
  return places.some(
    (place, p) =>
      place.kind === 'drawer' &&
      (free[p] ?? 0) > 0 &&
      fitting(left, {
        ...place,
        guards: left.map(({ bladeMm, heelMm }) => ({ lengthMm: bladeMm, heightMm: heelMm })),
      }).where !== null,
  );
}

/**
 * The least money that makes all of it fit, or leaves the room that is wanted (`growth`, 0–1, where `growthLeft` is free): guards, a strip or a roll.
 * `free` is what each place has left, 0–1.
 */
export function toBuy(
  left: readonly Thing[],
  {
    places,
    free,
    growthLeft,
    growth,
  }: { places: readonly StoragePlace[]; free: readonly number[]; growthLeft: number; growth: number },
  prices: StoragePrices,
): Buy[] {
  if (left.length === 0) return growthLeft >= growth ? [] : [room(growthLeft, growth, prices)];
  if (moreGuards(left, places, free)) return [guards(left, prices)];
  const [least] = [guards(left, prices), strip(left, prices), roll(left, prices)].sort((a, b) => a.price - b.price);
  return least ? [least] : [];
}
