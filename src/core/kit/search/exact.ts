import type { Choice, Problem } from './problem';
import { type Decided, firstPlaceOf, leftWithout, type Taken } from './left';
import { Relaxation } from './relaxation';

/** Two kits closer in value than this are equal; what is proven is proven to it. */
export const PRECISION = 1e-7;

/** Subgradient steps at the root of a search and at each later node. */
const ROOT_STEPS = 60;

const NODE_STEPS = 6;

/** After so many nodes the root's bound is lowered again, with more patience, and the search begun anew from it: few hard kits pay for it. */
const AGAIN = [
  { after: 150, steps: 400, patience: 20 },
  { after: 1500, steps: 4000, patience: 50 },
] as const;

/** The search begins anew where the gap at the root falls to this share. */
const WORTH_IT = 0.75;

/** A search begun from a kindred one's multipliers begins afresh as well while its bound is this far off. */
const FAR = 1e-3;

/** How far below its bound a search without any kit yet aims. */
const BLIND = 0.1;

/** Polyak step factor at the start, how it shrinks, and after how many steps without a better bound. */
const STEP = {
  start: 1.8,
  shrink: 0.7,
  patience: 6,
  least: 0.004,
  leastAgain: 1e-5,
  notable: 1e-5,
  filterEvery: 5,
} as const;

/** Where candidates are many, multipliers are found among the likeliest first: so many of each class, in so many rounds, with so many
 * steps for each that is made with all of them. */
const SIFT = { from: 300, likeliest: 80, rounds: 5, stepsFor: 6, patience: 20, least: 0.1, downTo: 100 } as const;

/** A branch of the search, and the most it can be worth. */
interface Node extends Decided {
  multipliers: Float64Array;
  bound: number;
}

/** Where a search stands. */
export interface Proof {
  choice: Choice;
  /** Worth of the best kit found: what it covers, with rescued work as the choice weighs it, less what it is paid. */
  value: number;
  /** No kit that keeps the rules is worth more than this. */
  bound: number;
  /** `bound − value`; 0 once proven to {@link PRECISION}. */
  gap: number;
  proven: boolean;
  nodes: number;
}

/**
 * Finds the kit of the greatest worth under the budget and the places of a problem, and proves it.
 *
 * Method: coverage is that of a facility-location problem with a server for every role of every state, and what is paid is a sum over knives but
 * for second pieces of a type. The rule that a role is served once, and the budget, are relaxed with Lagrange multipliers; what remains falls apart into one
 * number a candidate, of which each class of places takes the largest. Subgradient steps (Polyak) lower that bound, candidates that
 * cannot reach the best kit found are dropped by their reduced value, and the rest is searched depth first with the bound renewed at every
 * node (Fisher 1981; Cornuéjols, Fisher and Nemhauser 1977). Deterministic. docs/planner.md has the equations.
 *
 * Runs in slices so that a caller may stop at any time: `step` until it returns true, or read `proof()` as it stands.
 */
export class ExactSearch {
  private readonly relaxed: Relaxation;
  private stack: Node[] = [];
  private best: { value: number; taken: readonly Taken[] };
  private nodes = 0;
  private root: Node;
  private again = 0;

  /**
   * `seed`, a kit that keeps the rules, is where the search starts from; `hint`, multipliers of a kindred search; `floor`, a value that is
   * had elsewhere: only kits worth more are looked for; `rootSteps`, how long the first bound is worked on.
   */
  constructor(
    problem: Problem,
    seed: Choice,
    hint?: Float64Array,
    private readonly floor = -Infinity,
    rootSteps: number = ROOT_STEPS,
  ) {
    const relaxed = new Relaxation(problem);
    this.relaxed = relaxed;
    const taken = relaxed.takenOf(seed);
    this.best = relaxed.isComplete(taken) ? { value: relaxed.valueOf(taken), taken } : { value: -Infinity, taken: [] };
    let isSifted = false;
    const from = (multipliers: Float64Array, left: Node['left']): Node => {
      const root: Node = { taken: [], left, multipliers, bound: Infinity };
      isSifted = this.sift(root, SIFT.stepsFor * rootSteps);
      if (!isSifted) this.lower(root, rootSteps);
      return root;
    };
    const fits = hint?.length === relaxed.scale.length;
    let root = from(hint && fits ? hint : relaxed.startingMultipliers(taken), relaxed.everything());
    if (hint && !isSifted && root.bound > this.aim + FAR) {
      const afresh = from(relaxed.startingMultipliers(this.best.taken), root.left);
      if (afresh.bound < root.bound) root = afresh;
    }
    this.root = { ...root };
    this.push(root);
  }

  /** Works through at most so many nodes. True once the search is over. */
  step(nodes: number): boolean {
    for (let i = 0; i < nodes; i++) {
      const node = this.stack.pop();
      if (!node) return true;
      this.nodes++;
      this.branch(node);
      if (this.nodes === AGAIN[this.again]?.after) this.beginAgain();
    }
    return this.stack.length === 0;
  }

  /** Looks for a better bound at the root, and begins the search anew where one is found. */
  private beginAgain(): void {
    const { steps = 0, patience = 0 } = AGAIN[this.again++] ?? {};
    if (this.stack.length === 0) return;
    const afresh = { ...this.root, multipliers: this.relaxed.startingMultipliers(this.best.taken) };
    this.lower(afresh, steps, patience);
    const gap = (node: Node) => node.bound - this.aim;
    if (gap(afresh) > WORTH_IT * gap(this.root)) return;
    this.root = afresh;
    this.stack = [];
    this.push({ ...afresh });
  }

  /** What a kit must be worth more than. */
  private get aim(): number {
    return Math.max(this.best.value, this.floor);
  }

  /** Multipliers at the root, to start a kindred search from. */
  get rootMultipliers(): Float64Array {
    return this.root.multipliers;
  }

  /** Whether a kit worth more than the floor has been found. */
  get found(): boolean {
    return this.best.value > this.floor && Number.isFinite(this.best.value);
  }

  /** Whether it is certain that nothing worth more than the floor is to be found. */
  get isHopeless(): boolean {
    return !this.found && this.stack.length === 0;
  }

  /** What the search has cost so far: figures compared, candidates × roles. About 10⁸ a second. */
  get work(): number {
    return this.relaxed.work;
  }

  proof(): Proof {
    const bound = Math.min(
      Math.max(this.root.bound, this.aim),
      this.stack.reduce((most, node) => Math.max(most, node.bound), this.aim),
    );
    const proven = bound <= this.aim + PRECISION;
    return {
      choice: this.relaxed.choiceOf(this.best.taken),
      value: this.best.value,
      bound: proven ? this.aim : bound,
      gap: proven ? 0 : bound - this.aim,
      proven,
      nodes: this.nodes,
    };
  }

  private isHopeful(node: Node): boolean {
    return node.bound > this.aim + PRECISION;
  }

  private push(node: Node): void {
    if (this.isHopeful(node)) this.stack.push(node);
  }

  /** Lowers a node's bound by subgradient steps, dropping what turns out hopeless on the way; stops once the node itself is. */
  private lower(node: Node, steps: number, patience: number = STEP.patience): void {
    const best = new Float64Array(node.multipliers);
    const now = new Float64Array(best);
    const { relaxed } = this;
    const { scale, slope } = relaxed;
    const counted = relaxed.count(node.taken);
    const there = relaxed.present(node.taken);
    let bound = Infinity;
    let factor: number = STEP.start;
    let idle = 0;
    for (let i = 0; i < steps; i++) {
      const value = relaxed.evaluate(node, now, counted, there);
      if (value < bound) {
        if (value < bound - STEP.notable) idle = 0;
        bound = value;
        best.set(now);
        if (bound <= this.aim + PRECISION) break;
        if (i % STEP.filterEvery === 0) this.drop(node, value);
        // the relaxed choice, when it keeps the budget, may be the best kit yet
        if (relaxed.keepsBudget()) this.keep([...node.taken, ...relaxed.chosen]);
      }
      if (++idle > patience) {
        factor *= STEP.shrink;
        idle = 0;
        if (factor < (patience > STEP.patience ? STEP.leastAgain : STEP.least)) break;
        now.set(best);
        relaxed.evaluate(node, now, counted, there);
      }
      let norm = 0;
      for (let k = 0; k < now.length; k++) norm += (scale[k] ?? 0) * (slope[k] ?? 0) ** 2;
      if (norm < 1e-15) break;
      const goal = Number.isFinite(this.aim) ? this.aim : bound - BLIND;
      const step = (factor * (value - goal + PRECISION)) / norm;
      for (let k = 0; k < now.length; k++)
        now[k] = Math.max(0, (now[k] ?? 0) - step * (scale[k] ?? 0) * (slope[k] ?? 0));
    }
    node.multipliers = best;
    node.bound = Math.min(node.bound, bound);
  }

  /**
   * Lowers a node's bound where its candidates are many: multipliers that are good for the likeliest of them are nearly good for all, and cost a
   * fraction of a step. Who is likeliest is looked at again after each round; what is certain is worked out with all of them.
   */
  private sift(node: Node, steps: number): boolean {
    const { relaxed } = this;
    const likeliest = new Set<number>();
    let now = node.multipliers;
    const many = () => node.left.reduce((sum, { open }) => sum + open.length, 0);
    if (many() < SIFT.from) return false;
    for (let round = 0; many() >= SIFT.downTo; round++) {
      const before = node.bound;
      const value = relaxed.evaluate(node, now);
      if (value < before) {
        node.bound = value;
        node.multipliers = now;
      }
      const isIdle = before - node.bound < SIFT.least * (node.bound - this.aim);
      if (round === SIFT.rounds || isIdle || value <= this.aim + PRECISION) return true;
      relaxed.likeliest(node.left, SIFT.likeliest).forEach((i) => likeliest.add(i));
      this.drop(node, value);
      const left = node.left.map((each) => ({ ...each, open: each.open.filter((i) => likeliest.has(i)) }));
      const few: Node = { ...node, left, multipliers: now, bound: Infinity };
      this.lower(few, round === 0 ? steps / 2 : steps, SIFT.patience);
      now = few.multipliers;
    }
    return true;
  }

  /** Drops from a node what cannot be part of a better kit, by the worths of the evaluation just made, which came to `value`. */
  private drop(node: Node, value: number): void {
    node.left = this.relaxed.hopeful(node, this.aim + PRECISION - value);
  }

  private keep(taken: readonly Taken[]): void {
    if (!this.relaxed.isComplete(taken)) return;
    const value = this.relaxed.valueOf(taken);
    if (value > this.best.value + 1e-12)
      this.best = { value, taken: taken.map(({ candidate, at }) => ({ candidate, at })) };
  }

  /** Drops what cannot be part of a better kit, then takes the likeliest candidate and, as the other branch, leaves it out. */
  private branch(node: Node): void {
    if (!this.isHopeful(node)) return;
    const { relaxed } = this;
    this.drop(node, relaxed.evaluate(node, node.multipliers));
    const { worth } = relaxed;
    const [next] = [...relaxed.chosen].sort(
      (a, b) =>
        Number(node.left[b.among]?.required) - Number(node.left[a.among]?.required) ||
        (worth[b.candidate] ?? 0) - (worth[a.candidate] ?? 0) ||
        a.candidate - b.candidate,
    );
    const among = next
      ? firstPlaceOf(relaxed.nest, node.left, next.among, next.candidate)
      : node.left.findIndex(({ open }) => open.length > 0);
    const from = node.left[among];
    const candidate = next?.candidate ?? from?.open[0];
    if (!from || candidate === undefined) return;
    const without: Node = { ...node, left: leftWithout(relaxed.nest, node.left, among, candidate) };
    this.lower(without, NODE_STEPS);
    this.push(without);
    // pushed last, looked at first
    const taken = [...node.taken, { candidate, at: from.at }];
    const rest = node.left.map((each, k) => (k === among ? { ...each, many: each.many - 1 } : each));
    const left = relaxed.affordable(
      rest.filter(({ many }) => many > 0),
      taken,
    );
    const withIt: Node = { ...node, taken, left };
    this.lower(withIt, NODE_STEPS);
    this.keep(taken);
    this.push(withIt);
  }
}
