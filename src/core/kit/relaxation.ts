import type { Choice, Problem } from './choose';

/** How far the multiplier of money moves beside those of tasks, whose weights sum to 1. */
const MONEY_SCALE = 0.5;
/** Slack where shares of the budget are summed: far below one minor unit. */
const CENTLESS = 1e-12;

/** Places that accept the same candidates, filled in any order. */
interface PlaceClass {
  /** Indices of the problem's places. */
  places: number[];
  fits: readonly number[];
  required: boolean;
}

/** A candidate taken, and the class of places it was taken for. */
export interface Taken {
  candidate: number;
  at: number;
}

/** What is decided so far: what is in for certain, and what may still come, by class of places. */
export interface Decided {
  taken: readonly Taken[];
  open: readonly (readonly number[])[];
}

/**
 * A problem of choice with two of its rules given a price: that a task is served once by a best and once by a second-best knife, and the
 * budget. At any prices the value of what remains is an upper bound, and falls apart into one worth a candidate, of which each class of places
 * takes the largest. A second copy of a candidate can only be a second server. Multipliers: one a task for its best server, one a task for its second, one for
 * the money, all ≥ 0; values are coverage, 0–1, prices shares of the budget.
 *
 * `evaluate` leaves the worths, what was chosen, the least worth chosen and the slope behind until it is called again.
 */
export class Relaxation {
  private readonly tasks: number[];
  /** Value of each candidate at each task, scaled so that coverage is the plain sum. */
  private readonly rows: Float64Array;
  /** The tasks at which a candidate is worth anything, from `begins[i]` to `begins[i + 1]`. */
  private readonly served: Int32Array;
  private readonly begins: Int32Array;
  private readonly shared: Float64Array;
  private readonly prices: Float64Array;
  readonly classes: PlaceClass[];
  private readonly ownedRows: Float64Array[];
  private readonly givenRows: Float64Array[];
  private readonly limited: boolean;
  /** How far each multiplier moves for the same slope: with its task's weight, so that small tasks are not shaken by large ones. */
  readonly scale: Float64Array;
  private readonly first: Float64Array;
  private readonly second: Float64Array;
  readonly slope: Float64Array;
  readonly worth: Float64Array;
  private readonly worthAgain: Float64Array;
  chosen: (Taken & { again: boolean })[] = [];
  /** The least worth chosen for each class with all its places filled; 0 where some are left, Infinity where there are none. */
  thresholds: number[] = [];

  constructor(private readonly problem: Problem) {
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
    // shares of the budget; with no money at all whatever costs anything is out of reach
    const share = (minor: number) => (problem.budgetMinor > 0 ? minor / problem.budgetMinor : minor > 0 ? 2 : 0);
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
  }

  takenOf(choice: Choice): Taken[] {
    return this.classes.flatMap((c, at) =>
      c.places.flatMap((place) => {
        const candidate = choice[place] ?? -1;
        return candidate >= 0 ? [{ candidate, at }] : [];
      }),
    );
  }

  choiceOf(taken: readonly Taken[]): Choice {
    const choice = new Int32Array(this.problem.places.length).fill(-1);
    this.classes.forEach((c, at) => {
      taken.filter((t) => t.at === at).forEach(({ candidate }, i) => (choice[c.places[i] ?? -1] = candidate));
    });
    return choice;
  }

  /** Everything open that the budget reaches at all. */
  everything(): Decided['open'] {
    return this.affordable(
      this.classes.map(({ fits }) => fits),
      [],
    );
  }

  /** Whether the kit chosen in the last evaluation keeps the budget. */
  keepsBudget(): boolean {
    return (this.slope[2 * this.tasks.length] ?? 0) >= -CENTLESS;
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

  valueOf(taken: readonly { candidate: number }[]): number {
    this.serve(taken);
    let sum = 0;
    for (let t = 0; t < this.tasks.length; t++) {
      const c = this.shared[t] ?? 0;
      sum += (1 - c) * (this.first[t] ?? 0) + c * (this.second[t] ?? 0);
    }
    return sum;
  }

  /** A task's price is about what its second server in a good kit is worth: taking its best away would cost the difference. */
  startingMultipliers(taken: readonly Taken[]): Float64Array {
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

  /** The relaxed value of a node at some multipliers: an upper bound. Fills `slope`, the worths and what was chosen. */
  evaluate(node: Decided, multipliers: Float64Array, counted = this.count(node.taken)): number {
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

  count(taken: readonly Taken[]): Map<number, number> {
    const counted = new Map<number, number>();
    for (const { candidate } of taken) counted.set(candidate, (counted.get(candidate) ?? 0) + 1);
    return counted;
  }

  /** What each open candidate is worth at some multipliers, as the first of its kind and as a second copy. */
  private worthsOf(node: Decided, multipliers: Float64Array, counted: Map<number, number>, nu: number): void {
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
  private pick(node: Decided, each: PlaceClass, at: number, counted: Map<number, number>): number {
    const places = this.roomFor(node.taken, at);
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

  isComplete(taken: readonly { at: number }[]): boolean {
    return this.classes.every((c, at) => !c.required || taken.filter((t) => t.at === at).length === c.places.length);
  }

  /** The first class with a candidate left and a place to put it; −1 where there is none. */
  firstWithRoom({ taken, open }: Decided): number {
    return open.findIndex((list, at) => list.length > 0 && this.roomFor(taken, at) > 0);
  }

  private roomFor(taken: readonly Taken[], at: number): number {
    return (this.classes[at]?.places.length ?? 0) - taken.filter((t) => t.at === at).length;
  }

  private spent(taken: readonly Taken[]): number {
    return this.limited ? taken.reduce((sum, { candidate }) => sum + (this.prices[candidate] ?? 0), 0) : 0;
  }

  /** What the money left still reaches, and no third copies. */
  affordable(open: Decided['open'], taken: readonly Taken[]): Decided['open'] {
    const left = 1 - this.spent(taken);
    const counted = this.count(taken);
    return open.map((list, at) =>
      list.filter(
        (i) =>
          (!this.limited || (this.prices[i] ?? 0) <= left + CENTLESS) &&
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
