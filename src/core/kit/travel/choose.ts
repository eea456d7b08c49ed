import { PACKING } from '../../constants';
import type { Pocket } from '../../formats/storageFile';
import { takesPocket } from '../../keeping/places';
import { seated } from '../../keeping/seats';
import type { Thing } from '../../keeping/things';
import type { Demand } from '../demand/types';
import { KitValue } from '../search/value';

/** A knife that may travel: how it serves there, its size and its weight, g. */
export interface Travelling {
  thing: Thing;
  usefulness: Float64Array;
  weightG: number;
}

export interface Choosing {
  demand: Demand;
  /** What is there whatever is taken. */
  given: readonly Float64Array[];
  knives: readonly Travelling[];
  pockets: readonly Pocket[];
  /** Most that is carried, g; Infinity where that does not matter. */
  maxWeightG: number;
  /** Knives, by place, that come along in any case. */
  fixed: readonly number[];
}

/** The knives taken, by place, and what they are worth there, 0–1; `proven`: no other choice is worth more. */
export interface Chosen {
  taken: number[];
  proven: boolean;
}

/**
 * Which knives to carry: of all choices that the pockets hold and that weigh no more than is carried, the one that serves most there (rescued work counted), each piece worth
 * carrying only for {@link PACKING}'s least gain. Branch and bound: what a knife adds never grows with what is taken, so the sum of what the best of the
 * rest add now, as many as there are pockets and as the weight allows, bounds every choice below.
 */
export function chooseToTake({ demand, given, knives, pockets, maxWeightG, fixed }: Choosing): Chosen {
  const kit = new KitValue(demand);
  let steps = 0;
  let best = { value: -Infinity, taken: [] as readonly number[] };

  const load = (taken: readonly number[]) => {
    kit.clear();
    for (const row of given) kit.add(row);
    for (const i of taken) kit.add(knives[i]?.usefulness ?? new Float64Array());
    return kit;
  };
  const weighs = (taken: readonly number[]) => taken.reduce((sum, i) => sum + (knives[i]?.weightG ?? 0), 0);
  const fits = (taken: readonly number[]) =>
    seatsFor(
      taken.flatMap((i) => knives[i]?.thing ?? []),
      pockets,
    ) !== null;

  const search = (taken: readonly number[], rest: readonly number[]): void => {
    if (++steps > PACKING.mostSteps.value) return;
    const now = load(taken);
    const value = now.value() - taken.length * PACKING.leastGain.value;
    if (value > best.value + 1e-9) best = { value, taken };
    const free = pockets.length - taken.length;
    const mayWeigh = maxWeightG - weighs(taken);
    const gains = rest
      .map((i) => ({
        i,
        weightG: knives[i]?.weightG ?? 0,
        gain: now.gain(knives[i]?.usefulness ?? new Float64Array()) - PACKING.leastGain.value,
      }))
      .filter(({ gain, weightG }) => gain > 1e-9 && weightG <= mayWeigh)
      .sort((a, b) => b.gain - a.gain);
    const most = gains.slice(0, free).reduce((sum, { gain }) => sum + gain, 0);
    if (value + Math.min(most, byWeight(gains, mayWeigh)) <= best.value + 1e-9) return;
    gains.forEach(({ i }, at) => {
      const more = [...taken, i];
      if (fits(more))
        search(
          more,
          gains.slice(at + 1).map((each) => each.i),
        );
    });
  };
  search(
    fixed,
    knives.map((_, i) => i).filter((i) => !fixed.includes(i)),
  );
  return { taken: [...best.taken], proven: steps <= PACKING.mostSteps.value };
}

/** The most that knives add within a weight, if they could be cut up. */
function byWeight(gains: readonly { gain: number; weightG: number }[], mayWeigh: number): number {
  if (mayWeigh === Infinity) return Infinity;
  let [left, sum] = [mayWeigh, 0];
  for (const { gain, weightG } of [...gains].sort((a, b) => b.gain * a.weightG - a.gain * b.weightG)) {
    if (weightG >= left) return sum + (gain * left) / weightG;
    left -= weightG;
    sum += gain;
  }
  return sum;
}

/** The pocket of each of some things, or null where they do not all find one. */
export const seatsFor = (things: readonly Thing[], pockets: readonly Pocket[]): number[] | null =>
  seated(things.length, pockets.length, (t, p) => {
    const thing = things[t];
    return thing !== undefined && takesPocket(thing, pockets[p]);
  });
