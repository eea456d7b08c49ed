/** A rectangle to be laid into a tray, mm. */
export interface Piece {
  long: number;
  high: number;
}

/** Where a piece lies: the corner nearest the tray's, mm; `turned`: across the tray. */
export interface Laid {
  x: number;
  y: number;
  turned: boolean;
}

/** Placements tried for one set of pieces, at most. */
const MOST_TRIED = 12_000;
const SLACK = 1e-6;

interface Lying extends Laid {
  piece: number;
  wide: number;
  deep: number;
}

const overlaps = (from: number, to: number, otherFrom: number, otherTo: number): boolean =>
  from < otherTo - SLACK && otherFrom < to - SLACK;
const touches = (one: number, other: number): boolean => Math.abs(one - other) < SLACK;

/** Whether a place is free, inside the tray, and so tight that nothing in it could be pushed to the left or down. */
function isTight(at: Omit<Lying, 'piece' | 'turned'>, laid: readonly Lying[], wide: number, deep: number): boolean {
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
export function isTooMuch(pieces: readonly Piece[], wide: number, deep: number): boolean {
  const area = pieces.reduce((sum, { long, high }) => sum + long * high, 0);
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

/**
 * Lays pieces into a tray without overlap, each along or across it; null when it cannot be done. Every arrangement can be pushed left and down until each
 * piece touches the tray or another, so pieces are laid one after the other, in every order, where earlier ones hold them. `known` is false where the
 * tries ran out before the end.
 *
 * @example layOut([{ long: 300, high: 50 }], 310, 60).laid // [{ x: 0, y: 0, turned: false }]
 */
export function layOut(pieces: readonly Piece[], wide: number, deep: number): { laid: Laid[] | null; known: boolean } {
  if (isTooMuch(pieces, wide, deep)) return { laid: null, known: true };
  const laid: Lying[] = [];
  const order = pieces.map((_, i) => i).sort((a, b) => (pieces[b]?.long ?? 0) - (pieces[a]?.long ?? 0));
  let tried = 0;
  const lay = (): boolean => {
    if (laid.length === pieces.length) return true;
    const xs = [...new Set([0, ...laid.map((each) => each.x + each.wide)])];
    const ys = [...new Set([0, ...laid.map((each) => each.y + each.deep)])];
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
            if (++tried > MOST_TRIED) return false;
            const at = { piece, x, y, turned, wide: w, deep: d };
            if (!isTight(at, laid, wide, deep)) continue;
            laid.push(at);
            if (lay()) return true;
            laid.pop();
          }
      }
    }
    return false;
  };
  if (!lay()) return { laid: null, known: tried <= MOST_TRIED };
  const found: Laid[] = [];
  for (const { piece, x, y, turned } of laid) found[piece] = { x, y, turned };
  return { laid: found, known: true };
}
