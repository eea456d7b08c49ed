import type { Demand, Role } from '../demand/types';
import { Meetings } from './meetings';

/** A demand as flat arrays: worked out once. */
interface Layout {
  /** Of the states whose roles read one column: that column, the first of their roles, and whether they are rescues. */
  columns: Int32Array;
  starts: Int32Array;
  isRescue: Uint8Array;
  /** Weight of each of their roles. */
  weights: Float64Array;
  /** Roles of the states of people of different hands. */
  meetings: readonly (readonly Role[])[];
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
    meetings: states.flatMap((state) => (state.same ? [] : [state.roles])),
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
  private readonly meetings: Meetings;
  /** By role: the figure of the row that serves it. */
  private readonly tops: Float64Array;

  constructor(demand: Demand) {
    const { columns, starts, isRescue, weights, meetings } = layoutOf(demand);
    this.columns = columns;
    this.starts = starts;
    this.isRescue = isRescue;
    this.weights = weights;
    this.meetings = new Meetings(meetings);
    this.tops = new Float64Array(weights.length);
  }

  clear(): this {
    this.tops.fill(0);
    this.meetings.clear();
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
    this.meetings.add(row);
    return this;
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
    return sum + this.meetings.value();
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
    return sum + this.meetings.gain(row);
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
