import { GUIDANCE } from '../../constants';
import { CATALOGUE_CURRENCY, convertMinor } from '../../money/currency';
import type { Making, Sold } from './making';
import type { Candidate } from './candidate';
import { kindOfWork } from './kinds';
import type { KnifeSet } from '../../catalogue/offers';

/** A set with its pieces as candidates, and its price in the kitchen's currency. */
export interface SetForSale {
  set: KnifeSet;
  pieces: Candidate[];
  priceMinor: number;
}

/**
 * Splits a set's price over its pieces in proportion to what they cost singly, exact to the minor unit: what rounding leaves goes to
 * the largest remainders, earlier pieces first.
 */
export function shareOut(priceMinor: number, singly: readonly number[]): number[] {
  const total = singly.reduce((a, b) => a + b, 0);
  const exact = singly.map((single) => (total > 0 ? (priceMinor * single) / total : priceMinor / singly.length));
  const shares = exact.map(Math.floor);
  const left = priceMinor - shares.reduce((a, b) => a + b, 0);
  const byRemainder = exact
    .map((e, i) => ({ i, rest: e - Math.floor(e) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i);
  for (const { i } of byRemainder.slice(0, left)) shares[i] = (shares[i] ?? 0) + 1;
  return shares;
}

/** The pieces of a set, each at its share of the set's price. */
export function atSharedPrice(pieces: readonly Candidate[], priceMinor: number): Candidate[] {
  const shares = shareOut(
    priceMinor,
    pieces.map((p) => p.priceMinor),
  );
  return pieces.map((piece, i) => ({ ...piece, priceMinor: shares[i] ?? 0 }));
}

/** The sets that may be bought whole here: their pieces, as they are sold singly, and the price in the kitchen's currency. */
export function setsForSale({ kitchen, reference, sold }: Pick<Making, 'kitchen' | 'reference'> & Sold): SetForSale[] {
  const known = new Map(sold.map((c) => [c.id, c]));
  return [...reference.sets.values()].flatMap((set) => {
    const pieces = set.pieces.flatMap((id) => known.get(id) ?? []);
    if (pieces.length < set.pieces.length) return [];
    return [{ set, pieces, priceMinor: convertMinor(set.priceMinor, CATALOGUE_CURRENCY, kitchen.currency) }];
  });
}

/** A set weighed against buying only what is wanted of it (handbook 5.4). */
export interface SetVerdict {
  id: string;
  name: string;
  maker: string;
  priceMinor: number;
  /** Pieces that would do a step of the plan, and what those cost one by one. */
  wanted: string[];
  wantedMinor: number;
  /** Pieces no step asks for. */
  idle: string[];
  wins: boolean;
}

/**
 * Judges a set by the plan's purchases: a piece is wanted when it is the kind of knife a step buys, near its length, each step once. The
 * set wins only when it costs less than its wanted pieces bought singly.
 */
export function judgeSet({ set, pieces, priceMinor }: SetForSale, steps: readonly Candidate[]): SetVerdict {
  const open = steps.filter((s) => s.action === 'buy');
  const apart = (a: Candidate, b: Candidate) =>
    Math.abs((a.blade?.blade.lengthMm ?? 0) - (b.blade?.blade.lengthMm ?? 0));
  const wanted = pieces.filter((piece) => {
    const fits = open
      .filter((s) => kindOfWork(s) === kindOfWork(piece) && apart(s, piece) <= GUIDANCE.standsInWithin.value)
      .sort(
        (a, b) =>
          Number(b.type?.id === piece.type?.id) - Number(a.type?.id === piece.type?.id) ||
          apart(a, piece) - apart(b, piece),
      )[0];
    if (!fits) return false;
    open.splice(open.indexOf(fits), 1);
    return true;
  });
  const wantedMinor = wanted.reduce((sum, p) => sum + p.priceMinor, 0);
  const name = (c: Candidate) => c.blade?.blade.name ?? c.id;
  return {
    id: set.id,
    name: set.name,
    maker: set.maker,
    priceMinor,
    wanted: wanted.map(name),
    wantedMinor,
    idle: pieces.filter((p) => !wanted.includes(p)).map(name),
    wins: wanted.length > 0 && priceMinor < wantedMinor,
  };
}
