import type { CookFile } from '../../core/formats/kitchenFile';
import { DEFAULTS } from '../../core/kitchen/defaults';

/** A cook's hand as it is drawn and measured, what is not known of it filled in, mm: the palm follows its length until it is measured too. */
export function handOf(cook: CookFile = {}) {
  const lengthMm = cook.handLengthMm ?? DEFAULTS.handLengthMm;
  return {
    lengthMm,
    breadthMm: cook.palmBreadthMm ?? Math.round(lengthMm * DEFAULTS.palmPerHand),
    handed: cook.handed ?? ('right' as const),
    grip: cook.grip === 'handle' || cook.grip === 'fingertip' ? cook.grip : ('pinch' as const),
  };
}
export type Hand = ReturnType<typeof handOf>;
