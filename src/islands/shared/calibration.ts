import { CARD_MM } from '../../core/measure/rectify';

/** What screens usually have, px for a millimetre: 96 dots an inch. */
export const USUAL_PX_PER_MM = 96 / 25.4;
const KEY = 'scabbard.px-per-mm';
const BOUNDS = [1.5, 12] as const;

/** Dots of the screen in a pixel: it changes with the zoom of the page. */
const zoomNow = (): number => globalThis.devicePixelRatio ?? 1;

/** A figure that a screen can have, or null; one that was found at another zoom is none. */
export function readScale(stored: string | null, zoom = 1): number | null {
  const [value, at = 1] = (stored ?? '').split(' ').map(Number);
  if (value === undefined || Math.abs(at / zoom - 1) > 0.01) return null;
  return value >= BOUNDS[0] && value <= BOUNDS[1] ? value : null;
}

/** The scale of this device's screen, px for a millimetre, as it was calibrated at the present zoom; null when it was not. */
export function savedScale(): number | null {
  try {
    return readScale(localStorage.getItem(KEY), zoomNow());
  } catch {
    return null;
  }
}

/** Keeps the scale on this device, with the zoom it holds for. */
export function saveScale(pxPerMm: number): void {
  try {
    localStorage.setItem(KEY, `${pxPerMm} ${zoomNow()}`);
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
