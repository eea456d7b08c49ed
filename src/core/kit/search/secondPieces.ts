import type { Paid } from './paid';

/**
 * What second pieces of a kind of work cost while a class of places is filled at some multipliers: of each kind the largest such cost in the kit is
 * spared. What m open pieces of a kind come to at best beside what is taken is worked out exactly, and told as what each further one adds.
 *
 * `lay` looks at what is taken, `share` at what is open; the rest answers until they are called again.
 */
export class SecondPieces {
  /** Kinds by number; −1 where a second piece costs nothing more. */
  private readonly kindOf: Int32Array;
  private readonly surcharges: Float64Array;
  /** By kind: the largest such cost taken. */
  private readonly levels: Float64Array;
  /** By candidate: what it comes to, chosen beside the others that are open. */
  private readonly values: Float64Array;
  /** By kind, the open candidates. */
  private readonly openOf: number[][];
  /** By kind, whether its surcharges differ. */
  private readonly differs: readonly boolean[];

  constructor({ kinds, surcharges, kindCount }: Pick<Paid, 'kinds' | 'surcharges' | 'kindCount'>) {
    this.kindOf = kinds;
    this.surcharges = surcharges;
    this.levels = new Float64Array(kindCount);
    this.values = new Float64Array(kinds.length);
    this.openOf = Array.from({ length: kindCount }, () => []);
    const firsts = new Float64Array(kindCount).fill(NaN);
    const differs = new Array<boolean>(kindCount).fill(false);
    kinds.forEach((k, i) => {
      if (k < 0) return;
      if (Number.isNaN(firsts[k])) firsts[k] = surcharges[i] ?? 0;
      else if (firsts[k] !== surcharges[i]) differs[k] = true;
    });
    this.differs = differs;
  }

  /** Notes the largest cost of each kind that is taken. */
  lay(taken: readonly { candidate: number }[]): void {
    const { levels, kindOf, surcharges } = this;
    levels.fill(0);
    for (const { candidate } of taken) {
      const k = kindOf[candidate] ?? -1;
      if (k >= 0) levels[k] = Math.max(levels[k] ?? 0, surcharges[candidate] ?? 0);
    }
  }

  /**
   * Works out what open candidates come to at some worths, so many of them at most. What is worth −Infinity is chosen elsewhere; `isAsked`, by kind,
   * leaves other kinds as they are.
   */
  share(open: readonly number[], worth: Float64Array, places: number, isAsked?: (kind: number) => boolean): void {
    const { openOf, kindOf, differs } = this;
    for (const each of openOf) each.length = 0;
    for (const i of open) {
      const k = kindOf[i] ?? -1;
      if (k >= 0 && (worth[i] ?? 0) > -Infinity && (!isAsked || isAsked(k))) openOf[k]?.push(i);
    }
    openOf.forEach((here, k) => {
      if (here.length === 0) return;
      if (differs[k]) this.shareAmong(here, worth, Math.min(places, here.length));
      else this.shareAlike(here, worth);
    });
  }

  /** Where all of a kind cost the same more, the first is the one worth most. */
  private shareAlike(here: readonly number[], worth: Float64Array): void {
    const { values } = this;
    let first = here[0] ?? 0;
    for (const i of here) {
      values[i] = this.beside(i, worth[i] ?? 0);
      if ((worth[i] ?? 0) > (worth[first] ?? 0)) first = i;
    }
    values[first] = this.atMost(first, worth[first] ?? 0);
  }

  /** Of a kind whose costs differ: what m of them come to is the best over which is spared, with the m − 1 best others. */
  private shareAmong(here: number[], worth: Float64Array, most: number): void {
    const { values } = this;
    for (const i of here) values[i] = this.beside(i, worth[i] ?? 0);
    here.sort((a, b) => (values[b] ?? 0) - (values[a] ?? 0) || a - b);
    const best = new Float64Array(most + 1).fill(-Infinity);
    best[0] = 0;
    let first = 0;
    here.forEach((spared, at) => {
      let sum = this.atMost(spared, worth[spared] ?? 0);
      for (let m = 1; m <= most; m++) {
        if (sum > (best[m] ?? 0)) {
          best[m] = sum;
          if (m === 1) first = at;
        }
        // the next of the others
        sum += values[here[m - 1 < at ? m - 1 : m] ?? -1] ?? -Infinity;
      }
    });
    // what further ones add goes to the likeliest, first to the one that alone is worth most
    const inOrder = [here[first] ?? 0, ...here.filter((_, at) => at !== first)];
    for (let m = 1; m <= most; m++) values[inOrder[m - 1] ?? 0] = (best[m] ?? 0) - (best[m - 1] ?? 0);
  }

  /** The kinds all of whose pieces among some lists lie in both of two of them. */
  kindsInBoth(one: readonly number[], other: readonly number[], lists: readonly (readonly number[])[]): Set<number> {
    const { kindOf } = this;
    const [inOne, inOther] = [new Set(one), new Set(other)];
    const kinds = new Set(one.map((i) => kindOf[i] ?? -1));
    kinds.delete(-1);
    for (const list of lists) for (const i of list) if (!inOne.has(i) || !inOther.has(i)) kinds.delete(kindOf[i] ?? -1);
    return kinds;
  }

  /** What one comes to that pays as a second piece; further copies always do. */
  beside(i: number, worth: number): number {
    return (this.kindOf[i] ?? -1) < 0 ? worth : worth - (this.surcharges[i] ?? 0);
  }

  /** What a candidate chosen as the first of its copies comes to beside the others of its kind. */
  asChosen(i: number, worth: number): number {
    return (this.kindOf[i] ?? -1) < 0 ? worth : (this.values[i] ?? 0);
  }

  /** The most a candidate can come to, whatever of its kind is chosen beside it: it pays no less than the largest that is taken. */
  atMost(i: number, worth: number): number {
    const k = this.kindOf[i] ?? -1;
    return k < 0 ? worth : worth - Math.min(this.surcharges[i] ?? 0, this.levels[k] ?? 0);
  }
}
