import type { Choice, Problem } from './choose';

/** Two kits closer in value than this are equal; what is proven is proven to it. */
export const PRECISION = 1e-7;
/** Subgradient steps at the root of a search and at each later node. */
const ROOT_STEPS = 160;
/** A search begun from a kindred one's multipliers begins afresh as well while its bound is this far off. */
const FAR = 1e-3;
const NODE_STEPS = 4;
/** How far the multiplier of money moves beside those of tasks, whose weights sum to 1. */
const MONEY_SCALE = 0.5;
/** Polyak step factor at the start, how it shrinks, and after how many steps without a better bound. */
const STEP = { start: 1.8, shrink: 0.7, patience: 6, least: 0.004, notable: 1e-5, filterEvery: 5 } as const;

/** Places that accept the same candidates, filled in any order. */
interface PlaceClass {
  /** Indices of the problem's places. */
  places: number[];
  fits: readonly number[];
  required: boolean;
}

/** A branch of the search: what is in for certain, what may still come, and the most it can be worth. */
interface Node {
  /** Candidates taken, with the class each was taken for. */
  taken: { candidate: number; at: number }[];
  /** Candidates that may still be taken, by class. */
  open: (readonly number[])[];
  multipliers: Float64Array;
  bound: number;
}

/** Where a search stands. */
export interface Proof {
  choice: Choice;
  /** Coverage of the best kit found, 0–1. */
  value: number;
  /** No kit that keeps the rules covers more than this. */
  bound: number;
  /** `bound − value`; 0 once proven to {@link PRECISION}. */
  gap: number;
  proven: boolean;
  nodes: number;
}

/**
 * Finds the kit with the highest value under the budget and the places of a problem, and proves it.
 *
 * Method: the value is that of a facility-location problem with a first and a second server a task. The rule that a task is served once
 * by a best and once by a second-best knife, and the budget, are relaxed with Lagrange multipliers; what remains falls apart into one
 * number a candidate, of which each class of places takes the largest. Subgradient steps (Polyak) lower that bound, candidates that
 * cannot reach the best kit found are dropped by their reduced value, and the rest is searched depth first with the bound renewed at every
 * node (Fisher 1981; Cornuéjols, Fisher and Nemhauser 1977). A second copy of a candidate can only be a second server. Deterministic.
 *
 * Runs in slices so that a caller may stop at any time: `step` until it returns true, or read `proof()` as it stands.
 */
export class ExactSearch {
  private readonly tasks: number[];
  /** Value of each candidate at each task, scaled so that coverage is the plain sum. */
  private readonly rows: Float64Array;
  /** The tasks at which a candidate is worth anything, from `begins[i]` to `begins[i + 1]`. */
  private readonly served: Int32Array;
  private readonly begins: Int32Array;
  private readonly shared: Float64Array;
  private readonly prices: Float64Array;
  private readonly classes: PlaceClass[];
  private readonly ownedRows: Float64Array[];
  private readonly givenRows: Float64Array[];
  private readonly limited: boolean;
  private readonly money: number;
  private stack: Node[] = [];
  private best: { value: number; taken: Node['taken'] };
  private nodes = 0;
  private rootBound = Infinity;
  // scratch of one evaluation
  private readonly first: Float64Array;
  private readonly second: Float64Array;
  private readonly slope: Float64Array;
  /** How far each multiplier moves for the same slope: with its task's weight, so that small tasks are not shaken by large ones. */
  private readonly scale: Float64Array;
  private readonly worth: Float64Array;
  private readonly worthAgain: Float64Array;
  private chosen: { candidate: number; at: number; again: boolean }[] = [];
  private thresholds: number[] = [];

  /** `seed`, a kit that keeps the rules, is where the search starts from; `hint`, multipliers of a kindred search. */
  constructor(
    private readonly problem: Problem,
    seed: Choice,
    hint?: Float64Array,
  ) {
    const { demand, candidates } = problem;
    this.tasks = [...demand.weights].flatMap((w, t) => (w > 0 ? [t] : []));
    const T = this.tasks.length;
    const scaled = (row: Float64Array) =>
      Float64Array.from(this.tasks, (t) => ((row[t] ?? 0) * (demand.weights[t] ?? 0)) / demand.total);
    this.rows = new Float64Array(candidates.length * T);
    candidates.forEach((c, i) => this.rows.set(scaled(c.rows), i * T));
    const served: number[] = [];
    this.begins = new Int32Array(candidates.length + 1);
    candidates.forEach((_, i) => {
      for (let t = 0; t < T; t++) if ((this.rows[i * T + t] ?? 0) > 0) served.push(t);
      this.begins[i + 1] = served.length;
    });
    this.served = Int32Array.from(served);
    this.shared = Float64Array.from(this.tasks, (t) => demand.shared[t] ?? 0);
    this.ownedRows = problem.owned.map((o) => scaled(o.rows));
    this.givenRows = problem.given.map(scaled);
    this.limited = Number.isFinite(problem.budgetMinor);
    this.money = this.limited ? Math.max(1, problem.budgetMinor) : 1;
    // shares of the budget; with no money at all whatever costs anything is out of reach
    const share = (minor: number) => (problem.budgetMinor > 0 ? minor / this.money : minor > 0 ? 2 : 0);
    this.prices = Float64Array.from(candidates, (c) => (this.limited ? share(c.priceMinor) : 0));
    this.classes = classesOf(problem);
    this.first = new Float64Array(T);
    this.second = new Float64Array(T);
    this.slope = new Float64Array(2 * T + 1);
    this.scale = new Float64Array(2 * T + 1);
    this.tasks.forEach((t, k) => {
      const weight = (demand.weights[t] ?? 0) / demand.total;
      const c = this.shared[k] ?? 0;
      this.scale[k] = (1 - c) * weight;
      this.scale[T + k] = c * weight;
    });
    this.scale[2 * T] = MONEY_SCALE;
    this.worth = new Float64Array(candidates.length);
    this.worthAgain = new Float64Array(candidates.length);

    const taken = this.takenOf(seed);
    this.best = { value: this.valueOf(taken), taken };
    const root: Node = {
      taken: [],
      open: this.classes.map((c) => c.fits.filter((i) => (this.prices[i] ?? 0) <= (this.limited ? 1 : 0) + 1e-12)),
      multipliers: hint?.length === 2 * T + 1 ? Float64Array.from(hint) : this.startingMultipliers(taken),
      bound: Infinity,
    };
    this.lower(root, ROOT_STEPS);
    if (hint && root.bound > this.best.value + FAR) {
      const afresh = { ...root, multipliers: this.startingMultipliers(this.best.taken) };
      this.lower(afresh, ROOT_STEPS);
      if (afresh.bound < root.bound) Object.assign(root, afresh);
    }
    this.rootBound = root.bound;
    this.rootMultipliers = Float64Array.from(root.multipliers);
    if (this.isHopeful(root)) this.stack.push(root);
  }

  /** Multipliers at the root, to start a kindred search from. */
  readonly rootMultipliers: Float64Array;

  /** Works through at most so many nodes. True once the search is over. */
  step(nodes: number): boolean {
    for (let i = 0; i < nodes; i++) {
      const node = this.stack.pop();
      if (!node) return true;
      this.nodes++;
      this.branch(node);
    }
    return this.stack.length === 0;
  }

  proof(): Proof {
    const bound = Math.min(
      this.rootBound,
      this.stack.reduce((most, node) => Math.max(most, node.bound), this.best.value),
    );
    const proven = bound <= this.best.value + PRECISION;
    return {
      choice: this.choiceOf(this.best.taken),
      value: this.best.value,
      bound: proven ? this.best.value : bound,
      gap: proven ? 0 : bound - this.best.value,
      proven,
      nodes: this.nodes,
    };
  }

  private isHopeful(node: Node): boolean {
    return node.bound > this.best.value + PRECISION;
  }

  private takenOf(choice: Choice): Node['taken'] {
    return this.classes.flatMap((c, at) =>
      c.places.flatMap((place) => {
        const candidate = choice[place] ?? -1;
        return candidate >= 0 ? [{ candidate, at }] : [];
      }),
    );
  }

  private choiceOf(taken: Node['taken']): Choice {
    const choice = new Int32Array(this.problem.places.length).fill(-1);
    this.classes.forEach((c, at) => {
      taken.filter((t) => t.at === at).forEach(({ candidate }, i) => (choice[c.places[i] ?? -1] = candidate));
    });
    return choice;
  }

  /** Best and second-best row of what is owned and taken, into `first` and `second`. A knife put right stands for its dull self. */
  private serve(taken: readonly { candidate: number }[]): void {
    const { first, second, rows } = this;
    const T = this.tasks.length;
    first.fill(0);
    second.fill(0);
    const put = (row: Float64Array, from: number) => {
      for (let t = 0; t < T; t++) {
        const f = row[from + t] ?? 0;
        if (f > (first[t] ?? 0)) {
          second[t] = first[t] ?? 0;
          first[t] = f;
        } else if (f > (second[t] ?? 0)) second[t] = f;
      }
    };
    for (const row of this.givenRows) put(row, 0);
    this.ownedRows.forEach((row, i) => {
      if (!taken.some(({ candidate }) => this.problem.candidates[candidate]?.owned === i)) put(row, 0);
    });
    for (const { candidate } of taken) put(rows, candidate * T);
  }

  private valueOf(taken: readonly { candidate: number }[]): number {
    this.serve(taken);
    let sum = 0;
    for (let t = 0; t < this.tasks.length; t++) {
      const c = this.shared[t] ?? 0;
      sum += (1 - c) * (this.first[t] ?? 0) + c * (this.second[t] ?? 0);
    }
    return sum;
  }

  /** A task's price is about what its second server in a good kit is worth: taking its best away would cost the difference. */
  private startingMultipliers(taken: Node['taken']): Float64Array {
    const T = this.tasks.length;
    const multipliers = new Float64Array(2 * T + 1);
    this.serve(taken);
    for (let t = 0; t < T; t++) {
      const c = this.shared[t] ?? 0;
      multipliers[t] = (1 - c) * (0.5 * (this.first[t] ?? 0) + 0.5 * (this.second[t] ?? 0));
      multipliers[T + t] = c * (this.second[t] ?? 0);
    }
    return multipliers;
  }

  /** Lowers a node's bound by subgradient steps, dropping what turns out hopeless on the way; stops once the node itself is. */
  private lower(node: Node, steps: number): void {
    const best = Float64Array.from(node.multipliers);
    const now = Float64Array.from(best);
    const counted = this.count(node.taken);
    let bound = Infinity;
    let factor: number = STEP.start;
    let idle = 0;
    for (let i = 0; i < steps; i++) {
      const value = this.evaluate(node, now, counted);
      if (value < bound) {
        if (value < bound - STEP.notable) idle = 0;
        bound = value;
        best.set(now);
        if (bound <= this.best.value + PRECISION) break;
        if (i % STEP.filterEvery === 0) this.drop(node, value);
        this.tryChosen(node);
      }
      if (++idle > STEP.patience) {
        factor *= STEP.shrink;
        idle = 0;
        if (factor < STEP.least) break;
        now.set(best);
        this.evaluate(node, now, counted);
      }
      let norm = 0;
      for (let k = 0; k < now.length; k++) norm += (this.scale[k] ?? 0) * (this.slope[k] ?? 0) ** 2;
      if (norm < 1e-15) break;
      const step = (factor * (Math.min(value, bound * 2) - this.best.value + PRECISION)) / norm;
      for (let k = 0; k < now.length; k++)
        now[k] = Math.max(0, (now[k] ?? 0) - step * (this.scale[k] ?? 0) * (this.slope[k] ?? 0));
    }
    node.multipliers = best;
    node.bound = Math.min(node.bound, bound);
  }

  /** The relaxed value of a node at some multipliers: an upper bound. Fills `slope`, the worths and what was chosen. */
  private evaluate(node: Node, multipliers: Float64Array, counted: Map<number, number>): number {
    const { shared, rows, slope, first, second, prices } = this;
    const T = this.tasks.length;
    const nu = this.limited ? (multipliers[2 * T] ?? 0) : 0;
    this.serve(node.taken);
    const left = 1 - this.spent(node.taken);
    let bound = this.limited ? nu * left : 0;
    slope[2 * T] = this.limited ? left : 0;
    for (let t = 0; t < T; t++) {
      const c = shared[t] ?? 0;
      const lambda = multipliers[t] ?? 0;
      const mu = multipliers[T + t] ?? 0;
      const asFirst = (1 - c) * (first[t] ?? 0) - lambda;
      const asSecond = c * (first[t] ?? 0) - mu;
      const behind = c * (second[t] ?? 0) - mu;
      bound += lambda + mu + Math.max(0, asFirst, asSecond) + Math.max(0, behind);
      slope[t] = asFirst > 0 && asFirst >= asSecond ? 0 : 1;
      slope[T + t] = 1 - (asSecond > 0 && asSecond > asFirst ? 1 : 0) - (behind > 0 ? 1 : 0);
    }
    this.worthsOf(node, multipliers, counted, nu);
    this.chosen = [];
    this.thresholds = [];
    this.classes.forEach((each, at) => {
      bound += this.pick(node, each, at, counted);
    });
    for (const { candidate, again } of this.chosen) {
      slope[2 * T] = (slope[2 * T] ?? 0) - (this.limited ? (prices[candidate] ?? 0) : 0);
      const from = candidate * T;
      for (let t = 0; t < T; t++) {
        const g = rows[from + t] ?? 0;
        const c = shared[t] ?? 0;
        const asFirst = again ? -1 : (1 - c) * g - (multipliers[t] ?? 0);
        const asSecond = c * g - (multipliers[T + t] ?? 0);
        if (asFirst > 0 && asFirst >= asSecond) slope[t] = (slope[t] ?? 0) - 1;
        else if (asSecond > 0) slope[T + t] = (slope[T + t] ?? 0) - 1;
      }
    }
    return bound;
  }

  /** Drops from a node what cannot be part of a better kit, by the worths of the evaluation just made. */
  private drop(node: Node, relaxed: number): void {
    const need = this.best.value + PRECISION - relaxed;
    node.open = node.open.map((list, at) => {
      const least = need + (this.thresholds[at] ?? 0);
      const keep = (i: number) =>
        (this.worth[i] ?? 0) > least || this.chosen.some((c) => c.at === at && c.candidate === i);
      return list.every(keep) ? list : list.filter(keep);
    });
  }

  private count(taken: Node['taken']): Map<number, number> {
    const counted = new Map<number, number>();
    for (const { candidate } of taken) counted.set(candidate, (counted.get(candidate) ?? 0) + 1);
    return counted;
  }

  /** What each open candidate is worth at some multipliers, as the first of its kind and as a second copy. */
  private worthsOf(node: Node, multipliers: Float64Array, counted: Map<number, number>, nu: number): void {
    const { rows, shared, worth, worthAgain, prices, served, begins } = this;
    const T = this.tasks.length;
    for (const list of node.open)
      for (const i of list) {
        const end = begins[i + 1] ?? 0;
        let once = 0;
        let again = 0;
        for (let k = begins[i] ?? 0; k < end; k++) {
          const t = served[k] ?? 0;
          const g = rows[i * T + t] ?? 0;
          const c = (shared[t] ?? 0) * g;
          const asFirst = g - c - (multipliers[t] ?? 0);
          const asSecond = c - (multipliers[T + t] ?? 0);
          if (asSecond > 0) {
            again += asSecond;
            once += asFirst > asSecond ? asFirst : asSecond;
          } else if (asFirst > 0) once += asFirst;
        }
        const cost = nu * (prices[i] ?? 0);
        worthAgain[i] = again - cost;
        worth[i] = (counted.has(i) ? again : once) - cost;
      }
  }

  /** Takes the largest worths for the places of a class that are still empty. */
  private pick(node: Node, each: PlaceClass, at: number, counted: Map<number, number>): number {
    const places = each.places.length - node.taken.filter((t) => t.at === at).length;
    const top: { value: number; candidate: number; again: boolean }[] = [];
    const offer = (value: number, candidate: number, again: boolean) => {
      if (!each.required && value <= 0) return;
      const last = top[places - 1];
      if (last && value <= last.value) return;
      let k = Math.min(top.length, places - 1);
      while (k > 0 && (top[k - 1]?.value ?? 0) < value) k--;
      top.splice(k, 0, { value, candidate, again });
      if (top.length > places) top.pop();
    };
    if (places > 0)
      for (const i of node.open[at] ?? []) {
        offer(this.worth[i] ?? 0, i, counted.has(i));
        // copies beyond the second add nothing, but a required place may have to take one
        for (let copy = 1; copy < Math.min(places, each.required ? places : 2 - (counted.get(i) ?? 0)); copy++)
          offer(this.worthAgain[i] ?? 0, i, true);
      }
    let sum = 0;
    for (const { value, candidate, again } of top) {
      sum += value;
      this.chosen.push({ candidate, at, again });
    }
    if (each.required && top.length < places) sum = -Infinity;
    const last = top[places - 1]?.value;
    this.thresholds.push(places > 0 ? (last ?? 0) : Infinity);
    return sum;
  }

  /** The relaxed choice, when it keeps the budget, may be the best kit yet. */
  private tryChosen(node: Node): void {
    if ((this.slope[2 * this.tasks.length] ?? 0) < -1e-12) return;
    const taken = [...node.taken, ...this.chosen];
    this.keep(taken);
  }

  private keep(taken: readonly { candidate: number; at: number }[]): void {
    if (!this.isComplete(taken)) return;
    const value = this.valueOf(taken);
    if (value > this.best.value + 1e-12)
      this.best = { value, taken: taken.map(({ candidate, at }) => ({ candidate, at })) };
  }

  private isComplete(taken: readonly { at: number }[]): boolean {
    return this.classes.every((c, at) => !c.required || taken.filter((t) => t.at === at).length === c.places.length);
  }

  /** Drops what cannot be part of a better kit, then takes the likeliest candidate and, as the other branch, leaves it out. */
  private branch(node: Node): void {
    if (!this.isHopeful(node)) return;
    if (node.taken.length > 0) this.keep(node.taken);
    const relaxed = this.evaluate(node, node.multipliers, this.count(node.taken));
    this.drop(node, relaxed);
    const { worth } = this;
    const { open } = node;
    const chosen = [...this.chosen];
    const next = chosen.sort(
      (a, b) =>
        Number(this.classes[b.at]?.required) - Number(this.classes[a.at]?.required) ||
        (worth[b.candidate] ?? 0) - (worth[a.candidate] ?? 0) ||
        a.candidate - b.candidate,
    )[0];
    const at = next?.at ?? open.findIndex((list, c) => list.length > 0 && this.roomIn(node, c) > 0);
    const candidate = next?.candidate ?? open[at]?.[0];
    if (candidate === undefined || at < 0) return;
    const without: Node = {
      taken: node.taken,
      open: open.map((list, c) => (c === at ? list.filter((i) => i !== candidate) : list)),
      multipliers: node.multipliers,
      bound: node.bound,
    };
    const taken = [...node.taken, { candidate, at }];
    const withIt: Node = {
      taken,
      open: this.affordable(open, taken),
      multipliers: node.multipliers,
      bound: node.bound,
    };
    // the branch looked at first goes on the stack last
    for (const child of [without, withIt]) {
      if (child === withIt && this.spent(taken) > 1 + 1e-12) continue;
      this.lower(child, NODE_STEPS);
      if (child === withIt) this.keep(taken);
      if (this.isHopeful(child)) this.stack.push(child);
    }
  }

  private roomIn(node: Node, at: number): number {
    return (this.classes[at]?.places.length ?? 0) - node.taken.filter((t) => t.at === at).length;
  }

  private spent(taken: Node['taken']): number {
    return this.limited ? taken.reduce((sum, { candidate }) => sum + (this.prices[candidate] ?? 0), 0) : 0;
  }

  /** What the money left still reaches, and no third copies. */
  private affordable(open: Node['open'], taken: Node['taken']): Node['open'] {
    const left = 1 - this.spent(taken);
    const counted = this.count(taken);
    return open.map((list, at) =>
      list.filter(
        (i) =>
          (!this.limited || (this.prices[i] ?? 0) <= left + 1e-12) &&
          (this.classes[at]?.required || (counted.get(i) ?? 0) < 2),
      ),
    );
  }
}

function classesOf(problem: Problem): PlaceClass[] {
  const classes = new Map<string, PlaceClass>();
  problem.places.forEach(({ fits, required }, place) => {
    const key = `${required}:${fits.join()}`;
    const known = classes.get(key);
    if (known) known.places.push(place);
    else classes.set(key, { places: [place], fits, required });
  });
  return [...classes.values()];
}
