import { byColumns } from './columns';
import { overlaps, SLACK, type Fixed, type Laid, type Piece } from './rectangles';

/** Placements tried for one set of pieces before the search by columns, and steps of that, at most. */
const MOST_TRIED = { laying: 3000, columns: 60_000 } as const;
interface Lying extends Laid, Fixed {
  piece: number;
}

const touches = (one: number, other: number): boolean => Math.abs(one - other) < SLACK;

/** Whether a place is free, inside the tray, and so tight that nothing in it could be pushed to the left or down. */
function isTight(at: Fixed, laid: readonly Fixed[], wide: number, deep: number): boolean {
  const [right, top] = [at.x + at.wide, at.y + at.deep];
  if (right > wide + SLACK || top > deep + SLACK) return false;
  let [left, below] = [touches(at.x, 0), touches(at.y, 0)];
  for (const other of laid) {
    const beside = overlaps(at.y, top, other.y, other.y + other.deep);
    const over = overlaps(at.x, right, other.x, other.x + other.wide);
    if (beside && over) return false;
    left ||= beside && touches(other.x + other.wide, at.x);
    below ||= over && touches(other.y + other.deep, at.y);
  }
  return left && below;
}

/**
 * Whether pieces cannot lie in a tray by simple measures: each alone, their area, and those that lie along it and reach over its middle, which lie above
 * one another (and the same across). Of those that may lie either way every way is weighed.
 */
export function isTooMuch(pieces: readonly Piece[], wide: number, deep: number, fixed: readonly Fixed[] = []): boolean {
  const area =
    pieces.reduce((sum, { long, high }) => sum + long * high, 0) +
    fixed.reduce((sum, each) => sum + each.wide * each.deep, 0);
  if (area > wide * deep + SLACK) return true;
  // what may lie both ways costs the middle at least so much of its height along, or of its length across
  const ways = pieces.map(({ long, high }) => ({
    along:
      long <= wide + SLACK && high <= deep + SLACK
        ? { over: long > wide / 2, takes: high, beside: high > deep / 2, gives: long }
        : null,
    across:
      high <= wide + SLACK && long <= deep + SLACK
        ? { over: high > wide / 2, takes: long, beside: long > deep / 2, gives: high }
        : null,
  }));
  if (ways.some(({ along, across }) => !along && !across)) return true;
  // the middle line from front to back is crossed by what reaches over it; the one from side to side likewise
  const fits = (i: number, upright: number, level: number): boolean => {
    if (upright > deep + SLACK || level > wide + SLACK) return false;
    const way = ways[i];
    if (!way) return true;
    return [way.along, way.across].some(
      (lies) =>
        lies !== null && fits(i + 1, upright + (lies.over ? lies.takes : 0), level + (lies.beside ? lies.gives : 0)),
    );
  };
  return !fits(0, 0, 0);
}

/** Tenths of a millimetre: to these, pieces are measured. */
const TENTHS = 10;

/**
 * How much of a length pieces end to end, each along or across, can fill at most, mm. What is beyond that no packing pushed to the wall ever uses.
 */
function reachable(pieces: readonly Piece[], limit: number): number {
  const most = Math.floor(limit * TENTHS + SLACK);
  const reached = new Uint8Array(most + 1);
  reached[0] = 1;
  let high = 0;
  for (const { long, high: across } of pieces) {
    const steps = [Math.round(long * TENTHS), Math.round(across * TENTHS)];
    for (let from = high; from >= 0; from--)
      if (reached[from] === 1)
        for (const step of steps)
          if (from + step <= most) {
            reached[from + step] = 1;
            high = Math.max(high, from + step);
          }
  }
  return high / TENTHS;
}

/** Lays pieces one after the other where earlier ones hold them, the longest first, until one way is found or the tries run out. */
function laidTightly(pieces: readonly Piece[], wide: number, deep: number, fixed: readonly Fixed[]): Laid[] | null {
  const laid: Lying[] = [];
  const order = pieces.map((_, i) => i).sort((a, b) => (pieces[b]?.long ?? 0) - (pieces[a]?.long ?? 0));
  let tried = 0;
  const lay = (): boolean => {
    if (laid.length === pieces.length) return true;
    const all: readonly Fixed[] = [...fixed, ...laid];
    const xs = [...new Set([0, ...all.map((each) => each.x + each.wide)])];
    const ys = [...new Set([0, ...all.map((each) => each.y + each.deep)])];
    const seen = new Set<string>();
    for (const piece of order) {
      const it = pieces[piece];
      if (!it || laid.some((each) => each.piece === piece)) continue;
      // of pieces alike one stands for all
      const size = `${it.long} ${it.high}`;
      if (seen.has(size)) continue;
      seen.add(size);
      for (const turned of it.long === it.high ? [false] : [false, true]) {
        const [w, d] = turned ? [it.high, it.long] : [it.long, it.high];
        for (const y of ys)
          for (const x of xs) {
            if (++tried > MOST_TRIED.laying) return false;
            const at = { piece, x, y, turned, wide: w, deep: d };
            if (!isTight(at, all, wide, deep)) continue;
            laid.push(at);
            if (lay()) return true;
            laid.pop();
          }
      }
    }
    return false;
  };
  if (!lay()) return null;
  const found: Laid[] = [];
  for (const { piece, x, y, turned } of laid) found[piece] = { x, y, turned };
  return found;
}

/**
 * Lays pieces into a tray without overlap, each along or across it, beside what is fixed there; null when it cannot be done. A quick search first, then
 * one that knows when there is no way ({@link byColumns}). `known` is false where the steps ran out before the end.
 *
 * @example layOut([{ long: 300, high: 50 }], 310, 60).laid // [{ x: 0, y: 0, turned: false }]
 */
export function layOut(
  pieces: readonly Piece[],
  wide: number,
  deep: number,
  fixed: readonly Fixed[] = [],
): { laid: Laid[] | null; known: boolean } {
  if (isTooMuch(pieces, wide, deep, fixed)) return { laid: null, known: true };
  if (fixed.length === 0) {
    const [long, across] = [reachable(pieces, wide), reachable(pieces, deep)];
    if (long < wide - SLACK || across < deep - SLACK) return layOut(pieces, long, across);
  }
  const laid = laidTightly(pieces, wide, deep, fixed);
  return laid ? { laid, known: true } : byColumns(pieces, wide, deep, fixed, MOST_TRIED.columns);
}
