import type { BladeModel } from './schema';

/** Thickness of the fingers curled round a handle ≈ 0.19 × palm breadth (house measurement on hand outlines), mm. */
export function fingerThicknessMm(palmBreadthMm: number): number {
  return 0.19 * palmBreadthMm;
}

/**
 * Room between the knuckles and the board, mm: heel height + handle offset − handle depth below the spine − fingers.
 * Negative means that the hand must work past the edge of the board.
 */
export function knuckleRoomMm(
  blade: Pick<BladeModel, 'heelHeightMm' | 'handleOffsetMm' | 'handleHeightMm'>,
  palmBreadthMm: number,
): number {
  return blade.heelHeightMm + blade.handleOffsetMm - blade.handleHeightMm - fingerThicknessMm(palmBreadthMm);
}

/** Distance from a pinch grip (10 mm behind the heel) to the tip, mm. */
export function pinchToTipMm(blade: Pick<BladeModel, 'lengthMm'>): number {
  return blade.lengthMm + 10;
}

/** Outer girth of the handle, mm: a rounded rectangle, corners taking about 7 % off the box. */
export function handleGirthMm(blade: Pick<BladeModel, 'handleHeightMm' | 'handleThicknessMm'>): number {
  return 0.93 * 2 * (blade.handleHeightMm + blade.handleThicknessMm);
}
