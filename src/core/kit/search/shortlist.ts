import type { Chooser } from './greedy';
import type { Choice, Problem } from './problem';

/** A problem with only some of its candidates. */
export interface Part {
  problem: Problem;
  /** Candidates of the whole problem that are kept, by index. */
  kept: ReadonlySet<number>;
  /** A choice of the whole problem in this one: what is missing here stays empty. */
  inPart: (choice: Choice) => Choice;
  /** A choice of this problem in the whole one. */
  inWhole: (choice: Choice) => Choice;
}

/** Most candidates of one type that are likeliest: others bring something else. */
const OF_A_TYPE = 4;

/** The candidates, by index, that lose a kit least by the one exchange that brings them in: so many, and what is in the kit. */
export function likeliest(problem: Problem, chooser: Chooser, choice: Choice, many: number): ReadonlySet<number> {
  const worth = chooser.exchanged(choice);
  const inOrder = [...worth.keys()].sort((a, b) => (worth[b] ?? 0) - (worth[a] ?? 0) || a - b);
  return new Set([...fewOfAType(inOrder, problem.candidates).slice(0, many), ...choice.filter((i) => i >= 0)]);
}

/** Of candidates in order, by index, the first few of each type. */
export function fewOfAType(inOrder: readonly number[], candidates: Problem['candidates']): number[] {
  const ofType = new Map<unknown, number>();
  return inOrder.filter((i) => {
    const type = candidates[i]?.type ?? i;
    const had = ofType.get(type) ?? 0;
    ofType.set(type, had + 1);
    return had < OF_A_TYPE;
  });
}

/** A problem with only the candidates that are kept; a required place keeps what costs least, so that the money reaches as far. */
export function partOf(whole: Problem, isKept: (index: number) => boolean): Part {
  const price = (i: number) => whole.candidates[i]?.priceMinor ?? Infinity;
  const demanded = new Set(
    whole.places
      .filter(({ required, fits }) => required && fits.length > 0)
      .map(({ fits }) => fits.reduce((low, i) => (price(i) < price(low) ? i : low))),
  );
  const back: number[] = [];
  const at = new Int32Array(whole.candidates.length).fill(-1);
  for (let i = 0; i < at.length; i++) if (isKept(i) || demanded.has(i)) at[i] = back.push(i) - 1;
  // equal places share one array here too
  const known = new Map<readonly number[], number[]>();
  const kept = (fits: readonly number[]): number[] => {
    const before = known.get(fits);
    if (before) return before;
    const found: number[] = [];
    for (const i of fits) if ((at[i] ?? -1) >= 0) found.push(at[i] ?? -1);
    known.set(fits, found);
    return found;
  };
  return {
    kept: new Set(back),
    problem: {
      ...whole,
      candidates: back.flatMap((i) => whole.candidates[i] ?? []),
      places: whole.places.map(({ fits, required }) => ({ fits: kept(fits), required })),
    },
    inPart: (choice) => choice.map((i) => (i < 0 ? -1 : (at[i] ?? -1))),
    inWhole: (choice) => choice.map((i) => (i < 0 ? -1 : (back[i] ?? -1))),
  };
}
