import type { BladeModel } from './schema';
import { edgeHeightMm, edgePower, edgeSlope, FLAT_WITHIN_MM } from './edgeCurve';

const SAMPLES = 48;

/** The stretch of edge that meets a flat board at the best tilt. */
export interface Contact {
  /** Where the stretch begins and ends, mm from the heel. */
  fromMm: number;
  toMm: number;
  /** Its share of the edge, 0–1. */
  share: number;
  /** The tilt that gives it, radians, point down. */
  tiltRad: number;
}

/**
 * Lays the edge on the board at every tilt and keeps the one where most of it lies within {@link FLAT_WITHIN_MM}.
 * A dead flat edge touches everywhere; a deep belly only over a short stretch. Pure geometry.
 */
export function bestContact(blade: Pick<BladeModel, 'lengthMm' | 'bellyMm' | 'flatShare'>): Contact {
  const power = edgePower(blade);
  const step = blade.lengthMm / SAMPLES;
  let best: Contact = { fromMm: 0, toMm: 0, share: 0, tiltRad: 0 };
  for (let i = 0; i <= SAMPLES; i += 2) {
    const touch = i * step;
    const base = edgeHeightMm(blade, touch, power);
    const slope = edgeSlope(blade, touch, power);
    const gap = (x: number) => edgeHeightMm(blade, x, power) - base - slope * (x - touch);
    const reach = (direction: 1 | -1) => {
      let inside = touch;
      for (let x = touch; x >= 0 && x <= blade.lengthMm; x += direction * step) {
        const here = Math.abs(gap(x));
        if (here > FLAT_WITHIN_MM) {
          // the crossing lies between the last two samples: take it by straight line so that the result is continuous
          const before = Math.abs(gap(inside));
          return inside + direction * step * ((FLAT_WITHIN_MM - before) / (here - before));
        }
        inside = x;
      }
      return direction === 1 ? blade.lengthMm : 0;
    };
    const fromMm = reach(-1);
    const toMm = reach(1);
    const share = (toMm - fromMm) / blade.lengthMm;
    if (share > best.share) best = { fromMm, toMm, share, tiltRad: Math.atan(slope) };
  }
  return best;
}
