/** A point of a picture, pixels, or of the plane it shows, mm. */
export interface Spot {
  x: number;
  y: number;
}

/** A bank card by ISO/IEC 7810 ID-1, mm. */
export const CARD_MM = { width: 85.6, height: 53.98 } as const;

/** A projective map of the plane, row by row; its last figure is 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/** Solves a small linear system by elimination with pivoting; null where it has no single solution. */
export function solved(rows: number[][]): number[] | null {
  const n = rows.length;
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let row = column; row < n; row++)
      if (Math.abs(rows[row]?.[column] ?? 0) > Math.abs(rows[pivot]?.[column] ?? 0)) pivot = row;
    const [lead, here] = [rows[pivot], rows[column]];
    if (!lead || !here || Math.abs(lead[column] ?? 0) < 1e-12) return null;
    [rows[column], rows[pivot]] = [lead, here];
    for (let row = 0; row < n; row++) {
      const line = rows[row];
      if (row === column || !line) continue;
      const factor = (line[column] ?? 0) / (lead[column] ?? 1);
      for (let k = column; k <= n; k++) line[k] = (line[k] ?? 0) - factor * (lead[k] ?? 0);
    }
  }
  return rows.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}

/** The projective map that takes four points to four others; null where three of them lie in a line. */
export function homography(from: readonly Spot[], to: readonly Spot[]): Homography | null {
  const rows = from.flatMap(({ x, y }, i) => {
    const { x: u, y: v } = to[i] ?? { x: 0, y: 0 };
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  const found = rows.length === 8 ? solved(rows) : null;
  if (!found?.every(Number.isFinite)) return null;
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0] = found;
  return [a, b, c, d, e, f, g, h, 1];
}

/** Where a map takes a point. */
export function mapped([a, b, c, d, e, f, g, h, i]: Homography, { x, y }: Spot): Spot {
  const depth = g * x + h * y + i;
  return { x: (a * x + b * y + c) / depth, y: (d * x + e * y + f) / depth };
}

/** The four corners of a card lying in the plane, mm, from the top left round clockwise as it is seen. */
export const CARD_CORNERS: readonly Spot[] = [
  { x: 0, y: 0 },
  { x: CARD_MM.width, y: 0 },
  { x: CARD_MM.width, y: CARD_MM.height },
  { x: 0, y: CARD_MM.height },
];

/**
 * The map from a picture's pixels to millimetres of the plane a bank card lies in, from its four corners clockwise; whether it lies along or
 * upright is told by its sides. Null where the corners are no four-sided figure.
 *
 * @example cardPlane([{ x: 0, y: 0 }, { x: 856, y: 0 }, { x: 856, y: 540 }, { x: 0, y: 540 }]) !== null // true
 */
export function cardPlane(corners: readonly Spot[]): Homography | null {
  const [p, q, r, s] = corners;
  if (!p || !q || !r || !s) return null;
  const side = (a: Spot, b: Spot) => Math.hypot(a.x - b.x, a.y - b.y);
  const upright = side(p, q) + side(r, s) < side(q, r) + side(s, p);
  const turn = ([a, b, c, d]: readonly Spot[]) => [b, c, d, a].filter((each) => each !== undefined);
  const to = upright ? turn(CARD_CORNERS) : CARD_CORNERS;
  const crossed = [0, 1, 2, 3].some((i) => {
    const [a, b, c] = [corners[i], corners[(i + 1) % 4], corners[(i + 2) % 4]];
    return !a || !b || !c || (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x) <= 0;
  });
  return crossed ? null : homography(corners, to);
}
