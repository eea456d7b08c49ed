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

/** The columns of one tray, decided from left to right. */
class ColumnSearch {
  private steps = 0;
  private readonly columns: Column[] = [];
  /** States from which no set of columns was ever whole. */
  private readonly dead = new Set<string>();
  /** Pieces, the largest first. */
  readonly order: readonly number[];

  constructor(
    private readonly pieces: readonly Piece[],
    private readonly wide: number,
    private readonly deep: number,
    private readonly fixed: readonly Fixed[],
    private readonly mostSteps: number,
  ) {
    this.order = pieces.map((_, i) => i).sort((a, b) => area(pieces[b]) - area(pieces[a]));
  }

  get ranOut(): boolean {
    return this.steps > this.mostSteps;
  }

  /** What has begun at `x` or before, and what is left to begin there or later: no way that led here alone decides more. */
  private stateOf(x: number, rank: number, left: readonly number[]): string {
    const going = this.columns.filter(({ to }) => to > x + SLACK).map(({ to, deep }) => `${to.toFixed(1)}:${deep}`);
    return `${x.toFixed(1)} ${rank} ${left.join()} ${going.sort().join()}`;
  }

  /** Whether what is left cannot begin at `x` or later, by its area or because one piece is too large. */
  private isHopeless(x: number, left: readonly number[]): boolean {
    const need = left.reduce((sum, i) => sum + area(this.pieces[i]), 0);
    const going = this.columns.reduce((sum, { to, deep }) => sum + Math.max(0, to - x) * deep, 0);
    const after = this.fixed.reduce(
      (sum, each) => sum + Math.max(0, each.x + each.wide - Math.max(x, each.x)) * each.deep,
      0,
    );
    return (
      need + going + after > (this.wide - x) * this.deep + SLACK ||
      left.some((i) => !canBegin(this.pieces[i], this.wide - x, this.deep))
    );
  }

  /** The columns in which the pieces of `order` from `rank` on may begin at `x`, each size once. */
  private beginnings(x: number, rank: number, left: readonly number[]): { column: Column; rank: number }[] {
    const tried = new Set<string>();
    return this.order.slice(rank).flatMap((i, r) => {
      const piece = this.pieces[i];
      if (!piece || !left.includes(i)) return [];
      return (piece.long === piece.high ? [false] : [false, true]).flatMap((turned) => {
        const [w, deep] = turned ? [piece.high, piece.long] : [piece.long, piece.high];
        const size = `${w} ${deep}`;
        if (x + w > this.wide + SLACK || deep > this.deep + SLACK || tried.has(size)) return [];
        tried.add(size);
        const points = [x, ...this.fixed.map((each) => each.x).filter((at) => at > x && at < x + w - SLACK)];
        const room = (at: number) => takenAt(at, this.columns, this.fixed) + deep <= this.deep + SLACK;
        return points.every(room)
          ? [{ column: { piece: i, from: x, to: x + w, deep, turned }, rank: rank + r + 1 }]
          : [];
      });
    });
  }

  /** Begins pieces at `x`, those of `order` from `rank` on, or goes on to where the next may begin. `whole`: some set of columns was whole. */
  begin(x: number, rank: number, left: readonly number[]): { laid: Laid[] | null; whole: boolean } {
    this.steps++;
    if (this.ranOut) return { laid: null, whole: true };
    if (left.length === 0)
      return { laid: stacked(this.columns, this.deep, this.fixed, () => ++this.steps <= this.mostSteps), whole: true };
    if (this.isHopeless(x, left)) return { laid: null, whole: false };
    const state = this.stateOf(x, rank, left);
    if (this.dead.has(state)) return { laid: null, whole: false };
    let whole = false;
    for (const { column, rank: next } of this.beginnings(x, rank, left)) {
      this.columns.push(column);
      const rest = left.filter((each) => each !== column.piece);
      const found = this.begin(x, next, rest);
      this.columns.pop();
      if (found.laid || this.ranOut) return found;
      whole ||= found.whole;
    }
    const ends = [...this.columns.map(({ to }) => to), ...this.fixed.map((each) => each.x + each.wide)];
    const later = ends.filter((to) => to > x + SLACK);
    if (later.length > 0) {
      const found = this.begin(Math.min(...later), 0, left);
      if (found.laid || this.ranOut) return found;
      whole ||= found.whole;
    }
    if (!whole) this.dead.add(state);
    return { laid: null, whole };
  }
}

/**
 * Rectangles packed by deciding first where along the tray each begins, then how far across. Any packing can be pushed towards the left until each piece
 * begins where another ends or at the wall, so pieces begin only there, and at no point may they be deeper together than the tray. Each such set of columns
 * is then stacked, every piece on those before it. Null and `known` when every way has been seen; not `known` when the steps ran out.
 * (Known from the literature on packing as deciding one dimension first.)
 */
export function byColumns(
  pieces: readonly Piece[],
  wide: number,
  deep: number,
  fixed: readonly Fixed[],
  mostSteps: number,
): { laid: Laid[] | null; known: boolean } {
  const search = new ColumnSearch(pieces, wide, deep, fixed, mostSteps);
  const { laid } = search.begin(0, 0, search.order);
  return { laid, known: laid !== null || !search.ranOut };
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
