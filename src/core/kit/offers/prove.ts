import type { Candidate } from '../candidates/candidate';
import { chooseKit, ROUGH } from '../search/choose';
import { affordable, type Problem, requiredKnives } from '../search/problem';
import { ExactSearch, PRECISION, type Proof } from '../search/exact';
import { type Offer, offersFor, realPrice, taking, wishing } from './offers';
import {
  chosenOf,
  enoughWork,
  knifePlaces,
  ladder,
  LARGEST_SIZE,
  ofSize,
  searchAbove,
  type Rung,
  SLICE,
} from '../search/sizes';
import type { PlanningContext } from '../context/planningContext';

/** Steps by which an offer's bound is lowered before it is kept in doubt. */
const PROBE_STEPS = 20;

/** Nodes of a search with every open offer's price had for the asking, before one of them is taken up or left. */
const WISHED_NODES = 2 * SLICE;

/** What a search has found, offers and all. */
export interface Proven {
  proof: Proof;
  /** The context the kit stands on: with the offers it takes. */
  on: PlanningContext;
  /** Multipliers to prove a kindred kitchen from, and the work it took. */
  hint?: Float64Array;
  work?: number;
}

/** How a proof is gone about. */
export interface Looking {
  /** Work after which it stops, figures compared. */
  enough?: number;
  hint?: Float64Array | undefined;
  /** Steps by which the bound of a search is lowered before it begins to branch; as many as the proof of a plan takes where it is not said. */
  rootSteps?: number;
}

/** Some offers taken up, others still open, and the most that can come of it. */
interface Branch {
  on: PlanningContext;
  open: readonly Offer[];
  bound: number;
}

/**
 * What offers add to the best kit without them: every offer's price had for the asking bounds what they can do. A kit found there that meets its
 * offers' conditions is the best; otherwise one offer it leans on is taken up in one branch and left in the other. Yields what is known after
 * every slice; each state is honest by itself.
 */
class OfferSearch {
  private best: Proven;
  private readonly branches: Branch[] = [];
  /** The branch being looked at, and the search that bounds it. */
  private now: Branch | null = null;
  private wished: ExactSearch | null = null;
  private nodes: number;
  private work: number;

  constructor(
    private readonly context: PlanningContext,
    private readonly rung: Rung,
    offers: readonly Offer[],
    private readonly enough = enoughWork(context.problem),
    private readonly rootSteps?: number,
  ) {
    this.best = { proof: rung.proof, on: context };
    this.nodes = rung.proof.nodes;
    this.work = rung.work;
    const open = offers.filter((offer) => this.takingHere(context, offer).length > 0);
    if (open.length > 0) this.branches.push({ on: context, open, bound: Infinity });
  }

  /** The contexts with an offer taken up that leave room for no more knives than are sought. */
  private takingHere(context: PlanningContext, offer: Offer): PlanningContext[] {
    return taking(context, offer).filter(({ problem }) => requiredKnives(problem) <= this.rung.size);
  }

  /** A search for what is worth more than the best so far. */
  private above(problem: Problem, rootSteps = this.rootSteps): ExactSearch {
    const { proof } = this.best;
    const search = searchAbove(ofSize(problem, this.rung.size), proof, this.rung.hint, rootSteps);
    this.work += search.work;
    return search;
  }

  get workDone(): number {
    return this.work;
  }

  private get isEnough(): boolean {
    return this.work >= this.enough;
  }

  /** The offers of which something better can come at all, by the bound of the kits that take them up. */
  private *probed(on: PlanningContext, open: readonly Offer[]): Generator<Proven, Offer[]> {
    let left = [...open];
    const queue = [...open];
    for (let offer = queue.shift(); offer && !this.isEnough; offer = queue.shift()) {
      const rest = left.filter((other) => other !== offer);
      const helps = this.takingHere(on, offer).some(
        (b) => !this.above(wishing(b, rest).problem, PROBE_STEPS).isHopeless,
      );
      // with fewer beside them less may come of those kept before
      if (!helps) queue.push(...rest.filter((other) => !queue.includes(other)));
      if (!helps) left = rest;
      yield this.known();
    }
    return left;
  }

  /** Runs a search to its end, or through so many nodes; false where it has to stop for good. */
  private *run(search: ExactSearch, most = Infinity): Generator<Proven, boolean> {
    for (let nodes = 0; nodes < most; nodes += SLICE) {
      if (this.isEnough) return false;
      const { work } = search;
      const done = search.step(SLICE);
      this.work += search.work - work;
      if (done) return true;
      this.nodes += SLICE;
      yield this.known();
    }
    return true;
  }

  /** The best so far, and the most anything still open can come to. */
  private known(): Proven {
    const { proof, on } = this.best;
    const { bound: plain } = this.rung.proof;
    const bounds = this.branches.map((branch) => branch.bound);
    const here = this.now ? Math.min(this.now.bound, this.wished?.proof().bound ?? Infinity) : 0;
    const bound = Math.max(proof.value, plain, here, ...bounds);
    const proven = bound <= proof.value + PRECISION;
    const gap = proven ? 0 : bound - proof.value;
    return { proof: { ...proof, bound: proof.value + gap, gap, proven, nodes: this.nodes }, on };
  }

  *search(): Generator<Proven, Proven> {
    for (let branch = this.branches.pop(); branch; branch = this.branches.pop()) {
      this.now = branch;
      this.wished = null;
      if (branch.bound > this.best.proof.value + PRECISION && !(yield* this.explore(branch))) return this.known();
      this.now = null;
      yield this.known();
    }
    return this.known();
  }

  private *explore({ on, open: offered }: Branch): Generator<Proven, boolean> {
    // offers of which nothing can come are dropped first: looking at each is cheaper than a search with all of their prices
    const open = yield* this.probed(on, offered);
    // without offers it is the kit that was searched before
    if (on === this.context && open.length === 0) return true;
    const { problem, singly, cheaperBy } = wishing(on, open);
    const wished = this.above(problem);
    this.wished = wished;
    if (wished.isHopeless) return true;
    if (!(yield* this.run(wished, open.length > 0 ? WISHED_NODES : Infinity))) return false;
    if (wished.isHopeless) return true;
    const proof = wished.proof();
    const { bound } = proof;
    const chosen = wished.found ? chosenOf(proof) : [];
    const [cheaper] = chosen.flatMap((i) => cheaperBy.get(i) ?? []);
    if (wished.found && !cheaper) this.best = { proof, on };
    const leansOn = cheaper ?? (proof.proven ? undefined : open[0]);
    if (!leansOn) return true;
    const real = realPrice(
      chosen.flatMap((i) => singly[i] ?? []),
      open,
    );
    if (real.priceMinor <= problem.budgetMinor && real.taken.length > 0) {
      // this kit only has to be had with its offers
      const contexts = real.taken.reduce((all, offer) => all.flatMap((b) => taking(b, offer)), [on]);
      for (const context of contexts) {
        const had = this.above(context.problem);
        if (!(yield* this.run(had))) return false;
        if (had.found) this.best = { proof: had.proof(), on: context };
      }
      if (this.best.proof.value >= bound - PRECISION) return true;
    }
    const rest = open.filter((offer) => offer !== leansOn);
    this.branches.push({ on, open: rest, bound });
    for (const context of this.takingHere(on, leansOn)) this.branches.push({ on: context, open: rest, bound });
    return true;
  }
}

/** What is known while plain kits are still being compared: what offers can do is not known yet. */
const sofar = (context: PlanningContext, { proof }: Rung): Proven => ({
  proof: { ...proof, bound: Infinity, gap: Infinity, proven: false },
  on: context,
});

/**
 * The kit of the greatest worth within all limits, offers and all, searched in slices; it stops with its gap after so much work. `hint`: multipliers
 * of the proof of a kindred kitchen.
 */
export function* proveBest(
  context: PlanningContext,
  { enough = enoughWork(context.problem), hint: known, rootSteps }: Looking = {},
): Generator<Proven, Proven> {
  const { problem } = affordable(context.problem);
  const { choice } = chooseKit(context.problem, ROUGH, { seed: context.seed });
  const search = new ExactSearch(problem, choice, known, -Infinity, rootSteps);
  while (search.work < enough && !search.step(SLICE)) yield { proof: search.proof(), on: context };
  const offers = offersFor(context);
  const { rootMultipliers: hint, work } = search;
  const rung: Rung = { size: knifePlaces(problem), proof: search.proof(), hint, work };
  if (offers.length === 0) return { proof: rung.proof, on: context, hint, work };
  yield sofar(context, rung);
  const offered = new OfferSearch(context, rung, offers, enough, rootSteps);
  return { ...(yield* offered.search()), hint, work: offered.workDone };
}

/** The best kit of one size as it is known so far. */
interface SizeProof extends Proof {
  size: number;
  /** What the kit consists of, at what it costs there. */
  kit: Candidate[];
  priceMinor: number;
}

function sized({ proof, on }: Proven, size: number): SizeProof {
  const kit = chosenOf(proof).flatMap((i) => on.problem.candidates[i] ?? []);
  return { ...proof, size, kit, priceMinor: kit.reduce((sum, c) => sum + c.priceMinor, 0) };
}

/**
 * The best kit of every size up to {@link LARGEST_SIZE} (or the places there are), each proven or with its gap. Yields what is known
 * after every slice of work, so that a caller may breathe or stop. First without offers ({@link ladder});
 * then with them, from the largest down, as the money often buys fewer knives than there are places for: what is best with eight
 * places is then best with seven.
 */
export function* bestOfEverySize(context: PlanningContext): Generator<SizeProof[], SizeProof[]> {
  const plain = ladder(context.problem, Math.min(LARGEST_SIZE, knifePlaces(context.problem)));
  let step = plain.next();
  for (; !step.done; step = plain.next()) yield step.value.map((rung) => sized(sofar(context, rung), rung.size));
  const rungs = step.value;
  const offers = offersFor(context);
  const known: SizeProof[] = [];
  const still = (least: number) => rungs.slice(0, least - 1).map((r) => sized(sofar(context, r), r.size));
  while (known.length < rungs.length) {
    const rung = rungs[rungs.length - known.length - 1];
    if (!rung) break;
    const search = new OfferSearch(context, rung, offers).search();
    let next = search.next();
    for (; !next.done; next = search.next()) yield [...still(rung.size), sized(next.value, rung.size), ...known];
    const found = sized(next.value, rung.size);
    const used = Math.max(1, found.kit.filter((c) => c.action === 'buy').length);
    for (let { size } = rung; size >= Math.min(rung.size, used); size--) known.unshift({ ...found, size });
    yield [...still(known[0]?.size ?? 1), ...known];
  }
  return known;
}
