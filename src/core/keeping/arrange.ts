import { KEEPING } from '../constants';
import type { StoragePlace } from '../formats/storageFile';
import { fitting, isBeyond, type Where } from './places';
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

/** The sets of things that fit into a place, and those of which the search could not tell. */
interface Sets {
  fit: Map<number, Where>;
  unsure: Set<number>;
}

/** Sets grow one thing at a time; where a set does not fit, no larger one is tried. */
function fittingSets(things: readonly Thing[], place: StoragePlace): Sets {
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
        const inside = bits(larger).flatMap((at) => things[at] ?? []);
        if (smaller.some((each) => unsure.has(each))) {
          if (isBeyond(inside, place)) continue;
          unsure.add(larger);
        } else {
          const { where, known } = fitting(inside, place);
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

/** The fewest left out of all ways there are; proven where sets of which the search could not tell would not better it. */
function exact(things: readonly Thing[], places: readonly StoragePlace[]): Arrangement {
  const all = places.map((place) => fittingSets(things, place));
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
  const placed = taken.flatMap((set, place) => {
    const where = all[place]?.fit.get(set) ?? [];
    return bits(set).flatMap((i, k) => {
      const [thing, at] = [things[i], where[k]];
      return thing && at ? [{ thing, place, where: at }] : [];
    });
  });
  return { placed, left: things.filter((_, i) => !((mask >> i) & 1)), proven: count(hoped) <= count(mask) };
}

/** Many things: the longest first, each into the first place that still takes it. Leaves little, and is not proven. */
function firstFit(things: readonly Thing[], places: readonly StoragePlace[]): Arrangement {
  const held: Thing[][] = places.map(() => []);
  const left: Thing[] = [];
  for (const thing of [...things].sort((a, b) => b.longMm - a.longMm)) {
    const at = places.findIndex((place, i) => fitting([...(held[i] ?? []), thing], place).where !== null);
    if (at < 0) left.push(thing);
    else held[at]?.push(thing);
  }
  const placed = places.flatMap((place, i) => {
    const inside = held[i] ?? [];
    const where = fitting(inside, place).where ?? [];
    return inside.flatMap((thing, k) => {
      const at = where[k];
      return at ? [{ thing, place: i, where: at }] : [];
    });
  });
  return { placed, left, proven: left.length === 0 };
}

/** Shares things among places so that as few as can be are left out: proven for up to {@link KEEPING}'s number of things, beyond that as they come. */
export const arrange = (things: readonly Thing[], places: readonly StoragePlace[]): Arrangement =>
  things.length <= KEEPING.provenUpTo.value ? exact(things, places) : firstFit(things, places);
