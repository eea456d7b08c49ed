import type { Point } from './outline';
import type { BladeModel } from './schema';
import { thicknessAtDepthMm } from './thickness';

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

const STEPS = 24;

/**
 * The cross-section near the heel, edge at the origin, spine up, x across the blade, mm. One-sided bevels keep one flat side;
 * for the right hand the bevel is on the right as the cook looks at the edge from behind.
 */
export function sectionPoints(blade: BladeModel): Point[] {
  const right: Point[] = [];
  const left: Point[] = [];
  for (let i = 0; i <= STEPS; i++) {
    const y = (blade.heelHeightMm * i) / STEPS;
    const thick = i === 0 ? 0 : thicknessAtDepthMm(blade, y);
    const share = blade.bevel === 'single' ? 1 : blade.bevel === 'uneven' ? 0.65 : 0.5;
    const bevelSide = thick * share;
    const backSide = thick - bevelSide;
    const forRight = blade.handed !== 'left';
    right.push({ x: forRight ? bevelSide : backSide, y });
    left.push({ x: -(forRight ? backSide : bevelSide), y });
  }
  return [...right, ...left.reverse()];
}
