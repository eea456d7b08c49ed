import { overlaps, SLACK, type Fixed, type Laid, type Piece } from './rectangles';

/** A piece whose place along the tray is decided: its column, and how deep it is across. */
interface Column {
  piece: number;
  from: number;
  to: number;
  deep: number;
  turned: boolean;
}

/** How much of the depth is taken at one point along the tray. */
const takenAt = (x: number, columns: readonly Column[], fixed: readonly Fixed[]): number =>
  columns.reduce((sum, { from, to, deep }) => sum + (from <= x + SLACK && x < to - SLACK ? deep : 0), 0) +
  fixed.reduce((sum, each) => sum + (each.x <= x + SLACK && x < each.x + each.wide - SLACK ? each.deep : 0), 0);

/**
 * Rectangles packed by deciding first where along the tray each begins, then how far across. Any packing can be pushed towards the left until each piece
 * begins where another ends or at the wall, so pieces begin only there, and at no point may they be deeper together than the tray. Each such set of columns
 * is then stacked, every piece on those before it. Null and `known` when every way has been seen; not `known` when the steps ran out.
 * (The decomposition of Clautiaux, Carlier and Moukrim, 2007.)
 */
export function byColumns(
  pieces: readonly Piece[],
  wide: number,
  deep: number,
  fixed: readonly Fixed[],
  mostSteps: number,
): { laid: Laid[] | null; known: boolean } {
  let steps = 0;
  const columns: Column[] = [];
  const dead = new Set<string>();
  const order = pieces.map((_, i) => i).sort((a, b) => area(pieces[b]) - area(pieces[a]));
  const fixedAfter = (x: number) =>
    fixed.reduce((sum, each) => sum + Math.max(0, each.x + each.wide - Math.max(x, each.x)) * each.deep, 0);

  /** What has begun at `x` or before, and what is left to begin there or later: no way that led here alone decides more. */
  const stateOf = (x: number, rank: number, left: readonly number[]) =>
    `${x.toFixed(1)} ${rank} ${left.join()} ${columns
      .filter(({ to }) => to > x + SLACK)
      .map(({ to, deep: d }) => `${to.toFixed(1)}:${d}`)
      .sort()
      .join()}`;

  /** Begins pieces at `x`, those of `order` from `rank` on, or goes on to where the next may begin. `stacked` tells whether any set of columns was whole. */
  const begin = (x: number, rank: number, left: readonly number[]): { laid: Laid[] | null; whole: boolean } => {
    if (++steps > mostSteps) return { laid: null, whole: true };
    if (left.length === 0) return { laid: stacked(columns, deep, fixed, () => ++steps <= mostSteps), whole: true };
    const need = left.reduce((sum, i) => sum + area(pieces[i]), 0);
    const taken = columns.reduce((sum, { to, deep: d }) => sum + Math.max(0, to - x) * d, 0) + fixedAfter(x);
    if (need + taken > (wide - x) * deep + SLACK) return { laid: null, whole: false };
    if (left.some((i) => !canBegin(pieces[i], wide - x, deep))) return { laid: null, whole: false };
    const state = stateOf(x, rank, left);
    if (dead.has(state)) return { laid: null, whole: false };
    let whole = false;
    const tried = new Set<string>();
    for (let r = rank; r < order.length; r++) {
      const i = order[r] ?? 0;
      const piece = pieces[i];
      if (!piece || !left.includes(i)) continue;
      for (const turned of piece.long === piece.high ? [false] : [false, true]) {
        const [w, d] = turned ? [piece.high, piece.long] : [piece.long, piece.high];
        const size = `${w} ${d}`;
        if (x + w > wide + SLACK || d > deep + SLACK || tried.has(size)) continue;
        tried.add(size);
        const column = { piece: i, from: x, to: x + w, deep: d, turned };
        const points = [x, ...fixed.map((each) => each.x).filter((at) => at > x && at < x + w - SLACK)];
        if (points.some((at) => takenAt(at, columns, fixed) + d > deep + SLACK)) continue;
        columns.push(column);
        const found = begin(
          x,
          r + 1,
          left.filter((each) => each !== i),
        );
        columns.pop();
        if (found.laid || steps > mostSteps) return found;
        whole ||= found.whole;
      }
    }
    const ends = [...columns.map(({ to }) => to), ...fixed.map((each) => each.x + each.wide)].filter(
      (to) => to > x + SLACK,
    );
    if (ends.length > 0) {
      const found = begin(Math.min(...ends), 0, left);
      if (found.laid || steps > mostSteps) return found;
      whole ||= found.whole;
    }
    if (!whole) dead.add(state);
    return { laid: null, whole };
  };
  const { laid } = begin(0, 0, order);
  return { laid, known: laid !== null || steps <= mostSteps };
}

const area = (piece: Piece | undefined): number => (piece ? piece.long * piece.high : 0);
const canBegin = (piece: Piece | undefined, room: number, deep: number): boolean =>
  piece !== undefined &&
  ((piece.long <= room + SLACK && piece.high <= deep + SLACK) ||
    (piece.high <= room + SLACK && piece.long <= deep + SLACK));

/** Columns stacked across the tray, each piece on those it lies over, in every order from the wall on; null when none stays inside. */
function stacked(
  columns: readonly Column[],
  deep: number,
  fixed: readonly Fixed[],
  mayGoOn: () => boolean,
): Laid[] | null {
  const laid: (Fixed & { piece: number; turned: boolean })[] = [];
  const put = (left: readonly Column[], from: number): boolean => {
    if (left.length === 0) return true;
    if (!mayGoOn()) return false;
    const next = left
      .map((column) => ({ column, y: restsAt(column, laid, fixed) }))
      .filter(({ y }) => y >= from - SLACK)
      .sort((a, b) => a.y - b.y);
    // whatever is left has to find room above what lies below it
    if (left.some((column) => restsAt(column, laid, fixed) + column.deep > deep + SLACK)) return false;
    for (const { column, y } of next) {
      laid.push({ ...column, x: column.from, y, wide: column.to - column.from });
      const rest = left.filter((each) => each !== column);
      if (put(rest, y)) return true;
      laid.pop();
    }
    return false;
  };
  if (!put(columns, 0)) return null;
  const found: Laid[] = [];
  for (const { piece, x, y, turned } of laid) found[piece] = { x, y, turned };
  return found;
}

/** How far across a column comes to rest: over what lies in its way, and past what is fixed. */
function restsAt({ from, to, deep }: Column, laid: readonly Fixed[], fixed: readonly Fixed[]): number {
  const over = (each: Fixed) => overlaps(from, to, each.x, each.x + each.wide);
  let y = laid.reduce((top, each) => (over(each) ? Math.max(top, each.y + each.deep) : top), 0);
  for (let moved = true; moved;) {
    moved = false;
    for (const each of fixed)
      if (over(each) && overlaps(y, y + deep, each.y, each.y + each.deep)) {
        y = each.y + each.deep;
        moved = true;
      }
  }
  return y;
}
