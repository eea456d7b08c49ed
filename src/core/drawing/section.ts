import type { BladeModel } from '../blade/schema';
import { thicknessAtDepthMm } from '../blade/thickness';
import type { Point } from './shape';

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
