import { Chooser } from './greedy';
import { affordable, type Choice, placed, type Problem, requiredKnives, takesKnives } from './problem';
import { ExactSearch, type Proof } from './exact';

/** Most knives of which the best set is sought. */
export const LARGEST_SIZE = 8;

/** A problem with its knife places cut down to `size`: required places first. Tools and sharpening are not counted. */
export function ofSize(problem: Problem, size: number): Problem {
  const isKnife = problem.places.map((place) => takesKnives(place, problem.candidates));
  const knives = problem.places.flatMap((_, p) => (isKnife[p] ? [p] : []));
  const required = (p: number) => Number(problem.places[p]?.required ?? false);
  const kept = new Set(knives.sort((a, b) => required(b) - required(a) || a - b).slice(0, size));
  return { ...problem, places: problem.places.filter((_, p) => !isKnife[p] || kept.has(p)) };
}

/** How many knives a kit may buy. */
export function knifePlaces(problem: Problem): number {
  return problem.places.filter((place) => takesKnives(place, problem.candidates)).length;
}

/** Where to start the search for a kit: the better of greedy by gain, greedy by money, and a kindred kit filled up. */
export function startingKit(problem: Problem, kindred: readonly number[]): Choice {
  const chooser = new Chooser(problem);
  const led = placed(problem, kindred);
  return [chooser.fill(chooser.empty(), false), chooser.fill(chooser.empty(), true), chooser.fill(led, false)]
    .map((choice) => chooser.exchange(choice))
    .map((choice) => ({ choice, value: chooser.worth(choice) }))
    .reduce((best, each) => (each.value > best.value ? each : best)).choice;
}

/** A search for what is worth more than a kit known from kindred limits, with its multipliers. */
export function searchAbove(
  problem: Problem,
  { choice, value }: Pick<Proof, 'choice' | 'value'>,
  hint: Float64Array | undefined,
  rootSteps?: number,
): ExactSearch {
  const within = affordable(problem).problem;
  return new ExactSearch(within, placed(within, chosenOf({ choice })), hint, value, rootSteps);
}

/** Work after which a search stops proving and states its gap, figures compared: some seconds at most. Where many are at work a figure takes longer. */
const ENOUGH_WORK = { knives: 1.5e8, kinds: 4e7 } as const;

export const enoughWork = ({ kinds }: Pick<Problem, 'kinds'>): number =>
  kinds === undefined ? ENOUGH_WORK.knives : ENOUGH_WORK.kinds;

/** Nodes between two breaths. */
export const SLICE = 20;

/** What is known of the best kit of so many knives at most, offers aside. */
export interface Rung {
  size: number;
  proof: Proof;
  /** Multipliers to start a kindred search from. */
  hint: Float64Array;
  /** What the proof has cost. */
  work: number;
}

/**
 * The best kit of every size up to `most`, offers aside, by size. The largest comes first: where its best kit has fewer knives than places it is
 * the best of the sizes that hold it as well. Then the others from the smallest up, each from the one before it. Yields after every slice of work.
 */
export function* ladder(problem: Problem, most: number): Generator<Rung[], Rung[]> {
  const large: Rung[] = [];
  const small: Rung[] = [];
  function* prove(size: number, below?: Rung): Generator<Rung[], Rung> {
    const { problem: part } = affordable(ofSize(problem, size));
    const search = new ExactSearch(part, startingKit(part, below ? chosenOf(below.proof) : []), below?.hint);
    const rung = () => ({ size, proof: search.proof(), hint: search.rootMultipliers, work: search.work });
    while (search.work < enoughWork(problem) && !search.step(SLICE)) yield [...small, rung(), ...large];
    return rung();
  }
  if (most < 1) return [];
  const largest = yield* prove(most);
  const kit = chosenOf(largest.proof);
  const isEnough = (size: number) => {
    const part = ofSize(problem, size);
    return (
      requiredKnives(part) === requiredKnives(problem) && placed(part, kit).filter((i) => i >= 0).length === kit.length
    );
  };
  large.push(largest);
  while (largest.proof.proven && large.length < most && isEnough(most - large.length))
    large.unshift({ ...largest, size: most - large.length });
  while (small.length < most - large.length) small.push(yield* prove(small.length + 1, small.at(-1)));
  return [...small, ...large];
}

/** The candidates of a proof's kit, by index. */
export const chosenOf = ({ choice }: Pick<Proof, 'choice'>): number[] => [...choice].filter((i) => i >= 0);

/** Runs a search to its end. */
export function toTheEnd<T, R>(steps: Generator<T, R>): R {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}
