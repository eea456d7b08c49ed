import { FIT } from '../constants';
import type { BladeModel } from './schema';

/** Thickness of the fingers curled round a handle, mm, from the palm's breadth. */
export function fingerThicknessMm(palmBreadthMm: number): number {
  return FIT.hold.finger.value * palmBreadthMm;
}

/** How a hand takes a knife: by the blade, by the handle, with a finger on the spine, or now one way, now another. */
export type Grip = 'pinch' | 'handle' | 'fingertip' | 'unsure';

/** Where the hand sits, mm before the heel; negative: behind it. */
export const gripMm = (grip: Grip): number => FIT.hold[grip].value;

/**
 * Room between the knuckles and the board, mm: heel height + handle offset − handle depth below the spine − fingers.
 * Four fingers round the handle hang lower than the three of a pinch. Negative means that the hand must work past the edge of the board.
 */
export function knuckleRoomMm(
  blade: Pick<BladeModel, 'heelHeightMm' | 'handleOffsetMm' | 'handleHeightMm'>,
  palmBreadthMm: number,
  grip: Grip = 'pinch',
): number {
  const hangs = grip === 'handle' ? FIT.hold.fourFingers.value : grip === 'unsure' ? FIT.hold.fourFingers.value / 2 : 0;
  return blade.heelHeightMm + blade.handleOffsetMm - blade.handleHeightMm - fingerThicknessMm(palmBreadthMm) - hangs;
}

/** Distance from the holding hand to the tip, mm. */
export function handToTipMm(blade: Pick<BladeModel, 'lengthMm'>, grip: Grip = 'pinch'): number {
  return blade.lengthMm - gripMm(grip);
}

/** Outer girth of the handle, mm: a rounded rectangle. */
export function handleGirthMm(blade: Pick<BladeModel, 'handleHeightMm' | 'handleThicknessMm'>): number {
  return FIT.girth.corners.value * 2 * (blade.handleHeightMm + blade.handleThicknessMm);
}
