import type { Paid } from './paid';

/**
 * What second pieces of a kind of work cost while a class of places is filled at some multipliers. Where none of a kind is taken yet, one of those
 * chosen will be spared: at best the one whose worth without that cost is largest, or, beside it, one whose cost is larger still.
 *
 * `lay` looks at what is taken and open; the rest answers until it is called again.
 */
export class SecondPieces {
  /** What each open candidate pays as a second piece of its kind, coverage. */
  readonly pays: Float64Array;
  /** Kinds by number; −1 where a second piece costs nothing more. */
  private readonly kindOf: Int32Array;
  /** By kind: the largest such cost taken, the largest open one, and which open candidate is spared or stands next. */
  private readonly levels: Float64Array;
  private readonly largest: Float64Array;
  private readonly firsts: Int32Array;
  private readonly nexts: Int32Array;

  private readonly surcharges: Float64Array;

  constructor({ kinds, surcharges, kindCount }: Pick<Paid, 'kinds' | 'surcharges' | 'kindCount'>) {
    this.pays = new Float64Array(kinds.length);
    this.kindOf = kinds;
    this.surcharges = surcharges;
    this.levels = new Float64Array(kindCount);
    this.largest = new Float64Array(kindCount);
    this.firsts = new Int32Array(kindCount);
    this.nexts = new Int32Array(kindCount);
  }

  /** Works out who pays and who is spared, beside what is taken, of what is open for a class at some worths. */
  lay(taken: readonly { candidate: number }[], open: readonly number[], worth: Float64Array): void {
    const { levels, firsts, largest, kindOf, pays } = this;
    levels.fill(0);
    for (const { candidate } of taken) {
      const k = kindOf[candidate] ?? -1;
      if (k >= 0) levels[k] = Math.max(levels[k] ?? 0, this.surcharges[candidate] ?? 0);
    }
    firsts.fill(-1);
    largest.fill(0);
    for (const i of open) {
      const k = kindOf[i] ?? -1;
      const extra = this.surcharges[i] ?? 0;
      const level = k >= 0 ? (levels[k] ?? 0) : 0;
      pays[i] = level > 0 ? Math.min(extra, level) : k >= 0 ? extra : 0;
      if (k < 0 || level > 0) continue;
      if (extra > (largest[k] ?? 0)) largest[k] = extra;
      const first = firsts[k] ?? -1;
      if (first < 0 || (worth[i] ?? 0) > (worth[first] ?? 0)) firsts[k] = i;
    }
    this.findNexts(open, worth);
  }

  /** Finds, by kind, the likeliest beside the one that is spared. */
  private findNexts(open: readonly number[], worth: Float64Array): void {
    const { levels, firsts, nexts, kindOf, pays } = this;
    nexts.fill(-1);
    for (const i of open) {
      const k = kindOf[i] ?? -1;
      if (k < 0 || (levels[k] ?? 0) > 0 || firsts[k] === i) continue;
      const next = nexts[k] ?? -1;
      if (next < 0 || (worth[i] ?? 0) - (pays[i] ?? 0) > (worth[next] ?? 0) - (pays[next] ?? 0)) nexts[k] = i;
    }
  }

  /** What a candidate chosen as the first of its copies comes to beside the others of its kind. */
  asChosen(i: number, worth: number): number {
    const pays = this.pays[i] ?? 0;
    const k = this.kindOf[i] ?? -1;
    if (k < 0 || (this.levels[k] ?? 0) > 0) return worth - pays;
    const first = this.firsts[k] ?? -1;
    if (first === i) return worth;
    return worth - pays + (this.nexts[k] === i ? (this.largest[k] ?? 0) - (this.pays[first] ?? 0) : 0);
  }

  /** The most a candidate can come to, whatever of its kind is chosen beside it. */
  atMost(i: number, worth: number): number {
    const k = this.kindOf[i] ?? -1;
    const spared = k >= 0 && (this.levels[k] ?? 0) === 0 ? (this.largest[k] ?? 0) : 0;
    return Math.max(this.asChosen(i, worth), worth - (this.pays[i] ?? 0) + spared);
  }
}
