import { useLocalStorage, useWindowEvent } from '@mantine/hooks';
import { useState } from 'react';
import { CARD_MM } from '../../core/measure/rectify';

/** What screens usually have, px for a millimetre: 96 dots an inch. */
export const USUAL_PX_PER_MM = 96 / 25.4;
const KEY = 'scabbard.px-per-mm';
const BOUNDS = [1.5, 12] as const;

/** Dots of the screen in a pixel: it changes with the zoom of the page. */
const zoomNow = (): number => globalThis.devicePixelRatio ?? 1;

/** A figure that a screen can have, or null; one that was found at another zoom is none. */
export function readScale(kept: string, zoom = 1): number | null {
  const [value, at = 1] = kept.split(' ').map(Number);
  if (value === undefined || Math.abs(at / zoom - 1) > 0.01) return null;
  return value >= BOUNDS[0] && value <= BOUNDS[1] ? value : null;
}

/** A scale as it is kept: with the zoom it holds for. */
export const writeScale = (pxPerMm: number, zoom: number): string => `${pxPerMm} ${zoom}`;

/**
 * The scale of this device's screen, px for a millimetre, as it was calibrated at the present zoom, null when it was not; and what keeps another.
 * Without a store it holds for this page alone.
 */
export function useScreenScale(): [number | null, (pxPerMm: number) => void] {
  const [kept, keep] = useLocalStorage({
    key: KEY,
    defaultValue: '',
    getInitialValueInEffect: false,
    serialize: (text) => text,
    deserialize: (text) => text ?? '',
  });
  const [zoom, setZoom] = useState(zoomNow);
  useWindowEvent('resize', () => setZoom(zoomNow()));
  return [readScale(kept, zoom), (pxPerMm) => keep(writeScale(pxPerMm, zoomNow()))];
}

/** Hand length, mm, from how many bank cards lie along it: whole cards and a rest. */
export function handFromCards(cards: number): number {
  return Math.round(cards * CARD_MM.width);
}

/** Keeps a mark inside its area and on whole half-millimetres. */
export function placedMark(mm: number, low: number, high: number): number {
  return Math.round(Math.min(high, Math.max(low, mm)) * 2) / 2;
}
