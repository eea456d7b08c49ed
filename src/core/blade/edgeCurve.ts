import type { BladeModel } from './schema';

type EdgeShape = Pick<BladeModel, 'lengthMm' | 'bellyMm' | 'flatShare'>;

/** Height above a straight line within which an edge still counts as flat, mm (the handbook's definition of `flat`). */
export const FLAT_WITHIN_MM = 0.5;

/**
 * The edge seen from the side is one power curve, y = belly · (x / length)^p, heel at x = 0. The exponent is the one that
 * makes the curve leave the flat line by {@link FLAT_WITHIN_MM} exactly at the stated flat share. Returns p, 1.2–40.
 */
export function edgePower({ bellyMm, flatShare }: EdgeShape): number {
  if (bellyMm < 0) return 2;
  const flat = Math.min(0.97, Math.max(0.03, flatShare));
  const rise = Math.max(FLAT_WITHIN_MM * 1.05, bellyMm);
  return Math.min(40, Math.max(1.2, Math.log(rise / FLAT_WITHIN_MM) / -Math.log(flat)));
}

/**
 * Height of the edge above the heel's flat line at `xMm` from the heel, mm; negative where a hooked blade dips.
 *
 * @example edgeHeightMm({ lengthMm: 200, bellyMm: 20, flatShare: 0.3 }, 200) // 20
 */
export function edgeHeightMm(shape: EdgeShape, xMm: number, power = edgePower(shape)): number {
  return shape.bellyMm * Math.pow(Math.max(0, xMm) / shape.lengthMm, power);
}

/** Slope of the edge (rise over run) at `xMm` from the heel. */
export function edgeSlope(shape: EdgeShape, xMm: number, power = edgePower(shape)): number {
  return ((shape.bellyMm * power) / shape.lengthMm) * Math.pow(Math.max(0, xMm) / shape.lengthMm, power - 1);
}
