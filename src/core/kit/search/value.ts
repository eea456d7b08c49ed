import type { Demand, Role } from '../demand/types';

/** Figures kept of two roles served by two different rows: the best and second of each, and which row each best comes from. */
const KEPT = 6;

/** Keeps a row's figures for the two roles of the pair that begins at `at`. */
function keep(kept: Float64Array, at: number, one: number, other: number, row: number): void {
  for (let k = at, figure = one; k <= at + 3; k += 3, figure = other) {
    if (figure > (kept[k] ?? 0)) {
      kept[k + 1] = kept[k] ?? 0;
      kept[k] = figure;
      kept[k + 2] = row;
    } else if (figure > (kept[k + 1] ?? 0)) kept[k + 1] = figure;
  }
}

/** Worth of the pair that begins at `at`: the best assignment of two rows to its roles. */
function pairAt(kept: Float64Array, at: number): number {
  const [a1, a2] = [kept[at] ?? 0, kept[at + 1] ?? 0];
  const [b1, b2] = [kept[at + 3] ?? 0, kept[at + 4] ?? 0];
  return kept[at + 2] !== kept[at + 5] ? a1 + b1 : Math.max(a1 + b2, a2 + b1);
}

/** A demand as flat arrays: worked out once. */
interface Layout {
  /** Of the states whose roles read one column: that column, the first of their roles, and whether they are rescues. */
  columns: Int32Array;
  starts: Int32Array;
  isRescue: Uint8Array;
  /** Weight of each of their roles. */
  weights: Float64Array;
  pairs: readonly (readonly [Role, Role])[];
}

const layouts = new WeakMap<Demand, Layout>();

function layoutOf(demand: Demand): Layout {
  const before = layouts.get(demand);
  if (before) return before;
  const { states } = demand;
  const same = states.filter((state) => state.same);
  const starts = new Int32Array(same.length + 1);
  same.forEach(({ roles }, s) => (starts[s + 1] = (starts[s] ?? 0) + roles.length));
  const layout: Layout = {
    columns: new Int32Array(same.map(({ roles }) => roles[0]?.column ?? 0)),
    starts,
    isRescue: new Uint8Array(same.map(({ rescue }) => Number(rescue))),
    weights: new Float64Array(same.flatMap(({ roles }) => roles.map((role) => role.weight))),
    pairs: states.flatMap(({ same: alike, roles: [one, other] }) =>
      !alike && one && other ? [[one, other] as const] : [],
    ),
  };
  layouts.set(demand, layout);
  return layout;
}

/**
 * What a growing set of rows is worth: over all states, the best assignment of rows to roles (handbook 5.1, 8.4). Monotone and submodular in
 * the set of rows.
 */
export class KitValue {
  private readonly columns: Int32Array;
  private readonly starts: Int32Array;
  private readonly isRescue: Uint8Array;
  private readonly weights: Float64Array;
  private readonly pairs: Layout['pairs'];
  /** By role: the figure of the row that serves it. */
  private readonly tops: Float64Array;
  private readonly paired: Float64Array;
  private count = 0;

  constructor(demand: Demand) {
    const { columns, starts, isRescue, weights, pairs } = layoutOf(demand);
    this.columns = columns;
    this.starts = starts;
    this.isRescue = isRescue;
    this.weights = weights;
    this.pairs = pairs;
    this.tops = new Float64Array(weights.length);
    this.paired = new Float64Array(KEPT * pairs.length);
  }

  clear(): this {
    this.tops.fill(0);
    this.count = 0;
    this.paired.fill(0);
    return this;
  }

  add(row: Float64Array): this {
    const { tops, starts, columns } = this;
    for (let s = 0; s < columns.length; s++) {
      let f = row[columns[s] ?? 0] ?? 0;
      const end = starts[s + 1] ?? 0;
      for (let k = starts[s] ?? 0; k < end && f > 0; k++) {
        const here = tops[k] ?? 0;
        if (f > here) {
          tops[k] = f;
          f = here;
        }
      }
    }
    this.count++;
    this.pairs.forEach(([one, other], p) =>
      keep(
        this.paired,
        KEPT * p,
        one.weight * (row[one.column] ?? 0),
        other.weight * (row[other.column] ?? 0),
        this.count,
      ),
    );
    return this;
  }

  /** What one more row would add to a pair: it takes one role, and the best of the others the other. */
  private pairGain(p: number, row: Float64Array): number {
    const pair = this.pairs[p];
    if (!pair) return 0;
    const [one, other] = pair;
    const at = KEPT * p;
    const asOne = one.weight * (row[one.column] ?? 0) + (this.paired[at + 3] ?? 0);
    const asOther = other.weight * (row[other.column] ?? 0) + (this.paired[at] ?? 0);
    return Math.max(0, Math.max(asOne, asOther) - pairAt(this.paired, at));
  }

  /** Worth of the rows added so far; `rescues`: with what rescued work weighs in the choice. */
  value(rescues = true): number {
    const { tops, starts, weights, isRescue } = this;
    let sum = 0;
    for (let s = 0; s < isRescue.length; s++) {
      if (!rescues && isRescue[s] === 1) continue;
      const end = starts[s + 1] ?? 0;
      for (let k = starts[s] ?? 0; k < end; k++) sum += (weights[k] ?? 0) * (tops[k] ?? 0);
    }
    for (let p = 0; p < this.pairs.length; p++) sum += pairAt(this.paired, KEPT * p);
    return sum;
  }

  /** How much one more row would add. */
  gain(row: Float64Array): number {
    const { tops, starts, columns, weights } = this;
    let sum = 0;
    for (let s = 0; s < columns.length; s++) {
      let f = row[columns[s] ?? 0] ?? 0;
      const end = starts[s + 1] ?? 0;
      const last = tops[end - 1] ?? 0;
      if (f <= last) continue;
      const start = starts[s] ?? 0;
      if (end - start === 2) {
        const top = tops[start] ?? 0;
        const moved = f > top ? top : f;
        if (f > top) sum += (weights[start] ?? 0) * (f - top);
        sum += (weights[start + 1] ?? 0) * (moved - last);
        continue;
      }
      for (let k = start; k < end; k++) {
        const here = tops[k] ?? 0;
        if (f > here) {
          sum += (weights[k] ?? 0) * (f - here);
          f = here;
        }
      }
    }
    for (let p = 0; p < this.pairs.length; p++) sum += this.pairGain(p, row);
    return sum;
  }
}

/**
 * Loads a cleared kit with what is there once some steps are taken: owned knives but those that are put right, what is given, and the steps by
 * the rows asked for.
 */
export function filledKit<S extends { owned: number | null }>(
  kit: KitValue,
  { owned, given }: { owned: readonly { usefulness: Float64Array }[]; given: readonly Float64Array[] },
  steps: readonly S[],
  rowsOf: (step: S) => Float64Array,
): KitValue {
  kit.clear();
  for (const step of steps) kit.add(rowsOf(step));
  owned.forEach(({ usefulness }, i) => {
    if (!steps.some((step) => step.owned === i)) kit.add(usefulness);
  });
  for (const row of given) kit.add(row);
  return kit;
}
