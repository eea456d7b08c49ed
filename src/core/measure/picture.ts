import type { Spot } from './rectify';

/** A picture in shades of grey, 0 black – 255 white, row by row. */
export interface Grey {
  width: number;
  height: number;
  shades: Float32Array;
}

/** A picture of red, green, blue and opacity in shades of grey. */
export function greyOf({ width, height, data }: { width: number; height: number; data: ArrayLike<number> }): Grey {
  const shades = new Float32Array(width * height);
  for (let i = 0; i < shades.length; i++)
    shades[i] = 0.299 * (data[4 * i] ?? 0) + 0.587 * (data[4 * i + 1] ?? 0) + 0.114 * (data[4 * i + 2] ?? 0);
  return { width, height, shades };
}

/** Shade at a point between pixels, bilinear; the border goes on outside. */
export function shadeAt({ width, height, shades }: Grey, { x, y }: Spot): number {
  const clamp = (value: number, most: number) => Math.min(most, Math.max(0, value));
  const [cx, cy] = [clamp(x, width - 1.001), clamp(y, height - 1.001)];
  const [x0, y0] = [Math.floor(cx), Math.floor(cy)];
  const [fx, fy] = [cx - x0, cy - y0];
  const at = (i: number, j: number) => shades[(y0 + j) * width + x0 + i] ?? 0;
  return (at(0, 0) * (1 - fx) + at(1, 0) * fx) * (1 - fy) + (at(0, 1) * (1 - fx) + at(1, 1) * fx) * fy;
}

/** Width of the step detector, samples either side. */
const HALF = 4;

/**
 * The strongest step of shade on the way from one point to another, as a share of the way; between samples by a parabola. `dark`: only steps
 * of this sign count, 1 from dark to light, −1 from light to dark; 0 both. Null where nothing stands out.
 */
export function strongestStep(grey: Grey, from: Spot, to: Spot, sign: -1 | 0 | 1 = 0): number | null {
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  const steps = Math.max(4 * HALF, Math.round(2 * long));
  const shades = Array.from({ length: steps + 1 }, (_, i) =>
    shadeAt(grey, { x: from.x + ((to.x - from.x) * i) / steps, y: from.y + ((to.y - from.y) * i) / steps }),
  );
  const rise = (i: number) => {
    let sum = 0;
    for (let k = 1; k <= HALF; k++) sum += (shades[i + k] ?? 0) - (shades[i - k] ?? 0);
    return sign === 0 ? Math.abs(sum) : sign * sum;
  };
  let best = { i: -1, rise: HALF * 8 };
  for (let i = HALF; i <= steps - HALF; i++) if (rise(i) > best.rise) best = { i, rise: rise(i) };
  if (best.i < 0) return null;
  const [before, after] = [rise(best.i - 1), rise(best.i + 1)];
  const bend = before - 2 * best.rise + after;
  const shift = best.i === HALF || best.i === steps - HALF || bend >= 0 ? 0 : (0.5 * (before - after)) / bend;
  return (best.i + Math.max(-0.5, Math.min(0.5, shift))) / steps;
}

interface Line {
  at: Spot;
  along: Spot;
}

/** The straight line nearest to some points, the worst third left out. */
function lineThrough(points: readonly Spot[]): Line {
  let kept = [...points];
  let line: Line = { at: { x: 0, y: 0 }, along: { x: 1, y: 0 } };
  for (let pass = 0; pass < 3; pass++) {
    const n = kept.length;
    const at = { x: kept.reduce((s, p) => s + p.x, 0) / n, y: kept.reduce((s, p) => s + p.y, 0) / n };
    const sum = (of: (dx: number, dy: number) => number) => kept.reduce((s, { x, y }) => s + of(x - at.x, y - at.y), 0);
    const [xx, xy, yy] = [sum((dx) => dx * dx), sum((dx, dy) => dx * dy), sum((_, dy) => dy * dy)];
    const angle = 0.5 * Math.atan2(2 * xy, xx - yy);
    line = { at, along: { x: Math.cos(angle), y: Math.sin(angle) } };
    const off = ({ x, y }: Spot) => Math.abs((x - at.x) * line.along.y - (y - at.y) * line.along.x);
    kept = [...points].sort((a, b) => off(a) - off(b)).slice(0, Math.max(3, Math.ceil((2 * points.length) / 3)));
  }
  return line;
}

function crossing(a: Line, b: Line): Spot | null {
  const det = a.along.x * b.along.y - a.along.y * b.along.x;
  if (Math.abs(det) < 1e-6) return null;
  const t = ((b.at.x - a.at.x) * b.along.y - (b.at.y - a.at.y) * b.along.x) / det;
  return { x: a.at.x + t * a.along.x, y: a.at.y + t * a.along.y };
}

/** Samples along each side of a card, away from its rounded corners. */
const SAMPLES = 30;

/**
 * Corners of a card found to a fraction of a pixel: its four sides are looked for near the corners pointed at (within `reach` pixels), and the
 * corners are where they cross. What cannot be found stays as it was pointed at.
 */
export function refinedCorners(grey: Grey, corners: readonly Spot[], reach = 14): Spot[] {
  const sides = corners.map((from, i): Line | null => {
    const to = corners[(i + 1) % corners.length];
    if (!to) return null;
    const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    const normal = { x: -(to.y - from.y) / long, y: (to.x - from.x) / long };
    const found = Array.from({ length: SAMPLES }, (_, k): Spot | null => {
      const share = 0.12 + (0.76 * k) / (SAMPLES - 1);
      const middle = { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
      const at = (by: number) => ({ x: middle.x + by * normal.x, y: middle.y + by * normal.y });
      const step = strongestStep(grey, at(-reach), at(reach));
      return step === null ? null : at(-reach + 2 * reach * step);
    }).filter((each) => each !== null);
    return found.length >= SAMPLES / 2 ? lineThrough(found) : null;
  });
  return corners.map((corner, i) => {
    const [before, after] = [sides[(i + corners.length - 1) % corners.length], sides[i]];
    const met = before && after ? crossing(before, after) : null;
    return met && Math.hypot(met.x - corner.x, met.y - corner.y) <= 2 * reach ? met : corner;
  });
}
