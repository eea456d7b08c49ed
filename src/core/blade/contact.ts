import type { BladeModel } from './schema';
import { edgeHeightMm, edgePower, edgeSlope, FLAT_WITHIN_MM } from './edgeCurve';

const SAMPLES = 40;

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
  const heights = Float64Array.from({ length: SAMPLES + 1 }, (_, j) => edgeHeightMm(blade, j * step, power));
  let best: Contact = { fromMm: 0, toMm: 0, share: 0, tiltRad: 0 };
  for (let i = 0; i <= SAMPLES; i++) {
    const touch = i * step;
    const slope = edgeSlope(blade, touch, power);
    const gap = (j: number) => (heights[j] ?? 0) - (heights[i] ?? 0) - slope * (j - i) * step;
    const reach = (direction: 1 | -1) => {
      let inside = i;
      // by index, not by adding steps: a rounding error at the last sample would be a cliff
      for (let j = i; j >= 0 && j <= SAMPLES; j += direction) {
        const here = Math.abs(gap(j));
        if (here > FLAT_WITHIN_MM) {
          // the crossing lies between the last two samples; the root of a gap is nearly straight, so the result is continuous
          const before = Math.sqrt(Math.abs(gap(inside)));
          return inside * step + direction * step * ((Math.sqrt(FLAT_WITHIN_MM) - before) / (Math.sqrt(here) - before));
        }
        inside = j;
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
