import type { Candidate } from '../candidates/candidate';
import { kindOfWork } from '../candidates/kinds';
import { type MoneyScale, costOf, surchargeOf } from './worth';

/** Slack where figures are summed. */
const SAME_SUM = 1e-9;

/** Who may stand in for a candidate in all it does, by index: the others that count at least as much everywhere, the most useful first. */
type StandIns = readonly number[];

const known = new WeakMap<readonly Candidate[], readonly StandIns[]>();

const isNowhereLess = (one: Float64Array, other: Float64Array): boolean => {
  for (let t = 0; t < one.length; t++) if ((one[t] ?? 0) < (other[t] ?? 0)) return false;
  return true;
};

/** The column in which a row lies furthest above the mean: where most others fall short of it. */
function outstanding(row: Float64Array, mean: Float64Array): number {
  let best = 0;
  for (let t = 1; t < row.length; t++)
    if ((row[t] ?? 0) - (mean[t] ?? 0) > (row[best] ?? 0) - (mean[best] ?? 0)) best = t;
  return best;
}

/** The stand-ins of every candidate, whatever they cost: worked out once for a list. */
function standIns(candidates: readonly Candidate[]): readonly StandIns[] {
  const before = known.get(candidates);
  if (before) return before;
  const rows = candidates.map(({ counted }) => counted);
  const sums = new Float64Array(rows.length);
  const mean = new Float64Array(rows[0]?.length ?? 0);
  rows.forEach((row, i) => {
    for (let t = 0; t < row.length; t++) {
      sums[i] = (sums[i] ?? 0) + (row[t] ?? 0);
      mean[t] = (mean[t] ?? 0) + (row[t] ?? 0) / rows.length;
    }
  });
  const bySum = new Int32Array(rows.keys()).sort((a, b) => (sums[b] ?? 0) - (sums[a] ?? 0));
  const found = rows.map((row, b) => {
    const nowhereLess: number[] = [];
    const most = outstanding(row, mean);
    for (const a of bySum) {
      // who is worth less altogether is beaten somewhere
      if ((sums[a] ?? 0) < (sums[b] ?? 0) - SAME_SUM) break;
      const other = rows[a];
      if (a !== b && other && (other[most] ?? 0) >= (row[most] ?? 0) && isNowhereLess(other, row)) nowhereLess.push(a);
    }
    return nowhereLess;
  });
  known.set(candidates, found);
  return found;
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
  const better = standIns(candidates);
  const cost = new Float64Array(candidates.map((c) => costOf(c, scale)));
  const beats = (a: Candidate, costA: number, b: Candidate, leastPrice: number, leastCost: number): boolean => {
    if (a.priceMinor > leastPrice || costA > leastCost) return false;
    // beside one of its own kind it costs more, where the other might not
    if (kindOfWork(a) !== kindOfWork(b) && costA + surchargeOf(a, costA, scale) > leastCost) return false;
    return a.priceMinor < leastPrice || costA < leastCost || a.id < b.id || !isNowhereLess(b.counted, a.counted);
  };
  return candidates.filter((b, i) => {
    const leastPrice = lowest(b);
    const leastCost = leastPrice === b.priceMinor ? (cost[i] ?? 0) : costOf(b, scale, leastPrice);
    return !(better[i] ?? []).some((a) => {
      const other = candidates[a];
      return other !== undefined && beats(other, cost[a] ?? 0, b, leastPrice, leastCost);
    });
  });
}
