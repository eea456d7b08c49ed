import { FIT } from '../constants';
import type { BladeModel, Steel } from './schema';

/** Hardness used where a material has no Rockwell figure (ceramic): harder than any steel. */
export const CERAMIC_HRC = 70;

/**
 * Rockwell hardness of the edge; {@link CERAMIC_HRC} for ceramic.
 *
 * @example hardness({ hrc: null }) // 70
 */
export function hardness(blade: Pick<BladeModel, 'hrc'>): number {
  return blade.hrc ?? CERAMIC_HRC;
}

/**
 * What an edge can meet without damage, on the scale of a task's `load` (0–10). A soft bone cleaver (tough 8, 25° a side,
 * 0.73 mm behind the edge, 55 HRC) is 10. Tougher, blunter-angled and thicker raise it; harder lowers it; a micro-bevel adds a fifth.
 * A house judgement, calibrated on the handbook's loads: thin hard general knives come to between 2 and 3, soft Western ones to about 5.
 */
export function edgeStrength(
  blade: Pick<BladeModel, 'hrc' | 'edgeAngleDeg' | 'edgeAngleBackDeg' | 'bevel' | 'behindEdgeMm' | 'microBevel'>,
  steel: Pick<Steel, 'tough'>,
): number {
  const f = FIT.strength;
  const front = f.unevenFront.value;
  const angle =
    blade.bevel === 'uneven' ? front * blade.edgeAngleDeg + (1 - front) * blade.edgeAngleBackDeg : blade.edgeAngleDeg;
  const tough = Math.pow(steel.tough / f.tough.value, f.toughPower.value);
  const keen = Math.pow(angle / f.angle.value, f.anglePower.value);
  const thick = Math.pow(blade.behindEdgeMm / f.thick.value, f.thickPower.value);
  const hard = 1 - f.perHrc.value * Math.max(0, hardness(blade) - f.soft.value);
  const carried = blade.microBevel ? f.microBevel.value : 1;
  return f.reference.value * tough * keen * thick * hard * carried;
}
