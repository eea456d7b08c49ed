import type { Candidate } from './candidates';
import { affordable, Chooser, takesKnives, type Choice, type Problem } from './choose';
import { ExactSearch, PRECISION, type Proof } from './exact';
import { offersFor, realPrice, taking, wishing, type Offer } from './offers';
import type { Workbench } from './workbench';

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

/** Nodes after which a search stops proving and states its gap: some seconds' work at most. */
const ENOUGH_NODES = 20_000;

/** What a search has found, offers and all. */
export interface Proven {
  proof: Proof;
  /** The bench the kit stands on: with the offers it takes. */
  on: Workbench;
}

/** Some offers taken up, others still open, and the most that can come of it. */
interface Branch {
  on: Workbench;
  open: readonly Offer[];
  bound: number;
}

interface Sought {
  /** Most knives; any number the places allow when left out. */
  size?: number | undefined;
  /** A kit to start from. */
  kindred?: readonly number[];
  hint?: Float64Array | undefined;
  /** Nodes between two breaths. */
  slice?: number;
}

/** Whether what a bench demands fits in a kit of so many knives. */
const fitsIn = ({ problem }: Workbench, size: number | undefined) =>
  size === undefined ||
  problem.places.filter((place) => place.required && takesKnives(place, problem.candidates)).length <= size;

/**
 * Searches the best kit under budget, places, locks and offers, in slices: first without offers, then with every offer's price had for the
 * asking, which bounds what offers can do. A kit found there that meets its offers' conditions is the best; otherwise one offer it leans on is
 * taken up in one branch and left in the other. Yields what is known after every slice; each state is honest by itself.
 */
export class KitSearch {
  private best: Proven;
  private readonly branches: Branch[] = [];
  private now: ExactSearch;
  private nodes = 0;
  readonly hint: Float64Array;

  constructor(
    bench: Workbench,
    private readonly sought: Sought,
  ) {
    const plain = this.begin(bench.problem, sought.kindred ?? [], sought.hint);
    this.now = plain;
    this.hint = plain.rootMultipliers;
    this.best = { proof: plain.proof(), on: bench };
    // without a ceiling no kit is out of reach, and no price matters
    const offers = Number.isFinite(bench.problem.budgetMinor) ? offersFor(bench) : [];
    const open = offers.filter((offer) => taking(bench, offer).some((on) => fitsIn(on, sought.size)));
    if (open.length > 0) this.branches.push({ on: bench, open, bound: 1 });
  }

  private begin(problem: Problem, kindred: readonly number[], hint?: Float64Array, floor?: number): ExactSearch {
    const { size } = this.sought;
    const part = affordable(size === undefined ? problem : ofSize(problem, size)).problem;
    // where a value is had already, a kit to start from has nothing to add
    const seed = floor ? new Int32Array(part.places.length).fill(-1) : startingKit(part, kindred);
    return new ExactSearch(part, seed, hint, floor);
  }

  private *run(search: ExactSearch): Generator<Proven, boolean> {
    const { slice = 20 } = this.sought;
    this.now = search;
    for (; !search.step(slice); this.nodes += slice) {
      if (this.nodes >= ENOUGH_NODES) return false;
      yield this.known();
    }
    this.nodes++;
    return true;
  }

  /** The best so far, and the most anything still open can come to. */
  private known(more = 0): Proven {
    const { proof, on } = this.best;
    const bound = Math.max(proof.value, more, this.now.proof().bound, ...this.branches.map((branch) => branch.bound));
    const proven = bound <= proof.value + PRECISION;
    const gap = proven ? 0 : bound - proof.value;
    return { proof: { ...proof, bound: proof.value + gap, gap, proven, nodes: this.nodes }, on };
  }

  *search(): Generator<Proven, Proven> {
    if (!(yield* this.run(this.now))) return this.known();
    this.best = { ...this.best, proof: this.now.proof() };
    for (let branch = this.branches.pop(); branch; branch = this.branches.pop()) {
      if (branch.bound > this.best.proof.value + PRECISION && !(yield* this.explore(branch))) return this.known();
      yield this.known();
    }
    return this.known();
  }

  private *explore({ on, open }: Branch): Generator<Proven, boolean> {
    const { problem, singly, cheaperBy } = wishing(on, open);
    const kindred = this.best.proof.choice.filter((i) => i >= 0);
    const wished = this.begin(problem, [...kindred], this.hint, this.best.proof.value);
    if (!(yield* this.run(wished))) return false;
    if (!wished.found) return true;
    const { choice, value } = wished.proof();
    const chosen = [...choice].filter((i) => i >= 0);
    const real = realPrice(
      chosen.flatMap((i) => singly[i] ?? []),
      open,
    );
    const [leansOn] = chosen.flatMap((i) => cheaperBy.get(i) ?? []);
    if (!leansOn || real.priceMinor <= problem.budgetMinor) {
      // nothing here beats this kit: it only has to be had with its offers
      const benches = real.taken.reduce((all, offer) => all.flatMap((b) => taking(b, offer)), [on]);
      for (const bench of benches) {
        const had = this.begin(bench.problem, [], this.hint, this.best.proof.value);
        if (!(yield* this.run(had))) return false;
        if (had.found) this.best = { proof: had.proof(), on: bench };
      }
      if (this.best.proof.value >= value - PRECISION) return true;
    }
    if (!leansOn) return true;
    const rest = open.filter((offer) => offer !== leansOn);
    this.branches.push({ on, open: rest, bound: value });
    for (const bench of taking(on, leansOn))
      if (fitsIn(bench, this.sought.size)) this.branches.push({ on: bench, open: rest, bound: value });
    return true;
  }
}

/** The best kit within all limits, offers and all, searched in slices; it stops with its gap where that would take too long. */
export function proveBest(bench: Workbench): Generator<Proven, Proven> {
  return new KitSearch(bench, {}).search();
}

/** The best kit of one size as it is known so far. */
export interface SizeProof extends Proof {
  size: number;
  /** What the kit consists of, at what it costs there. */
  kit: Candidate[];
  priceMinor: number;
}

/**
 * The best kit of every size up to {@link LARGEST_SIZE} (or the places there are), each proven or with its gap. Yields what is known
 * after every slice of work, so that a caller may breathe or stop; each size starts from the one before it.
 */
export function* bestOfEverySize(bench: Workbench): Generator<SizeProof[], SizeProof[]> {
  const known: SizeProof[] = [];
  let sought: Sought = {};
  for (let size = 1; size <= Math.min(LARGEST_SIZE, knifePlaces(bench.problem)); size++) {
    const search = new KitSearch(bench, { ...sought, size });
    const tell = ({ proof, on }: Proven): SizeProof => {
      const kit = [...proof.choice].flatMap((i) => (i < 0 ? [] : (on.problem.candidates[i] ?? [])));
      return { ...proof, size, kit, priceMinor: kit.reduce((sum, c) => sum + c.priceMinor, 0) };
    };
    const steps = search.search();
    let step = steps.next();
    for (; !step.done; step = steps.next()) yield [...known, tell(step.value)];
    known.push(tell(step.value));
    // a kit with offers is numbered by its own bench: only a plain one is a start for the next size
    const { proof, on } = step.value;
    sought = { hint: search.hint, kindred: on === bench ? [...proof.choice].filter((i) => i >= 0) : [] };
    yield [...known];
  }
  return known;
}

/** Runs a search to its end. */
export function toTheEnd<T, R>(steps: Generator<T, R>): R {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
  }
}
