import type { Candidate } from '../candidates/candidate';
import { kindOfWork } from '../candidates/kinds';
import { numbered } from './numbered';
import { paidFor } from './paid';
import { type MoneyScale, costOf } from './worth';

/** Slack where figures are summed. */
const SAME_SUM = 1e-9;

/** A list of candidates laid out for comparing what they count; who is nowhere less than whom is filled in as it is asked. */
interface Compared {
  rows: readonly Float64Array[];
  sums: Float64Array;
  /** Indices, the most useful first. */
  bySum: Int32Array;
  /** By row the column in which it lies furthest above the mean: where most others fall short of it. */
  strongest: Int32Array;
  /** By pair: 0 not compared yet, 1 nowhere less, 2 less somewhere. */
  pairs: Uint8Array;
}

const known = new WeakMap<readonly Candidate[], Compared>();

function strongestColumn(row: Float64Array, mean: Float64Array): number {
  let best = 0;
  let most = -Infinity;
  for (let t = 0; t < row.length; t++) {
    const above = (row[t] ?? 0) - (mean[t] ?? 0);
    if (above > most) {
      most = above;
      best = t;
    }
  }
  return best;
}

/** The layout of a list, worked out once. */
function compared(candidates: readonly Candidate[]): Compared {
  const before = known.get(candidates);
  if (before) return before;
  const rows = candidates.map(({ counted }) => counted);
  const sums = new Float64Array(rows.length);
  const mean = new Float64Array(rows[0]?.length ?? 0);
  rows.forEach((row, i) => {
    let sum = 0;
    for (let t = 0; t < row.length; t++) {
      const figure = row[t] ?? 0;
      sum += figure;
      mean[t] = (mean[t] ?? 0) + figure;
    }
    sums[i] = sum;
  });
  for (let t = 0; t < mean.length; t++) mean[t] = (mean[t] ?? 0) / rows.length;
  const found = {
    rows,
    sums,
    bySum: new Int32Array(rows.keys()).sort((a, b) => (sums[b] ?? 0) - (sums[a] ?? 0)),
    strongest: new Int32Array(rows.map((row) => strongestColumn(row, mean))),
    pairs: new Uint8Array(rows.length ** 2),
  };
  known.set(candidates, found);
  return found;
}

/** Whether one row counts at least as much as another everywhere. */
function isNowhereLess({ rows, strongest, pairs }: Compared, one: number, other: number): boolean {
  const at = one * rows.length + other;
  const before = pairs[at] ?? 0;
  if (before !== 0) return before === 1;
  const a = rows[one];
  const b = rows[other];
  const first = strongest[other] ?? 0;
  let holds = a !== undefined && b !== undefined && (a[first] ?? 0) >= (b[first] ?? 0);
  for (let t = 0; holds && t < (b?.length ?? 0); t++) holds = (a?.[t] ?? 0) >= (b?.[t] ?? 0);
  pairs[at] = holds ? 1 : 2;
  return holds;
}

/**
 * Drops what can never be the better choice: a candidate that another of its kind, or one of another kind that costs no more even as a second
 * piece of its own, equals or beats in everything for no more money. Of two equals the one first by id stays, so that the order of the catalogue changes
 * nothing. `lowest` is the least a candidate may come to cost with an offer.
 */
export function withoutDominated(
  candidates: readonly Candidate[],
  scale: MoneyScale,
  lowest = (c: Candidate): number => c.priceMinor,
): Candidate[] {
  const list = compared(candidates);
  const { sums, bySum } = list;
  const { prices: price, costs: cost, surcharges: extra } = paidFor(candidates, scale);
  const least = new Float64Array(candidates.map(lowest));
  const leastCost = new Float64Array(
    candidates.map((c, i) => (least[i] === price[i] ? (cost[i] ?? 0) : costOf(c, scale, least[i]))),
  );
  const { numbers: kinds } = numbered(candidates.map(kindOfWork));
  const pricesInOrder = new Float64Array(bySum.length).map((_, k) => price[bySum[k] ?? 0] ?? 0);
  const costsInOrder = new Float64Array(bySum.length).map((_, k) => cost[bySum[k] ?? 0] ?? 0);
  const isBeaten = (b: number): boolean => {
    const lowestPrice = least[b] ?? 0;
    const otherPaid = leastCost[b] ?? 0;
    const enough = (sums[b] ?? 0) - SAME_SUM;
    for (let k = 0; k < bySum.length; k++) {
      const paid = costsInOrder[k] ?? 0;
      if (paid > otherPaid || (pricesInOrder[k] ?? 0) > lowestPrice) continue;
      const a = bySum[k] ?? 0;
      // who is worth less altogether is beaten somewhere
      if ((sums[a] ?? 0) < enough) return false;
      if (a === b) continue;
      // beside one of its own kind it costs more, where the other might not
      if (kinds[a] !== kinds[b] && paid + (extra[a] ?? 0) > otherPaid) continue;
      if (!isNowhereLess(list, a, b)) continue;
      const isCheaper = (price[a] ?? 0) < lowestPrice || paid < otherPaid;
      if (isCheaper || (candidates[a]?.id ?? '') < (candidates[b]?.id ?? '') || !isNowhereLess(list, b, a)) return true;
    }
    return false;
  };
  return candidates.filter((_, b) => !isBeaten(b));
}
