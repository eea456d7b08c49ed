import type { Candidate } from '../candidates/candidate';
import { numbered } from './numbered';
import { costOf, type MoneyScale, pieceKind, surchargeOf } from './worth';

/** What candidates are paid, by index. */
export interface Paid {
  /** Minor units. */
  prices: Float64Array;
  /** Coverage. */
  costs: Float64Array;
  /** What each costs beyond that as a second piece of its kind, coverage. */
  surcharges: Float64Array;
  /** Kinds of pieces by number, below `kindCount`; −1 where a second one costs nothing more. */
  kinds: Int32Array;
  kindCount: number;
}

const known = new WeakMap<readonly Candidate[], { scale: MoneyScale; paid: Paid }>();

const isSameScale = (a: MoneyScale, b: MoneyScale): boolean =>
  a.pointMinor === b.pointMinor && a.keepMinor === b.keepMinor && a.inNumbers === b.inNumbers && a.alone === b.alone;

/** What the candidates of a list are paid, worked out once for the scale last asked for. */
export function paidFor(candidates: readonly Candidate[], scale: MoneyScale): Paid {
  const before = known.get(candidates);
  if (before && isSameScale(before.scale, scale)) return before.paid;
  const costs = new Float64Array(candidates.map((c) => costOf(c, scale)));
  const surcharges = new Float64Array(candidates.map((c, i) => surchargeOf(c, costs[i] ?? 0, scale)));
  const { numbers, count } = numbered(candidates.map((c, i) => ((surcharges[i] ?? 0) > 0 ? pieceKind(c) : null)));
  const prices = new Float64Array(candidates.map((c) => c.priceMinor));
  const paid = { prices, costs, surcharges, kinds: numbers, kindCount: count };
  known.set(candidates, { scale, paid });
  return paid;
}

/**
 * What a kit is paid, coverage: the costs of its candidates (by index, −1 for none) and what second pieces of their kinds cost beyond, one of
 * each kind, that with the largest, spared.
 */
export function paidForKit(
  { costs, surcharges, kinds }: Pick<Paid, 'costs' | 'surcharges' | 'kinds'>,
  kit: ArrayLike<number>,
): number {
  let sum = 0;
  for (let i = 0; i < kit.length; i++) {
    const index = kit[i] ?? -1;
    if (index < 0) continue;
    sum += costs[index] ?? 0;
    const kind = kinds[index] ?? -1;
    if (kind < 0) continue;
    const extra = surcharges[index] ?? 0;
    let most = 0;
    for (let j = 0; j < i; j++) {
      const other = kit[j] ?? -1;
      if (other >= 0 && kinds[other] === kind) most = Math.max(most, surcharges[other] ?? 0);
    }
    // of two the smaller is paid: what stands beside it already has paid but for its largest
    sum += Math.min(extra, most);
  }
  return sum;
}
