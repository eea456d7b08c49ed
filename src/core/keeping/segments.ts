/** Room along a line: which row it is of, where it begins, and how long it is, mm. */
export interface Segment {
  row: number;
  from: number;
  long: number;
}

/** What is taken of a row already, mm. */
export interface Taken {
  row: number;
  from: number;
  long: number;
}

const SLACK = 1e-6;

/** What is free of some rows of a length, between what is taken. */
export function freeSegments(rows: number, long: number, taken: readonly Taken[]): Segment[] {
  return Array.from({ length: rows }, (_, row) => {
    const here = taken.filter((each) => each.row === row).sort((a, b) => a.from - b.from);
    const free: Segment[] = [];
    let from = 0;
    for (const each of [...here, { from: long, long: 0 }]) {
      if (each.from - from > SLACK) free.push({ row, from, long: each.from - from });
      from = Math.max(from, each.from + each.long);
    }
    return free;
  }).flat();
}

/** Lays pieces of some lengths end to end into segments: every way is tried, so that null means there is none. */
export function intoSegments(
  lengths: readonly number[],
  segments: readonly Segment[],
): { row: number; x: number }[] | null {
  const order = lengths.map((_, i) => i).sort((a, b) => (lengths[b] ?? 0) - (lengths[a] ?? 0));
  const left = segments.map(({ long }) => long);
  const where: { row: number; x: number }[] = [];
  const put = (at: number): boolean => {
    const i = order[at];
    const long = i === undefined ? undefined : lengths[i];
    if (i === undefined || long === undefined) return true;
    // of segments with the same room left one stands for all
    const tried = new Set<number>();
    for (let s = 0; s < segments.length; s++) {
      const [segment, room] = [segments[s], left[s] ?? 0];
      if (!segment || room + SLACK < long || tried.has(room)) continue;
      tried.add(room);
      left[s] = room - long;
      where[i] = { row: segment.row, x: segment.from + segment.long - room };
      if (put(at + 1)) return true;
      left[s] = room;
    }
    return false;
  };
  const total = (of: readonly number[]) => of.reduce((sum, each) => sum + each, 0);
  return total(lengths) <= total(left) + SLACK && put(0) ? where : null;
}
