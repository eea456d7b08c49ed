import type { Candidate } from '../candidates/candidate';
import type { Demand } from '../demand/types';
import type { MoneyScale } from './worth';

/** A place in the kit with the candidates (by index) that may fill it. */
export interface Place {
  fits: readonly number[];
  required: boolean;
  /** Only what is bought singly counts here: a piece of a set does not fill it. */
  isSingly?: boolean;
}

/** Everything the choice rests on: plain numbers, no names. */
export interface Problem {
  demand: Demand;
  owned: readonly { usefulness: Float64Array }[];
  /** Rows that are there whatever is chosen: owned tools. */
  given: readonly Float64Array[];
  candidates: readonly Candidate[];
  places: readonly Place[];
  /** Most different knives that may be bought, any number of each; as many as there are places where it is left out. */
  kinds?: number;
  /** Minor units; Infinity for no ceiling. */
  budgetMinor: number;
  scale: MoneyScale;
}

/** Candidate index per place, −1 for an empty place. */
export type Choice = Int32Array;

/** Whether two choices of a problem are the same place for place. */
export const isSameChoice = (a: Choice, b: Choice): boolean => a.every((candidate, place) => candidate === b[place]);

/** Values closer than this are equal. */
export const EPSILON = 1e-9;

/** Whether a knife may be bought for a place: tools and sharpenings have places of their own. */
export const takesKnives = ({ fits }: Place, candidates: readonly Candidate[]): boolean =>
  fits.some((i) => candidates[i]?.action === 'buy');

/** Whether a candidate is a knife that is bought: these count as kinds. */
export const isKnife = ({ candidates }: Pick<Problem, 'candidates'>, index: number): boolean =>
  candidates[index]?.action === 'buy';

/** The different knives that some candidates, by index and −1 for none, buy. */
export const kindsOf = (problem: Pick<Problem, 'candidates'>, kit: Iterable<number>): Set<number> =>
  new Set([...kit].filter((index) => index >= 0 && isKnife(problem, index)));

/** Whether a candidate keeps the limit of different knives beside the kinds that are bought already. */
export const isKindAllowed = (problem: Problem, kinds: ReadonlySet<number>, index: number): boolean =>
  problem.kinds === undefined || kinds.size < problem.kinds || kinds.has(index) || !isKnife(problem, index);

/** How many knives a kit has to buy. */
export const requiredKnives = ({ places, candidates }: Pick<Problem, 'places' | 'candidates'>): number =>
  places.filter((place) => place.required && takesKnives(place, candidates)).length;

export const cheapest = (problem: Problem, place: Place) =>
  place.fits.reduce((low, i) => Math.min(low, problem.candidates[i]?.priceMinor ?? Infinity), Infinity);
/** The problem with places freed whose requirement the budget cannot meet, dearest first, and how many were. */
export function affordable(problem: Problem): { problem: Problem; unmet: number } {
  const places = [...problem.places];
  for (let unmet = 0; ; unmet++) {
    const required = places
      .flatMap((place, p) => (place.required ? [{ p, place, low: cheapest(problem, place) }] : []))
      .sort((a, b) => b.low - a.low || b.p - a.p);
    const [worst] = required;
    if (!worst || required.reduce((sum, { low }) => sum + low, 0) <= problem.budgetMinor)
      return { problem: unmet === 0 ? problem : { ...problem, places }, unmet };
    places[worst.p] = { ...worst.place, required: false };
  }
}

/** What is chosen costs altogether, minor units. */
export const priceOf = ({ candidates }: Pick<Problem, 'candidates'>, choice: Choice): number =>
  choice.reduce((sum, index) => sum + (index >= 0 ? (candidates[index]?.priceMinor ?? 0) : 0), 0);
/** Whether a choice keeps every rule: what stands in a place fits it, required places are filled, the money reaches. */
export function isFeasible(problem: Problem, choice: Choice): boolean {
  if (choice.length !== problem.places.length) return false;
  const kept = problem.places.every(({ fits, required }, p) => {
    const index = choice[p] ?? -1;
    return index < 0 ? !required : fits.includes(index);
  });
  const isFew = kindsOf(problem, choice).size <= (problem.kinds ?? Infinity);
  return kept && isFew && priceOf(problem, choice) <= problem.budgetMinor;
}

/** Throws where a search is about to hand out what breaks a rule: such a kit is never shown. */
export function asserted<T extends { choice: Choice }>(problem: Problem, found: T): T {
  if (!isFeasible(problem, found.choice)) throw new Error('the search found a kit that breaks its own limits');
  return found;
}

/** Candidates in the first places they fit. */
export function placed({ places }: Pick<Problem, 'places'>, kit: readonly number[]): Choice {
  const choice = new Int32Array(places.length).fill(-1);
  for (const candidate of kit) {
    const place = places.findIndex(({ fits }, p) => (choice[p] ?? -1) < 0 && fits.includes(candidate));
    if (place >= 0) choice[place] = candidate;
  }
  return choice;
}
