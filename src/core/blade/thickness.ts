import type { BladeModel } from './schema';

/** How the sides swell between edge and spine: 1 is a flat wedge, below 1 a belly of steel, above 1 a hollow. */
const GRIND_EXPONENT = { flat: 1, convex: 0.8, hollow: 1.3 } as const;

/**
 * Thickness of the blade `depthMm` above its edge, taken at a third of its length where most cutting is done, mm.
 * Deeper than the blade is tall, the spine is the thickest thing in the cut.
 */
export function thicknessAtDepthMm(
  blade: Pick<BladeModel, 'heelHeightMm' | 'spineHeelMm' | 'spineMidMm' | 'behindEdgeMm' | 'grind'>,
  depthMm: number,
): number {
  const spine = blade.spineHeelMm + (blade.spineMidMm - blade.spineHeelMm) * 0.66;
  const share = Math.min(1, Math.max(0, depthMm / blade.heelHeightMm));
  const swell = Math.max(0, spine - blade.behindEdgeMm);
  return blade.behindEdgeMm + swell * Math.pow(share, GRIND_EXPONENT[blade.grind]);
}

/** Thickness of the spine `xMm` from the heel, mm: straight from heel to middle, and from middle to tip. */
export function spineThicknessMm(
  blade: Pick<BladeModel, 'lengthMm' | 'spineHeelMm' | 'spineMidMm' | 'spineTipMm'>,
  xMm: number,
): number {
  const share = Math.min(1, Math.max(0, xMm / blade.lengthMm));
  return share < 0.5
    ? blade.spineHeelMm + (blade.spineMidMm - blade.spineHeelMm) * share * 2
    : blade.spineMidMm + (blade.spineTipMm - blade.spineMidMm) * (share - 0.5) * 2;
}
