import { CARD_MM } from '../../core/measure/rectify';
import { expect, test } from 'vitest';
import { handFromCards, placedMark, readScale, USUAL_PX_PER_MM, writeScale } from './calibration';

test('a screen’s scale holds at the zoom it was found at, and nonsense in the store is no scale', () => {
  expect(readScale(writeScale(4.2, 1), 1)).toBe(4.2);
  expect(readScale(writeScale(4.2, 1), 1.5)).toBeNull();
  expect(readScale(writeScale(2.8, 1.5), 1.5)).toBe(2.8);
  for (const odd of ['', 'wide', '0', '-3', '99', 'Infinity']) expect(readScale(odd), odd).toBeNull();
  expect(readScale(String(USUAL_PX_PER_MM))).toBeCloseTo(3.78, 2);
});

test('two cards and a little are a hand, and marks stay where they can be', () => {
  expect(handFromCards(2)).toBe(171);
  expect(handFromCards(2.25)).toBeGreaterThan(185);
  expect(CARD_MM.width / CARD_MM.height).toBeCloseTo(1.586, 3);
  expect([placedMark(-4, 0, 200), placedMark(10.3, 0, 200), placedMark(500, 0, 200)]).toEqual([0, 10.5, 200]);
});
