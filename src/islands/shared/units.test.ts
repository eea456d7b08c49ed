import fc from 'fast-check';
import { expect, test } from 'vitest';
import { lengthsIn } from './units';

const inches = lengthsIn('inches');

test('sentences come in inches: single lengths, ranges and boards; other figures stay', () => {
  expect(inches.told('270 mm lies in the length you want, 240–280 mm.')).toBe(
    '10.6 in lies in the length you want, 9.4–11.0 in.',
  );
  expect(inches.told('A wood board of 400 × 300 mm.')).toBe('A wood board of 15.7 × 11.8 in.');
  expect(inches.told('0.25 mm behind the edge, 15° a side, 58 HRC')).toBe(
    '0.01 in behind the edge, 15° a side, 58 HRC',
  );
  expect(inches.told('5 mmol and 12 meals')).toBe('5 mmol and 12 meals');
  expect(lengthsIn('mm').told('270 mm')).toBe('270 mm');
});

test('what is shown in inches and typed back is the same length to a quarter of a millimetre', () => {
  fc.assert(
    fc.property(fc.integer({ min: 10, max: 1500 }), (mm) => {
      expect(Math.abs(inches.toMm(inches.fromMm(mm)) - mm)).toBeLessThanOrEqual(0.25);
      expect(lengthsIn('mm').toMm(lengthsIn('mm').fromMm(mm))).toBe(mm);
    }),
  );
});
