import type { Candidate } from './candidates';
import type { Proof } from './exact';
import { KitValue, type Demand } from './value';

/** A place in the kit with the candidates (by index) that may fill it. */
export interface Place {
  fits: readonly number[];
  required: boolean;
}

/** Everything the choice rests on: plain numbers, no names. */
export interface Problem {
  demand: Demand;
  owned: readonly { rows: Float64Array }[];
  /** Rows that are there whatever is chosen: owned tools. */
  given: readonly Float64Array[];
  candidates: readonly Candidate[];
  places: readonly Place[];
  /** Minor units; Infinity for no ceiling. */
  budgetMinor: number;
  /** What one more knife costs to keep, store and sharpen, minor units; only breaks ties between equal coverage. */
  keepMinor: number;
}

/** Candidate index per place, −1 for an empty place. */
export type Choice = Int32Array;

/** A step is a need while it adds at least this much coverage (handbook 5.2). */
export const NEED_GAIN = 0.03;

/** Coverages closer than this are equal. */
export const EPSILON = 1e-9;
/** Coverage is promised in whole points: a kit is never made dearer for less than one. */
const POINT = 0.01;
/** The last of what money can reach is left in the purse: the kit may stop before the budget does. House judgement. */
const LEFT_IN_THE_PURSE = 0.015;

/** Coverage rounded down to the whole point a plan promises. */
export function wholePoint(value: number): number {
  return Math.floor(value / POINT + EPSILON) * POINT;
}

/** Whether a knife may be bought for a place: tools and sharpenings have places of their own. */
export const takesKnives = ({ fits }: Place, candidates: readonly Candidate[]): boolean =>
  fits.some((i) => candidates[i]?.action === 'buy');

const cheapest = (problem: Problem, place: Place) =>
  place.fits.reduce((low, i) => Math.min(low, problem.candidates[i]?.priceMinor ?? Infinity), Infinity);

/** The problem with places freed whose requirement the budget cannot meet, dearest first, and how many were. */
export function affordable(problem: Problem): { problem: Problem; unmet: number } {
  const places = [...problem.places];
  for (let unmet = 0; ; unmet++) {
    const required = places
      .map((place, p) => ({ p, place, low: cheapest(problem, place) }))
      .filter(({ place }) => place.required)
      .sort((a, b) => b.low - a.low || b.p - a.p);
    const [worst] = required;
    if (!worst || required.reduce((sum, { low }) => sum + low, 0) <= problem.budgetMinor)
      return { problem: { ...problem, places }, unmet };
    places[worst.p] = { ...worst.place, required: false };
  }
}

/** The coverage a plan aims at where so much can be reached: what is left in the purse goes off, and what is no whole point. */
export const targetFrom = (reached: number): number => wholePoint(reached - LEFT_IN_THE_PURSE);

export class Chooser {
  private readonly kit: KitValue;

  constructor(private readonly problem: Problem) {
    this.kit = new KitValue(problem.demand);
  }

  /** Loads the kit with what is owned (dull rows give way to sharpened ones) and everything chosen but one place. */
  load(choice: Choice, without = -1, alsoWithout = -1): KitValue {
    const { owned, given, candidates } = this.problem;
    const kit = this.kit.clear();
    const replaced = new Set<number>();
    for (let p = 0; p < choice.length; p++) {
      if (p === without || p === alsoWithout) continue;
      const index = choice[p] ?? -1;
      const candidate = index >= 0 ? candidates[index] : undefined;
      if (candidate) {
        kit.add(candidate.rows);
        if (candidate.owned !== null) replaced.add(candidate.owned);
      }
    }
    owned.forEach((knife, i) => {
      if (!replaced.has(i)) kit.add(knife.rows);
    });
    for (const row of given) kit.add(row);
    return kit;
  }

  value(choice: Choice): number {
    return this.load(choice).value();
  }

  price(choice: Choice): number {
    return choice.reduce((sum, index) => sum + (index >= 0 ? (this.problem.candidates[index]?.priceMinor ?? 0) : 0), 0);
  }

  /** Price plus what keeping the knives costs: the tie-break between kits of equal coverage. */
  outlay(choice: Choice): number {
    return choice.reduce((sum, index) => sum + this.outlayOf(index), 0);
  }

  private outlayOf(index: number): number {
    const c = index >= 0 ? this.problem.candidates[index] : undefined;
    return c ? c.priceMinor + (c.action === 'buy' ? this.problem.keepMinor : 0) : 0;
  }

  /** Money that must be kept back for required places still empty. */
  private reserved(choice: Choice, except: number): number {
    let sum = 0;
    this.problem.places.forEach((place, p) => {
      if (p !== except && place.required && (choice[p] ?? -1) < 0) sum += cheapest(this.problem, place);
    });
    return sum;
  }

  /** Fills empty places one by one, required first, by gain or by gain for money. */
  fill(choice: Choice, byMoney: boolean): Choice {
    const { candidates, budgetMinor } = this.problem;
    for (;;) {
      const mustFill = this.problem.places.some((place, p) => place.required && (choice[p] ?? -1) < 0);
      const kit = this.load(choice);
      const spent = this.price(choice);
      let best = { place: -1, index: -1, worth: 0 };
      const seen = new Set<readonly number[]>();
      this.problem.places.forEach((place, p) => {
        if ((choice[p] ?? -1) >= 0 || (mustFill && !place.required) || seen.has(place.fits)) return;
        seen.add(place.fits);
        const room = budgetMinor - spent - this.reserved(choice, p);
        for (const index of place.fits) {
          const c = candidates[index];
          if (!c || c.priceMinor > room) continue;
          const gain = c.owned === null ? kit.gain(c.rows) : this.careGain(choice, p, index);
          if (gain <= EPSILON && !mustFill) continue;
          // with no ceiling and byMoney a free step would be worth infinitely much; a coin keeps the ratio finite
          const worth = (gain + EPSILON) / (byMoney ? c.priceMinor + 100 : 1);
          if (worth > best.worth) best = { place: p, index, worth };
        }
      });
      if (best.place < 0) return choice;
      choice[best.place] = best.index;
    }
  }

  private careGain(choice: Choice, place: number, index: number): number {
    const before = this.load(choice).value();
    const tried = Int32Array.from(choice);
    tried[place] = index;
    const after = this.value(tried);
    this.load(choice);
    return after - before;
  }

  /** Exchanges one place at a time while coverage rises. */
  exchange(choice: Choice): Choice {
    const { candidates, budgetMinor } = this.problem;
    for (let moved = true; moved;) {
      moved = false;
      for (let p = 0; p < choice.length; p++) {
        const place = this.problem.places[p];
        const now = choice[p] ?? -1;
        if (!place || (now >= 0 && candidates[now]?.owned !== null)) continue;
        const room = budgetMinor - this.price(choice) + (now >= 0 ? (candidates[now]?.priceMinor ?? 0) : 0);
        const reserved = this.reserved(choice, p);
        const kit = this.load(choice, p);
        let best = { index: now, gain: now >= 0 ? kit.gain(candidates[now]?.rows ?? new Float64Array()) : 0 };
        for (const index of place.fits) {
          const c = candidates[index];
          if (!c || c.owned !== null || c.priceMinor > room - reserved) continue;
          const gain = kit.gain(c.rows);
          if (gain > best.gain + EPSILON) best = { index, gain };
        }
        if (best.index !== now) {
          choice[p] = best.index;
          moved = true;
        }
      }
    }
    return choice;
  }

  /** Whether a place offers a choice at all; a tool's or a sharpening's does not. */
  private isOpen(place: number): boolean {
    return (this.problem.places[place]?.fits.length ?? 0) > 1;
  }

  /** Clears two places at a time and fills them again, while coverage rises. */
  exchangePairs(choice: Choice): Choice {
    let best = choice;
    let value = this.value(best);
    for (let moved = true; moved;) {
      moved = false;
      for (let a = 0; a < best.length && !moved; a++)
        for (let b = a + 1; b < best.length && !moved; b++) {
          if ((best[a] ?? -1) < 0 && (best[b] ?? -1) < 0) continue;
          if (!this.isOpen(a) || !this.isOpen(b)) continue;
          for (const byMoney of [false, true]) {
            const tried = Int32Array.from(best);
            tried[a] = -1;
            tried[b] = -1;
            this.exchange(this.fill(tried, byMoney));
            const reached = this.value(tried);
            if (reached > value + EPSILON) {
              best = tried;
              value = reached;
              moved = true;
            }
          }
        }
    }
    return best;
  }

  /** Makes a kit as cheap as it can be without losing the whole point of coverage it reaches. */
  trim(choice: Choice, target: number): Choice {
    const { candidates } = this.problem;
    for (;;) {
      let best = { place: -1, index: -1, saving: EPSILON };
      for (let p = 0; p < choice.length; p++) {
        const place = this.problem.places[p];
        const now = choice[p] ?? -1;
        if (!place || now < 0) continue;
        const outlay = this.outlayOf(now);
        const kit = this.load(choice, p);
        const base = kit.value();
        if (!place.required && base >= target - EPSILON && outlay > best.saving)
          best = { place: p, index: -1, saving: outlay };
        if (candidates[now]?.owned !== null) continue;
        for (const index of place.fits) {
          const c = candidates[index];
          const saving = outlay - this.outlayOf(index);
          if (!c || c.owned !== null || saving <= best.saving) continue;
          if (base + kit.gain(c.rows) >= target - EPSILON) best = { place: p, index, saving };
        }
      }
      if (best.place < 0) return choice;
      choice[best.place] = best.index;
    }
  }

  /**
   * Adds putting right an owned knife that would be a need today, when the money left allows: whoever owns a decent dull knife
   * sharpens it first, whatever is bought later.
   */
  withWorthwhileCare(choice: Choice): Choice {
    const { candidates, budgetMinor } = this.problem;
    for (const { place, index } of this.worthwhileCare()) {
      const fits = this.price(choice) + (candidates[index]?.priceMinor ?? 0) <= budgetMinor;
      if (fits && (choice[place] ?? -1) < 0) choice[place] = index;
    }
    return choice;
  }

  /** Care steps that would be needs if nothing were bought. */
  worthwhileCare(): { place: number; index: number }[] {
    return this.problem.places.flatMap((each, place) => {
      const index = each.fits[0] ?? -1;
      const care = this.problem.candidates[index];
      if (!care || care.owned === null) return [];
      return this.careGain(this.empty(), place, index) >= NEED_GAIN ? [{ place, index }] : [];
    });
  }

  /** How many of the worthwhile care steps a kit leaves out. */
  careLeftOut(choice: Choice): number {
    return this.worthwhileCare().filter(({ place }) => (choice[place] ?? -1) < 0).length;
  }

  empty(): Choice {
    return new Int32Array(this.problem.places.length).fill(-1);
  }

  /** Starting kits: empty, and one led by each of the strongest single knives. */
  starts(count: number): Choice[] {
    const kit = this.load(this.empty());
    const leaders = this.problem.candidates
      .map((c, index) => ({
        index,
        gain: c.action === 'buy' && c.priceMinor <= this.problem.budgetMinor ? kit.gain(c.rows) : 0,
      }))
      .filter(({ gain }) => gain > 0)
      .sort((a, b) => b.gain - a.gain || a.index - b.index)
      .slice(0, count);
    const led = leaders.flatMap(({ index }) => {
      const place = this.problem.places.findIndex((p) => p.fits.includes(index));
      if (place < 0) return [];
      const choice = this.empty();
      choice[place] = index;
      const leaves = this.problem.budgetMinor - this.price(choice) - this.reserved(choice, place);
      return leaves >= 0 ? [choice] : [];
    });
    const caring = [this.empty(), ...led].map((start) => this.withWorthwhileCare(Int32Array.from(start)));
    return this.worthwhileCare().length > 0 ? [this.empty(), ...led, ...caring] : [this.empty(), ...led];
  }
}

/** How hard to look. `quick` answers within a frame and serves the perturbed plans; `thorough` also exchanges pairs. */
export interface Effort {
  starts: number;
  pairs: number;
}
export const QUICK: Effort = { starts: 3, pairs: 0 };
export const THOROUGH: Effort = { starts: 10, pairs: 1 };

export interface Chosen {
  choice: Choice;
  value: number;
  /** The whole point of coverage the kit promises: never above `value`, and never lowered by more money, places or owned knives. */
  promised: number;
  /** Required places the budget could not fill. */
  unmet: number;
}

/** The first of each of several equal choices. */
const distinct = (choices: readonly Choice[]): Choice[] => [...new Map(choices.map((c) => [c.join(), c])).values()];

/**
 * The kit to aim for: the best coverage within the budget, less {@link LEFT_IN_THE_PURSE}, rounded down to a whole point, is the
 * target; of the kits that reach it the one with the least outlay is taken. More money, places or owned knives never lower the target.
 * Greedy filling from several starts with exchange improvement, and the kit of an exact search where one has been made; deterministic. The
 * coverage aimed at is as certain as that search, and no lower than `atLeast` where that can be reached; that no cheaper kit reaches it is for `cheapestKit` to prove.
 */
export function chooseKit(whole: Problem, effort: Effort, proof?: Proof, atLeast = 0): Chosen {
  const { problem, unmet } = affordable(whole);
  const chooser = new Chooser(problem);
  const filled = chooser
    .starts(effort.starts)
    .flatMap((start) => [false, true].map((byMoney) => chooser.fill(Int32Array.from(start), byMoney)));
  let found = distinct(distinct(filled).map((choice) => chooser.exchange(choice)))
    .map((choice) => ({ choice, value: chooser.value(choice) }))
    .sort((a, b) => b.value - a.value);
  found = found.map((kit, i) => {
    if (i >= effort.pairs) return kit;
    const choice = chooser.exchangePairs(kit.choice);
    return { choice, value: chooser.value(choice) };
  });
  if (proof) found.push({ choice: proof.choice, value: proof.value });
  const reached = Math.max(...found.map((kit) => kit.value));
  // never below what is covered already, so that spending is not undone to less than nothing
  const target = Math.max(targetFrom(reached), Math.min(reached, atLeast), chooser.value(chooser.empty()));
  const trimmed = found
    .filter((kit) => kit.value >= target - EPSILON)
    .map(({ choice }) => {
      const cheap = chooser.trim(choice, target);
      const value = chooser.value(cheap);
      return { choice: cheap, value, outlay: chooser.outlay(cheap), leftOut: chooser.careLeftOut(cheap) };
    })
    .sort((a, b) => a.leftOut - b.leftOut || a.outlay - b.outlay || b.value - a.value);
  const best = chooser.withWorthwhileCare(trimmed[0]?.choice ?? chooser.empty());
  return { choice: best, value: chooser.value(best), promised: wholePoint(target), unmet };
}
