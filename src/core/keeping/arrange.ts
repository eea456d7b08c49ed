import { KEEPING } from '../constants';
import type { StoragePlace } from '../formats/storageFile';
import { fitting, isBeyond, type Held, type Where } from './places';
import type { Thing } from './things';

/** Which things lie in which place, and where; what is left; whether no arrangement leaves less. */
export interface Arrangement {
  placed: { thing: Thing; place: number; where: Where[number] }[];
  left: Thing[];
  proven: boolean;
}

const bits = (mask: number): number[] => {
  const found: number[] = [];
  for (let i = 0; mask >> i; i++) if ((mask >> i) & 1) found.push(i);
  return found;
};
const count = (mask: number): number => bits(mask).length;

const of = (things: readonly Thing[], mask: number): Thing[] => bits(mask).flatMap((i) => things[i] ?? []);
const without = (things: readonly Thing[], mask: number): Thing[] => things.filter((_, i) => !((mask >> i) & 1));

/** The sets of things that fit into a place, and those of which the search could not tell. */
interface Sets {
  fit: Map<number, Where>;
  unsure: Set<number>;
}

/** Sets grow one thing at a time; where a set does not fit, no larger one is tried. */
function fittingSets(things: readonly Thing[], place: StoragePlace, held: readonly Held[]): Sets {
  const fit = new Map<number, Where>([[0, []]]);
  const unsure = new Set<number>();
  let last = [0];
  while (last.length > 0) {
    const next = new Set<number>();
    for (const set of last)
      for (let i = 0; i < things.length; i++) {
        const larger = set | (1 << i);
        if (larger === set || next.has(larger)) continue;
        const smaller = bits(larger).map((one) => larger & ~(1 << one));
        if (!smaller.every((each) => fit.has(each) || unsure.has(each))) continue;
        const inside = of(things, larger);
        if (smaller.some((each) => unsure.has(each))) {
          if (isBeyond(inside, place, held)) continue;
          unsure.add(larger);
        } else {
          const { where, known } = fitting(inside, place, held);
          if (where) fit.set(larger, where);
          else if (known) continue;
          else unsure.add(larger);
        }
        next.add(larger);
      }
    last = [...next];
  }
  return { fit, unsure };
}

/** Of all ways of sharing things among places by the sets they take, the things placed in the best one, and the set each place takes. */
function bestSharing(
  things: readonly Thing[],
  sets: readonly (readonly number[])[],
): { mask: number; taken: number[] } {
  // what can be placed with the first places, and the set the last of them takes
  const reached: Map<number, number>[] = [new Map([[0, 0]])];
  for (const mine of sets) {
    const before = reached.at(-1) ?? new Map<number, number>();
    const now = new Map<number, number>();
    for (const mask of before.keys())
      for (const set of mine) if ((mask & set) === 0 && !now.has(mask | set)) now.set(mask | set, set);
    reached.push(now);
  }
  // fewest left out first; then the things that stand first in the list
  const early = (mask: number) => bits(mask).reduce((sum, i) => sum + 2 ** (things.length - i), 0);
  const better = (a: number, b: number) => count(b) > count(a) || (count(b) === count(a) && early(b) > early(a));
  const best = [...(reached.at(-1)?.keys() ?? [])].reduce((a, b) => (better(a, b) ? b : a), 0);
  const taken: number[] = [];
  for (let place = sets.length - 1, mask = best; place >= 0; place--) {
    const set = reached[place + 1]?.get(mask) ?? 0;
    taken[place] = set;
    mask &= ~set;
  }
  return { mask: best, taken };
}

/** Of some sets the most, and of as many those that stand first in the list. */
const ranked = (masks: readonly number[], many: number): number[] => {
  const early = (mask: number) => bits(mask).reduce((sum, i) => sum + 2 ** (many - i), 0);
  return [...masks].sort((a, b) => count(b) - count(a) || early(b) - early(a));
};

const arranged = (inside: readonly Thing[], place: number, where: Where): Arrangement['placed'] =>
  inside.flatMap((thing, k) => {
    const at = where[k];
    return at ? [{ thing, place, where: at }] : [];
  });

/** One place: the largest sets first, each searched until one fits. */
function intoOne(things: readonly Thing[], place: StoragePlace, held: readonly Held[]): Arrangement {
  const many = things.length;
  let proven = true;
  // what two things cannot do together no larger set can
  const apart = things.flatMap((one, i) =>
    things.flatMap((other, k) => {
      if (k < i) return [];
      const { where, known } = fitting(k === i ? [one] : [one, other], place, held);
      return where === null && known ? [(1 << i) | (1 << k)] : [];
    }),
  );
  for (const mask of ranked(
    Array.from({ length: 1 << many }, (_, each) => each),
    many,
  )) {
    if (apart.some((pair) => (mask & pair) === pair)) continue;
    const { where, known } = fitting(of(things, mask), place, held);
    if (where) return { placed: arranged(of(things, mask), 0, where), left: without(things, mask), proven };
    proven &&= known;
  }
  return { placed: [], left: [...things], proven };
}

/** The fewest left out of all ways there are; proven where sets of which the search could not tell would not better it. */
function exact(
  things: readonly Thing[],
  places: readonly StoragePlace[],
  held: readonly (readonly Held[])[],
): Arrangement {
  const [only] = places;
  if (only && places.length === 1) return intoOne(things, only, held[0] ?? []);
  const all = places.map((place, p) => fittingSets(things, place, held[p] ?? []));
  const { mask, taken } = bestSharing(
    things,
    all.map(({ fit }) => [...fit.keys()]),
  );
  const hoped = all.some(({ unsure }) => unsure.size > 0)
    ? bestSharing(
        things,
        all.map(({ fit, unsure }) => [...fit.keys(), ...unsure]),
      ).mask
    : mask;
  const placed = taken.flatMap((set, place) => arranged(of(things, set), place, all[place]?.fit.get(set) ?? []));
  return { placed, left: without(things, mask), proven: count(hoped) <= count(mask) };
}

/** Each thing, the longest first, into the first place that still takes it. */
function firstFit(
  things: readonly Thing[],
  places: readonly StoragePlace[],
  held: readonly (readonly Held[])[],
): Arrangement {
  const inside: Thing[][] = places.map(() => []);
  const left: Thing[] = [];
  const whereIn = (p: number, more: readonly Thing[]) => {
    const place = places[p];
    return place ? fitting([...(inside[p] ?? []), ...more], place, held[p] ?? []).where : null;
  };
  for (const thing of [...things].sort((a, b) => b.longMm - a.longMm)) {
    const at = places.findIndex((_, p) => whereIn(p, [thing]) !== null);
    if (at < 0) left.push(thing);
    else inside[at]?.push(thing);
  }
  const placed = places.flatMap((_, p) => arranged(inside[p] ?? [], p, whereIn(p, []) ?? []));
  return { placed, left, proven: left.length === 0 };
}

/**
 * Shares things among places so that as few as can be are left out, beside what is held where it was laid (a list a place). Where the first way tried
 * takes all of them it is the answer; otherwise every way is weighed for up to {@link KEEPING}'s number of things, and beyond that they go in as they come.
 */
export function arrange(
  things: readonly Thing[],
  places: readonly StoragePlace[],
  held: readonly (readonly Held[])[] = [],
): Arrangement {
  const first = firstFit(things, places, held);
  return first.proven || things.length > KEEPING.provenUpTo.value ? first : exact(things, places, held);
}
