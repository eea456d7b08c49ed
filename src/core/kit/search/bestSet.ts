import { atSharedPrice } from '../candidates/sets';
import type { Candidate } from '../candidates/candidate';
import type { Demand } from '../demand/types';
import { KitValue } from './value';
import { type MoneyScale, costOf } from './worth';

/** Of the sets within the budget the one of the greatest worth, the cheaper of equals; its pieces as candidates at their share of the price. */
export function bestSet(
  sets: readonly { pieces: readonly Candidate[]; priceMinor: number }[],
  demand: Demand,
  already: readonly Float64Array[],
  budgetMinor: number,
  scale: MoneyScale,
): Candidate[] {
  let best: { value: number; pieces: readonly Candidate[]; priceMinor: number } | null = null;
  for (const { pieces, priceMinor } of sets) {
    if (priceMinor > budgetMinor) continue;
    const kit = new KitValue(demand);
    for (const row of [...already, ...pieces.map((p) => p.usefulness)]) kit.add(row);
    const paid = atSharedPrice(pieces, priceMinor).reduce((sum, piece) => sum + costOf(piece, scale), 0);
    const value = kit.value() - paid;
    const better = !best || value > best.value + 1e-9 || (value > best.value - 1e-9 && priceMinor < best.priceMinor);
    if (better) best = { value, pieces, priceMinor };
  }
  return best ? atSharedPrice(best.pieces, best.priceMinor) : [];
}
