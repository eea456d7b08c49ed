import { FLAT_WITHIN_MM } from '../blade/edgeCurve';
import type { BladeModel } from '../blade/schema';
import { TIPS } from '../blade/words';
import { spineHeightMm } from '../blade/spineLine';
import type { Spot } from './rectify';

/** What a traced blade measures, mm; `edge` runs from the heel at 0 to the tip, above the flat line. */
export interface Profile {
  lengthMm: number;
  heelHeightMm: number;
  bellyMm: number;
  /** Share of the edge within half a millimetre of a straight line, 0–1. */
  flatShare: number;
  tip: BladeModel['tip'];
  edge: Spot[];
  /** Root mean square of what the fitted curve leaves of the traced points, mm. */
  strayMm: number;
}

/** The places traced on a picture, in mm of the plane, in any position: heel and tip of the edge, points along edge and spine. */
export interface Traced {
  heel: Spot;
  tip: Spot;
  edge: readonly Spot[];
  spine: readonly Spot[];
}

const POWERS = Array.from({ length: 60 }, (_, i) => 1.2 * Math.pow(40 / 1.2, i / 59));

/** How well edge points keep to a power curve after the blade is turned by an angle about its heel. */
function fitted(points: readonly Spot[], length: number): { belly: number; power: number; stray: number } {
  let best = { belly: 0, power: 2, stray: Infinity };
  for (const power of POWERS) {
    let [top, bottom] = [0, 0];
    for (const { x, y } of points) {
      const shape = Math.pow(Math.max(0, x / length), power);
      top += shape * y;
      bottom += shape * shape;
    }
    const belly = bottom > 0 ? top / bottom : 0;
    const stray = points.reduce(
      (sum, { x, y }) => sum + (y - belly * Math.pow(Math.max(0, x / length), power)) ** 2,
      0,
    );
    if (stray < best.stray) best = { belly, power, stray };
  }
  return best;
}

/** Finds the least of a function of one variable between two bounds: a coarse look, then a golden section. */
function leastAt(f: (x: number) => number, low: number, high: number): number {
  const looks = 24;
  const step = (high - low) / looks;
  let best = low;
  for (let i = 0; i <= looks; i++) if (f(low + i * step) < f(best)) best = low + i * step;
  let [a, b] = [Math.max(low, best - step), Math.min(high, best + step)];
  for (let i = 0; i < 40; i++) {
    const [p, q] = [b - 0.618 * (b - a), a + 0.618 * (b - a)];
    if (f(p) < f(q)) b = q;
    else a = p;
  }
  return (a + b) / 2;
}

/** Points turned so that the blade lies along x from its heel, spine up, and by `angle` radians beyond that. */
function laid({ heel, tip, spine }: Traced, angle: number): (points: readonly Spot[]) => Spot[] {
  const along = Math.atan2(tip.y - heel.y, tip.x - heel.x);
  const above = spine.reduce(
    (sum, { x, y }) => sum + (y - heel.y) * Math.cos(along) - (x - heel.x) * Math.sin(along),
    0,
  );
  const side = above >= 0 ? 1 : -1;
  return (points) =>
    points.map((point) => {
      const [dx, dy] = [point.x - heel.x, point.y - heel.y];
      const [x, y] = [
        dx * Math.cos(along) + dy * Math.sin(along),
        side * (dy * Math.cos(along) - dx * Math.sin(along)),
      ];
      return { x: x * Math.cos(angle) + y * Math.sin(angle), y: y * Math.cos(angle) - x * Math.sin(angle) };
    });
}

/** Height of the traced spine above the heel's place, mm: a straight line through its nearest points. */
function heightAtHeel(spine: readonly Spot[], length: number): number {
  const near = spine.filter(({ x }) => x > -0.05 * length && x < 0.3 * length);
  const points = near.length >= 2 ? near : spine.slice(0, 2);
  const n = points.length;
  const mx = points.reduce((s, p) => s + p.x, 0) / n;
  const my = points.reduce((s, p) => s + p.y, 0) / n;
  const spread = points.reduce((s, p) => s + (p.x - mx) ** 2, 0);
  const slope = spread > 1 ? points.reduce((s, p) => s + (p.x - mx) * (p.y - my), 0) / spread : 0;
  return my - slope * mx;
}

/** The kind of point whose spine comes nearest to the traced one. */
function tipOf(
  spine: readonly Spot[],
  shape: Pick<Profile, 'lengthMm' | 'heelHeightMm' | 'bellyMm'>,
): BladeModel['tip'] {
  const front = spine.filter(({ x }) => x > 0.4 * shape.lengthMm && x < 0.97 * shape.lengthMm);
  const stray = (tip: BladeModel['tip']) => {
    const blade = { ...shape, tip, spineLine: 'straight' } as BladeModel;
    return front.reduce((sum, { x, y }) => sum + (y - spineHeightMm(blade, x)) ** 2, 0);
  };
  // a hooked edge and a blunt tip are no matter of the spine
  const kinds = TIPS.filter((tip) => tip !== 'hooked' && tip !== 'blunt');
  return kinds.reduce((best, tip) => (stray(tip) < stray(best) - 1e-9 ? tip : best), kinds[0] ?? 'point');
}

/**
 * Fits the blade's own description to what was traced: the blade is turned until its edge keeps best to one power curve that begins flat at
 * the heel; from it come length, belly and flat share, from the spine the height at the heel and the kind of point.
 */
export function profileOf(traced: Traced): Profile {
  const edge = [...traced.edge, traced.tip];
  const lying = (angle: number) => laid(traced, angle);
  const strayAt = (angle: number) => {
    const points = lying(angle)(edge);
    return fitted(points, points.at(-1)?.x ?? 1).stray;
  };
  const angle = leastAt(strayAt, -0.35, 0.1);
  const place = lying(angle);
  const points = place(edge);
  const lengthMm = points.at(-1)?.x ?? 1;
  const { belly, power, stray } = fitted(points, lengthMm);
  const spine = place(traced.spine);
  const heelHeightMm = heightAtHeel(spine, lengthMm);
  const bellyMm = belly;
  const flatShare =
    Math.abs(belly) <= FLAT_WITHIN_MM
      ? 1
      : Math.min(0.97, Math.max(0.03, Math.pow(FLAT_WITHIN_MM / Math.abs(belly), 1 / power)));
  return {
    lengthMm,
    heelHeightMm,
    bellyMm,
    flatShare,
    tip: tipOf(spine, { lengthMm, heelHeightMm, bellyMm }),
    edge: points.sort((a, b) => a.x - b.x),
    strayMm: Math.sqrt(stray / points.length),
  };
}

/** A profile as it is kept: its edge and its height at the heel, mm. */
export interface KeptProfile {
  lengthMm: number;
  heelHeightMm: number;
  edge: readonly Spot[];
}

/** Height of a kept edge at `x`, mm, straight between its points. */
function heightAt(edge: readonly Spot[], x: number): number {
  const after = edge.findIndex((point) => point.x >= x);
  const [b, a] = [edge[after < 0 ? edge.length - 1 : after], edge[Math.max(0, after - 1)]];
  if (!a || !b) return 0;
  return b.x - a.x < 1e-9 ? b.y : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
}

/** What an edge lost between two tracings, mm, at each of some places from the heel: the spine stays, the edge comes nearer to it. */
export function heightLost(before: KeptProfile, after: KeptProfile, places = 12): { xMm: number; lostMm: number }[] {
  const length = Math.min(before.lengthMm, after.lengthMm);
  return Array.from({ length: places }, (_, i) => {
    const xMm = (0.95 * length * i) / (places - 1);
    const deep = (of: KeptProfile) => of.heelHeightMm - heightAt(of.edge, xMm);
    return { xMm, lostMm: deep(before) - deep(after) };
  });
}
