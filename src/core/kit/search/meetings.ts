import type { Role } from '../demand/types';

/** Most people of different hands at one moment: as many as a demand keeps apart. */
const MOST = 3;

/** What has been worked out of a moment since its figures changed: nothing, its best assignment, or also what that comes to without each role. */
const NOTHING = 0;
const BEST = 1;
const ALL = 2;

/**
 * Moments at which two or three people of different hands want a knife each: worth the best assignment of different rows to their roles. Monotone and
 * submodular in the set of rows.
 */
export class Meetings {
  /** By moment and role: the largest figures there are, as many as roles, and the rows they come from. */
  private readonly figures: Float64Array;
  private readonly rows: Int32Array;
  /** By moment: what the best assignment comes to, what it comes to with one of the roles left out, and which of these are worked out. */
  private readonly best: Float64Array;
  private readonly without: Float64Array;
  private readonly known: Uint8Array;
  private count = 0;

  constructor(private readonly moments: readonly (readonly Role[])[]) {
    this.figures = new Float64Array(MOST * MOST * moments.length);
    this.rows = new Int32Array(this.figures.length);
    this.best = new Float64Array(moments.length);
    this.without = new Float64Array(MOST * moments.length);
    this.known = new Uint8Array(moments.length);
  }

  clear(): void {
    this.figures.fill(0);
    this.rows.fill(0);
    this.known.fill(NOTHING);
    this.count = 0;
  }

  /** Takes over the rows of another of the same moments. */
  copy(from: Meetings): void {
    this.figures.set(from.figures);
    this.rows.set(from.rows);
    this.known.fill(NOTHING);
    this.count = from.count;
  }

  add(row: Float64Array): void {
    this.count++;
    for (let m = 0; m < this.moments.length; m++) {
      const roles = this.moments[m];
      if (!roles) continue;
      for (let r = 0; r < roles.length; r++) {
        const role = roles[r];
        if (role) this.keep(m, r, role.weight * (row[role.column] ?? 0), roles.length);
      }
    }
  }

  /** Keeps a figure of the row just added among the largest of a role. */
  private keep(m: number, r: number, figure: number, most: number): void {
    const { figures, rows } = this;
    const from = MOST * (MOST * m + r);
    let at = from + most;
    while (at > from && figure > (figures[at - 1] ?? 0)) at--;
    if (at === from + most) return;
    for (let k = from + most - 1; k > at; k--) {
      figures[k] = figures[k - 1] ?? 0;
      rows[k] = rows[k - 1] ?? 0;
    }
    figures[at] = figure;
    rows[at] = this.count;
    this.known[m] = NOTHING;
  }

  /** The first place from one on, of those kept for a role, that another row than some one stands in; figures of 0 stand for nobody. */
  private next(from: number, but: number): number {
    return but > 0 && this.rows[from] === but ? from + 1 : from;
  }

  /** The best assignment of two rows to two roles, by where their figures begin, none of them a certain row. */
  private two(a: number, b: number, but: number): number {
    const { figures, rows } = this;
    const a1 = this.next(a, but);
    const b1 = this.next(b, but);
    const one = figures[a1] ?? 0;
    const other = figures[b1] ?? 0;
    if (one <= 0 || other <= 0 || rows[a1] !== rows[b1]) return one + other;
    return Math.max(one + (figures[this.next(b1 + 1, but)] ?? 0), (figures[this.next(a1 + 1, but)] ?? 0) + other);
  }

  /** The best assignment to the roles of a moment. */
  private bestOf(m: number): number {
    if (this.known[m] !== NOTHING) return this.best[m] ?? 0;
    const roles = this.moments[m]?.length ?? 0;
    const a = MOST * MOST * m;
    const [b, c] = [a + MOST, a + 2 * MOST];
    let best = roles === 2 ? this.two(a, b, 0) : this.two(b, c, 0);
    for (let k = a; roles === 3 && k < a + roles && (this.figures[k] ?? 0) > 0; k++)
      best = Math.max(best, (this.figures[k] ?? 0) + this.two(b, c, this.rows[k] ?? 0));
    this.best[m] = best;
    this.known[m] = BEST;
    return best;
  }

  /** What the best assignment comes to without each of the roles of a moment. */
  private leaveOut(m: number): void {
    if (this.known[m] === ALL) return;
    const { without } = this;
    const a = MOST * MOST * m;
    const [b, c] = [a + MOST, a + 2 * MOST];
    // where two meet, the third role holds nothing
    without[MOST * m] = this.two(b, c, 0);
    without[MOST * m + 1] = this.two(a, c, 0);
    without[MOST * m + 2] = this.two(a, b, 0);
    this.known[m] = ALL;
  }

  /** What the rows added so far are worth. */
  value(): number {
    let sum = 0;
    for (let m = 0; m < this.moments.length; m++) sum += this.bestOf(m);
    return sum;
  }

  /** What one more row would add: it takes one role, and the others are assigned anew. */
  gain(row: Float64Array): number {
    let sum = 0;
    for (let m = 0; m < this.moments.length; m++) {
      const roles = this.moments[m];
      if (!roles) continue;
      const now = this.bestOf(m);
      this.leaveOut(m);
      let most = now;
      for (let r = 0; r < roles.length; r++) {
        const role = roles[r];
        if (!role) continue;
        const asThis = role.weight * (row[role.column] ?? 0) + (this.without[MOST * m + r] ?? 0);
        if (asThis > most) most = asThis;
      }
      sum += most - now;
    }
    return sum;
  }
}
