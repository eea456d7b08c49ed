import { CARD_MM } from '../../core/measure/rectify';
import { afterEach, expect, test, vi } from 'vitest';
import { handFromCards, placedMark, readScale, savedScale, saveScale, USUAL_PX_PER_MM } from './calibration';

afterEach(() => vi.unstubAllGlobals());

test('a screen’s scale is kept for the device, and nonsense in the store is no scale', () => {
  const store = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => store.get(key) ?? null,
    setItem: (key: string, value: string) => store.set(key, value),
  });
  expect(savedScale()).toBeNull();
  saveScale(4.2);
  expect(savedScale()).toBe(4.2);
  vi.stubGlobal('devicePixelRatio', 1.5);
  expect(savedScale()).toBeNull();
  saveScale(2.8);
  expect(savedScale()).toBe(2.8);
  for (const odd of ['', 'wide', '0', '-3', '99', 'Infinity']) expect(readScale(odd), odd).toBeNull();
  expect(readScale(String(USUAL_PX_PER_MM))).toBeCloseTo(3.78, 2);
});

test('a store that is forbidden only costs the keeping', () => {
  vi.stubGlobal('localStorage', {
    getItem: () => {
      throw new Error('forbidden');
    },
    setItem: () => {
      throw new Error('forbidden');
    },
  });
  expect(savedScale()).toBeNull();
  expect(() => saveScale(4)).not.toThrow();
});

test('two cards and a little are a hand, and marks stay where they can be', () => {
  expect(handFromCards(2)).toBe(171);
  expect(handFromCards(2.25)).toBeGreaterThan(185);
  expect(CARD_MM.width / CARD_MM.height).toBeCloseTo(1.586, 3);
  expect([placedMark(-4, 0, 200), placedMark(10.3, 0, 200), placedMark(500, 0, 200)]).toEqual([0, 10.5, 200]);
});
