import type { Demand, Role, State } from '../demand/types';
import { latelyOf } from '../../text/lately';
import { Meetings } from './meetings';

/** States of one role each, or the first or second roles of states with two. */
interface Roles {
  columns: Int32Array;
  weights: Float64Array;
}

/** A demand as flat arrays, worked out once: its states by how many roles they have. */
interface Layout {
  singles: Roles & { isRescue: Uint8Array };
  /** States of two roles that read one column, nearly all; `apart`: how much more the first weighs than the second. */
  pairs: Roles & { seconds: Float64Array; apart: Float64Array };
  /** States of more roles that read one column: where the roles of each begin, and their weights. */
  crowds: Roles & { starts: Int32Array };
  /** Roles of the states of people of different hands. */
  meetings: readonly (readonly Role[])[];
}

const layouts = new WeakMap<Demand, Layout>();

/** A demand says in its states which of them are alike; rescues have one role. */
function layoutOf(demand: Demand): Layout {
  const before = layouts.get(demand);
  if (before) return before;
  const same = demand.states.filter((state) => state.same);
  const withRoles = (isSo: (many: number) => boolean) => same.filter(({ roles }) => isSo(roles.length));
  const columnsOf = (states: readonly State[]) => new Int32Array(states.map(({ roles }) => roles[0]?.column ?? 0));
  const weightsOf = (states: readonly State[], k: number) =>
    new Float64Array(states.map(({ roles }) => roles[k]?.weight ?? 0));
  const [one, two, more] = [
    withRoles((many) => many < 2),
    withRoles((many) => many === 2),
    withRoles((many) => many > 2),
  ];
  const starts = new Int32Array(more.length + 1);
  more.forEach(({ roles }, s) => (starts[s + 1] = (starts[s] ?? 0) + roles.length));
  const seconds = weightsOf(two, 1);
  const apart = weightsOf(two, 0).map((weight, s) => weight - (seconds[s] ?? 0));
  const layout: Layout = {
    singles: {
      columns: columnsOf(one),
      weights: weightsOf(one, 0),
      isRescue: new Uint8Array(one.map(({ rescue }) => Number(rescue))),
    },
    pairs: { columns: columnsOf(two), weights: weightsOf(two, 0), seconds, apart },
    crowds: {
      columns: columnsOf(more),
      weights: new Float64Array(more.flatMap(({ roles }) => roles.map((role) => role.weight))),
      starts,
    },
    meetings: demand.states.flatMap((state) => (state.same ? [] : [state.roles])),
  };
  layouts.set(demand, layout);
  return layout;
}

/**
 * What a growing set of rows is worth: over all states, the best assignment of rows to roles (handbook 5.1, 8.4). Monotone and submodular in
 * the set of rows.
 */
export class KitValue {
  private readonly layout: Layout;
  private readonly meetings: Meetings;
  /** The figures of the rows that serve, by role: of states with one, first and second of those with two, and of the others. */
  private readonly only: Float64Array;
  private readonly best: Float64Array;
  private readonly next: Float64Array;
  private readonly tops: Float64Array;

  constructor(readonly demand: Demand) {
    this.layout = layoutOf(demand);
    const { singles, pairs, crowds, meetings } = this.layout;
    this.meetings = new Meetings(meetings);
    this.only = new Float64Array(singles.weights.length);
    this.best = new Float64Array(pairs.weights.length);
    this.next = new Float64Array(pairs.weights.length);
    this.tops = new Float64Array(crowds.weights.length);
  }

  clear(): this {
    this.only.fill(0);
    this.best.fill(0);
    this.next.fill(0);
    this.tops.fill(0);
    this.meetings.clear();
    return this;
  }

  /** Takes over the rows of another for the same demand. */
  copy(from: KitValue): this {
    this.only.set(from.only);
    this.best.set(from.best);
    this.next.set(from.next);
    this.tops.set(from.tops);
    this.meetings.copy(from.meetings);
    return this;
  }

  add(row: Float64Array): this {
    const { only, best, next, tops } = this;
    const { singles, pairs, crowds } = this.layout;
    for (let s = 0; s < only.length; s++) only[s] = Math.max(only[s] ?? 0, row[singles.columns[s] ?? 0] ?? 0);
    for (let s = 0; s < best.length; s++) {
      const f = row[pairs.columns[s] ?? 0] ?? 0;
      const first = best[s] ?? 0;
      if (f > first) {
        next[s] = first;
        best[s] = f;
      } else if (f > (next[s] ?? 0)) next[s] = f;
    }
    for (let s = 0; s < crowds.columns.length; s++) {
      let f = row[crowds.columns[s] ?? 0] ?? 0;
      const end = crowds.starts[s + 1] ?? 0;
      for (let k = crowds.starts[s] ?? 0; k < end && f > 0; k++) {
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
    const { only, best, next, tops } = this;
    const { singles, pairs, crowds } = this.layout;
    let sum = 0;
    for (let s = 0; s < only.length; s++)
      if (rescues || singles.isRescue[s] === 0) sum += (singles.weights[s] ?? 0) * (only[s] ?? 0);
    for (let s = 0; s < best.length; s++)
      sum += (pairs.weights[s] ?? 0) * (best[s] ?? 0) + (pairs.seconds[s] ?? 0) * (next[s] ?? 0);
    for (let k = 0; k < tops.length; k++) sum += (crowds.weights[k] ?? 0) * (tops[k] ?? 0);
    return sum + this.meetings.value();
  }

  /** How much one more row would add; `rescues` as for the value. */
  gain(row: Float64Array, rescues = true): number {
    const { only, best, next } = this;
    const { singles, pairs } = this.layout;
    let sum = 0;
    for (let s = 0; s < only.length; s++) {
      if (!rescues && singles.isRescue[s] === 1) continue;
      const above = (row[singles.columns[s] ?? 0] ?? 0) - (only[s] ?? 0);
      sum += (singles.weights[s] ?? 0) * (above + Math.abs(above));
    }
    const { columns, apart, seconds } = pairs;
    for (let s = 0; s < columns.length; s++) {
      const f = row[columns[s] ?? 0] ?? 0;
      // without branches, as which of them a figure beats is anybody's guess: d + |d| is twice what it is above
      const aboveFirst = f - (best[s] ?? 0);
      const aboveSecond = f - (next[s] ?? 0);
      sum +=
        (apart[s] ?? 0) * (aboveFirst + Math.abs(aboveFirst)) +
        (seconds[s] ?? 0) * (aboveSecond + Math.abs(aboveSecond));
    }
    return sum / 2 + this.gainOfCrowds(row) + this.meetings.gain(row);
  }

  /** How much one more row would add in the states of more than two roles. */
  private gainOfCrowds(row: Float64Array): number {
    const { tops } = this;
    const { columns, starts, weights } = this.layout.crowds;
    let sum = 0;
    for (let s = 0; s < columns.length; s++) {
      let f = row[columns[s] ?? 0] ?? 0;
      const end = starts[s + 1] ?? 0;
      for (let k = starts[s] ?? 0; k < end; k++) {
        const here = tops[k] ?? 0;
        if (f > here) {
          sum += (weights[k] ?? 0) * (f - here);
          f = here;
        }
      }
    }
    return sum;
  }
}

type Row = Float64Array;

/** What is there whatever is chosen. */
interface There {
  owned: readonly { usefulness: Row }[];
  given: readonly Row[];
}

/** Kits without steps kept in mind for what is there: one for each set of owned knives that steps put right. */
const MOST_KEPT = 200;

const keptKits = latelyOf<KitValue>(MOST_KEPT);

/** What is there, as the owner of what is kept for it: the same object for the same rows and demand. */
const owners = new WeakMap<Demand, WeakMap<There['owned'], There>>();

function ownerOf(demand: Demand, { owned, given }: There): There {
  const ofDemand = owners.get(demand) ?? new WeakMap<There['owned'], There>();
  owners.set(demand, ofDemand);
  const before = ofDemand.get(owned);
  if (before?.given === given) return before;
  const there = { owned, given };
  ofDemand.set(owned, there);
  return there;
}

/** A kit of what is there without some owned knives, by index. */
function kitWithout(demand: Demand, there: There, without: readonly number[]): KitValue {
  return keptKits(ownerOf(demand, there), without.join(), () => {
    const kit = new KitValue(demand);
    there.owned.forEach(({ usefulness }, i) => {
      if (!without.includes(i)) kit.add(usefulness);
    });
    for (const row of there.given) kit.add(row);
    return kit;
  });
}

/**
 * Loads a kit with what is there once some steps are taken: owned knives but those that are put right, what is given, and the steps by the rows
 * asked for.
 */
export function filledKit<S extends { owned: number | null }>(
  kit: KitValue,
  there: There,
  steps: readonly S[],
  rowsOf: (step: S) => Row,
): KitValue {
  const without = steps.flatMap(({ owned }) => (owned === null ? [] : [owned])).sort((a, b) => a - b);
  kit.copy(kitWithout(kit.demand, there, without));
  for (const step of steps) kit.add(rowsOf(step));
  return kit;
}
