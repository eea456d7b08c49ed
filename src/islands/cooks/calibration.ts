/** A bank card by ISO/IEC 7810 ID-1, mm. */
export const CARD_MM = { width: 85.6, height: 53.98 } as const;
/** What screens usually have, px for a millimetre: 96 dots an inch. */
export const USUAL_PX_PER_MM = 96 / 25.4;
const KEY = 'scabbard.px-per-mm';
const BOUNDS = [1.5, 12] as const;

/** A figure that a screen can have, or null. */
export function readScale(stored: string | null): number | null {
  const value = Number(stored ?? NaN);
  return value >= BOUNDS[0] && value <= BOUNDS[1] ? value : null;
}

/** The scale of this device's screen, px for a millimetre, as it was calibrated; null when it was not. */
export function savedScale(): number | null {
  try {
    return readScale(localStorage.getItem(KEY));
  } catch {
    return null;
  }
}

/** Keeps the scale on this device. */
export function saveScale(pxPerMm: number): void {
  try {
    localStorage.setItem(KEY, String(pxPerMm));
  } catch {
    // without a store the scale holds for this page alone
  }
}

/** Hand length, mm, from how many bank cards lie along it: whole cards and a rest. */
export function handFromCards(cards: number): number {
  return Math.round(cards * CARD_MM.width);
}

/** Keeps a mark inside its area and on whole half-millimetres. */
export function placedMark(mm: number, low: number, high: number): number {
  return Math.round(Math.min(high, Math.max(low, mm)) * 2) / 2;
}
