import { FIT } from '../constants';
import type { BladeModel } from './schema';

/** Thickness of the fingers curled round a handle, mm, from the palm's breadth. */
export function fingerThicknessMm(palmBreadthMm: number): number {
  return FIT.hold.finger.value * palmBreadthMm;
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

/** Distance from a pinch grip to the tip, mm. */
export function pinchToTipMm(blade: Pick<BladeModel, 'lengthMm'>): number {
  return blade.lengthMm + FIT.hold.pinch.value;
}

/** Outer girth of the handle, mm: a rounded rectangle. */
export function handleGirthMm(blade: Pick<BladeModel, 'handleHeightMm' | 'handleThicknessMm'>): number {
  return FIT.girth.corners.value * 2 * (blade.handleHeightMm + blade.handleThicknessMm);
}
