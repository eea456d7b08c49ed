import type { Candidate } from '../candidates/candidate';
import { kindOfWork } from '../candidates/kinds';
import { type MoneyScale, costOf, surchargeOf } from './worth';

/** Slack where figures are summed. */
const SAME_SUM = 1e-9;

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
  const of = (figure: (c: Candidate) => number) => new Float64Array(candidates.map(figure));
  const price = of((c) => c.priceMinor);
  const cost = of((c) => costOf(c, scale));
  const least = of(lowest);
  const leastCost = of((c) => costOf({ ...c, priceMinor: lowest(c) }, scale));
  const extra = new Float64Array(candidates.map((c, i) => surchargeOf(c, cost[i] ?? 0, scale)));
  const sum = of((c) => c.counted.reduce((x, y) => x + y, 0));
  const kinds = candidates.map(kindOfWork);
  const beats = (a: number, b: number): boolean => {
    if ((price[a] ?? 0) > (least[b] ?? 0) || (cost[a] ?? 0) > (leastCost[b] ?? 0)) return false;
    // beside one of its own kind it costs more, where the other might not
    if (kinds[a] !== kinds[b] && (cost[a] ?? 0) + (extra[a] ?? 0) > (leastCost[b] ?? 0)) return false;
    const one = candidates[a];
    const other = candidates[b];
    if (!one || !other) return false;
    let strictly = (price[a] ?? 0) < (least[b] ?? 0) || (cost[a] ?? 0) < (leastCost[b] ?? 0);
    for (let t = 0; t < one.counted.length; t++) {
      const x = one.counted[t] ?? 0;
      const y = other.counted[t] ?? 0;
      if (x < y) return false;
      if (x > y) strictly = true;
    }
    return strictly || one.id < other.id;
  };
  // who is worth less altogether is beaten somewhere: only those worth as much are looked at
  const bySum = candidates.map((_, i) => i).sort((a, b) => (sum[b] ?? 0) - (sum[a] ?? 0));
  return candidates.filter((_, b) => {
    for (const a of bySum) {
      if ((sum[a] ?? 0) < (sum[b] ?? 0) - SAME_SUM) return true;
      if (a !== b && beats(a, b)) return false;
    }
    return true;
  });
}
