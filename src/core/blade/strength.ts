import type { BladeModel, Steel } from './schema';

/** Hardness used where a material has no Rockwell figure (ceramic): harder than any steel. */
export const CERAMIC_HRC = 70;

/** Rockwell hardness of the edge; {@link CERAMIC_HRC} for ceramic. */
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
  const angle = blade.bevel === 'uneven' ? 0.7 * blade.edgeAngleDeg + 0.3 * blade.edgeAngleBackDeg : blade.edgeAngleDeg;
  const tough = Math.pow(steel.tough / 8, 0.5);
  const keen = Math.pow(angle / 25, 0.9);
  const thick = Math.pow(blade.behindEdgeMm / 0.73, 0.7);
  const hard = 1 - 0.015 * Math.max(0, hardness(blade) - 55);
  return 10 * tough * keen * thick * Math.max(0.3, hard) * (blade.microBevel ? 1.2 : 1);
}
