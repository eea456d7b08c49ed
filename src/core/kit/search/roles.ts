import type { Demand, State } from '../demand/types';

/** The roles of a demand, one after another through its states. */
export interface Roles {
  states: readonly State[];
  weights: Float64Array;
  /** By role: the column it reads. */
  columns: Int32Array;
  /** First role of each state, and where the last one ends. */
  from: Int32Array;
  /** By state: whether all its roles read one column. */
  isSame: Uint8Array;
  /** Most roles in one state. */
  most: number;
}

/** A candidate as it serves the roles. */
export interface InRoles {
  /** Weighted figure in each role. */
  figures: Float64Array;
  /** The states in which it is worth anything. */
  served: Int32Array;
  /** First roles of those with one role. */
  singles: Int32Array;
  /** First roles of those with two roles that read one column: nearly all. */
  pairs: Int32Array;
  /** The same of those whose two roles read two columns: two people of different hands. */
  hands: Int32Array;
  /** The other states. */
  others: Int32Array;
}

const known = new WeakMap<Demand, Roles>();

const knownRows = new WeakMap<Roles, WeakMap<Float64Array, InRoles>>();

export function rolesOf(demand: Demand): Roles {
  const before = known.get(demand);
  if (before) return before;
  const { states } = demand;
  const from = new Int32Array(states.length + 1);
  states.forEach(({ roles }, s) => (from[s + 1] = (from[s] ?? 0) + roles.length));
  const roles: Roles = {
    states,
    weights: new Float64Array(states.flatMap((state) => state.roles.map(({ weight }) => weight))),
    columns: new Int32Array(states.flatMap((state) => state.roles.map(({ column }) => column))),
    from,
    isSame: new Uint8Array(states.map(({ same }) => Number(same))),
    most: Math.max(1, ...states.map((state) => state.roles.length)),
  };
  known.set(demand, roles);
  return roles;
}

/** A row of a demand's columns in its roles, worked out once. */
export function inRoles(roles: Roles, row: Float64Array): InRoles {
  const rows = knownRows.get(roles) ?? new WeakMap<Float64Array, InRoles>();
  knownRows.set(roles, rows);
  const before = rows.get(row);
  if (before) return before;
  const { weights, columns, from, isSame } = roles;
  const figures = new Float64Array(weights.length);
  for (let r = 0; r < figures.length; r++) figures[r] = (weights[r] ?? 0) * (row[columns[r] ?? 0] ?? 0);
  const served: number[] = [];
  const singles: number[] = [];
  const pairs: number[] = [];
  const hands: number[] = [];
  const others: number[] = [];
  for (let s = 0; s < isSame.length; s++) {
    const first = from[s] ?? 0;
    const end = from[s + 1] ?? 0;
    let any = false;
    for (let r = first; r < end; r++) any ||= (figures[r] ?? 0) > 0;
    if (!any) continue;
    served.push(s);
    if (end - first === 1) singles.push(first);
    else if (end - first !== 2) others.push(s);
    else if (isSame[s] === 1) pairs.push(first);
    else hands.push(first);
  }
  const found = {
    figures,
    served: new Int32Array(served),
    singles: new Int32Array(singles),
    pairs: new Int32Array(pairs),
    hands: new Int32Array(hands),
    others: new Int32Array(others),
  };
  rows.set(row, found);
  return found;
}

/** What a candidate is worth in the roles at some multipliers, as the first of its copies, the second and so on: fills `byCopy`. */
export function worthInRoles(
  { from, isSame }: Roles,
  { figures, singles, pairs, hands, others }: InRoles,
  multipliers: Float64Array,
  byCopy: Float64Array,
): void {
  // counted loops: going over a typed array by its iterator takes twice as long
  let once = 0;
  let again = 0;
  let always = 0;
  for (let i = 0; i < singles.length; i++) {
    const r = singles[i] ?? 0;
    const only = (figures[r] ?? 0) - (multipliers[r] ?? 0);
    if (only > 0) once += only;
  }
  for (let i = 0; i < pairs.length; i++) {
    const r = pairs[i] ?? 0;
    const second = (figures[r + 1] ?? 0) - (multipliers[r + 1] ?? 0);
    let most = second > 0 ? second : 0;
    again += most;
    const first = (figures[r] ?? 0) - (multipliers[r] ?? 0);
    if (first > most) most = first;
    once += most;
  }
  for (let i = 0; i < hands.length; i++) {
    const r = hands[i] ?? 0;
    const one = (figures[r] ?? 0) - (multipliers[r] ?? 0);
    const other = (figures[r + 1] ?? 0) - (multipliers[r + 1] ?? 0);
    const most = one > other ? one : other;
    if (most > 0) always += most;
  }
  for (let c = 0; c < byCopy.length; c++) byCopy[c] = always + (c === 0 ? once : c === 1 ? again : 0);
  for (let i = 0; i < others.length; i++) {
    const s = others[i] ?? 0;
    const first = from[s] ?? 0;
    let most = 0;
    // from the last role backwards: the best of what is still open to each copy
    for (let r = (from[s + 1] ?? 0) - 1; r >= first; r--) {
      const worth = (figures[r] ?? 0) - (multipliers[r] ?? 0);
      if (worth > most) most = worth;
      if (isSame[s] === 1) byCopy[r - first] = (byCopy[r - first] ?? 0) + most;
    }
    if (isSame[s] === 0) for (let c = 0; c < byCopy.length; c++) byCopy[c] = (byCopy[c] ?? 0) + most;
  }
}

/** The rows that can serve the roles of a state at best: of each role as many of its best as there are roles, by index. */
export function bestFew(rows: readonly Float64Array[], first: number, end: number): number[] {
  const found: number[] = [];
  const many = end - first;
  const best = new Array<number>(many);
  for (let r = first; r < end; r++) {
    best.fill(-1);
    for (let i = 0; i < rows.length; i++) {
      const figure = rows[i]?.[r] ?? 0;
      let k = many;
      while (k > 0 && ((best[k - 1] ?? -1) < 0 || (rows[best[k - 1] ?? 0]?.[r] ?? 0) < figure)) k--;
      for (let moved = many - 1; moved > k; moved--) best[moved] = best[moved - 1] ?? -1;
      if (k < many) best[k] = i;
    }
    for (const i of best) if (i >= 0 && !found.includes(i)) found.push(i);
  }
  return found;
}
