import { affordable, Chooser, takesKnives, type Choice, type Problem } from './choose';
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
  const led = chooser.empty();
  for (const candidate of kindred) {
    const place = problem.places.findIndex(({ fits }, p) => (led[p] ?? -1) < 0 && fits.includes(candidate));
    if (place >= 0) led[place] = candidate;
  }
  return [chooser.fill(chooser.empty(), false), chooser.fill(chooser.empty(), true), chooser.fill(led, false)]
    .map((choice) => chooser.exchange(choice))
    .map((choice) => ({ choice, value: chooser.value(choice) }))
    .reduce((best, each) => (each.value > best.value ? each : best)).choice;
}

/** The best kit of one size as it is known so far. */
export interface SizeProof extends Proof {
  size: number;
  /** Candidates of the kit, by index. */
  kit: number[];
  priceMinor: number;
}

/**
 * The best kit of every size up to {@link LARGEST_SIZE} (or the places there are), each proven or with its gap. Yields what is known
 * after every slice of work, so that a caller may breathe or stop; each size starts from the one before it.
 */
export function* bestOfEverySize(problem: Problem, slice = 20): Generator<SizeProof[], SizeProof[]> {
  const known: SizeProof[] = [];
  let hint: Float64Array | undefined;
  for (let size = 1; size <= Math.min(LARGEST_SIZE, knifePlaces(problem)); size++) {
    const { problem: part } = affordable(ofSize(problem, size));
    const search = new ExactSearch(part, startingKit(part, known.at(-1)?.kit ?? []), hint);
    hint = search.rootMultipliers;
    const tell = (): SizeProof[] => {
      const proof = search.proof();
      const kit = [...proof.choice].filter((i) => i >= 0);
      const priceMinor = kit.reduce((sum, i) => sum + (problem.candidates[i]?.priceMinor ?? 0), 0);
      return [...known, { ...proof, size, kit, priceMinor }];
    };
    while (!search.step(slice)) yield tell();
    known.splice(0, known.length, ...tell());
    yield [...known];
  }
  return known;
}

/** Nodes after which a single plan stops proving and states its gap: some seconds' work at most. */
export const ENOUGH_NODES = 20_000;

/** The best kit within all limits, searched in slices; stopped after {@link ENOUGH_NODES}. */
export function* proveBest(whole: Problem, slice = 20): Generator<Proof, Proof> {
  const { problem } = affordable(whole);
  const search = new ExactSearch(problem, startingKit(problem, []));
  for (let nodes = 0; nodes < ENOUGH_NODES && !search.step(slice); nodes += slice) yield search.proof();
  return search.proof();
}

/** Runs a search to its end. */
export function toTheEnd<T, R>(steps: Generator<T, R>): R {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}
