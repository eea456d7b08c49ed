/** A point of a drawing, mm. Knives: x forward of the heel, y above the flat line of the edge. */
export interface Point {
  x: number;
  y: number;
  /** Two curves meet here at an angle. */
  corner?: boolean;
}

/** What a shape is of: it decides how it is painted. */
export type Role = 'steel' | 'handle' | 'fitting' | 'line' | 'faint' | 'hand';

/** One stroke of a drawing: straight from point to point, or a smooth curve through them. */
export interface Shape {
  role: Role;
  points: Point[];
  closed: boolean;
  smooth: boolean;
}

/** Shapes in painting order, and the box round them, mm. */
export interface Drawing {
  shapes: Shape[];
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Pull of a curve's handles: a Catmull–Rom spline. */
const PULL = 1 / 6;

const figure = ({ x, y }: Point) => `${x.toFixed(2)} ${y.toFixed(2)}`;

function smoothPath(points: readonly Point[], closed: boolean): string {
  const n = points.length;
  const at = (i: number): Point => points[closed ? (i + n) % n : Math.min(n - 1, Math.max(0, i))] ?? { x: 0, y: 0 };
  let path = `M${figure(at(0))}`;
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const [from, to] = [at(i), at(i + 1)];
    const before = from.corner ? from : at(i - 1);
    const after = to.corner ? to : at(i + 2);
    const c1 = { x: from.x + PULL * (to.x - before.x), y: from.y + PULL * (to.y - before.y) };
    const c2 = { x: to.x - PULL * (after.x - from.x), y: to.y - PULL * (after.y - from.y) };
    path += `C${figure(c1)} ${figure(c2)} ${figure(to)}`;
  }
  return closed ? `${path}Z` : path;
}

/** From drawings, whose y goes up, to pictures, whose y goes down. */
export const upsideDown = ({ x, y }: Point): Point => ({ x, y: -y });

/** Joins points into a closed SVG path, after moving each with `place`. Coordinates to a hundredth of a millimetre. */
export function pathOf(points: readonly Point[], place: (p: Point) => Point = (p) => p): string {
  return `M${points.map(place).map(figure).join('L')}Z`;
}

/** The SVG path of a shape, after moving its points with `place` (turns, mirrors and scales as a whole). */
export function pathOfShape({ points, closed, smooth }: Shape, place: (p: Point) => Point = (p) => p): string {
  const placed = points.map((p) => (p.corner ? { ...place(p), corner: true } : place(p)));
  if (smooth) return smoothPath(placed, closed);
  return `M${placed.map(figure).join('L')}${closed ? 'Z' : ''}`;
}

/** An outline that is filled. */
export const closed = (role: Role, points: Point[], smooth = true): Shape => ({ role, points, closed: true, smooth });

/** A line that is only drawn. */
export const open = (role: Role, points: Point[], smooth = true): Shape => ({ role, points, closed: false, smooth });

export const box = (role: Role, x: number, y: number, width: number, height: number): Shape =>
  closed(
    role,
    [
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + height },
      { x, y: y + height },
    ],
    false,
  );

/** An ellipse about a point. */
export const oval = (role: Role, { x, y }: Point, halfWidth: number, halfHeight: number): Shape =>
  closed(
    role,
    Array.from({ length: 8 }, (_, i) => ({
      x: x + halfWidth * Math.cos((Math.PI * i) / 4),
      y: y + halfHeight * Math.sin((Math.PI * i) / 4),
    })),
  );

/** A drawing with the box round its points. */
export function drawingOf(shapes: Shape[]): Drawing {
  const points = shapes.flatMap((shape) => shape.points);
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return { shapes, left: Math.min(...xs), right: Math.max(...xs), top: Math.max(...ys), bottom: Math.min(...ys) };
}
