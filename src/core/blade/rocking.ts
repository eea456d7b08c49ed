import type { BladeModel } from './schema';
import { edgeSlope } from './edgeCurve';

/** The part of the edge a rock uses; the last fifth is point, not belly. */
export const ROCKING_SHARE = 0.8;

/** Angle a blade turns through when it rolls from the heel over the working belly, radians, 0 for a dead flat edge. */
export function rockAngleRad(blade: Pick<BladeModel, 'lengthMm' | 'bellyMm' | 'flatShare'>): number {
  return Math.atan(Math.max(0, edgeSlope(blade, ROCKING_SHARE * blade.lengthMm)));
}

/** Mean radius of the rolling stretch, mm; large for flat edges (capped at 20 000). */
export function rockingRadiusMm(blade: Pick<BladeModel, 'lengthMm' | 'bellyMm' | 'flatShare'>): number {
  return Math.min(20_000, (ROCKING_SHARE * blade.lengthMm) / Math.max(1e-6, rockAngleRad(blade)));
}
