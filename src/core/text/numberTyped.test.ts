import fc from 'fast-check';
import { expect, test } from 'vitest';
import { numberTyped, type NumberTyped } from './numberTyped';

const read = (text: string, decimal = '.', more: { whole?: boolean; bounds?: readonly [number, number] } = {}) =>
  numberTyped(text, { decimal, ...more });
const number = (value: number): NumberTyped => ({ said: 'number', value });

test.each([
  ['40', '.', 40],
  ['600', ',', 600],
  [' 1 500 ', '.', 1500],
  ['1’500.50', '.', 1500.5],
  ['€ 89', '.', 89],
  ['1,500', '.', 1500],
  ['1.500', ',', 1500],
  ['1,5', '.', 1.5],
  ['1.5', ',', 1.5],
  ['0.125', '.', 0.125],
  ['.5', '.', 0.5],
  ['5.', '.', 5],
  ['1,234,567.5', ',', 1_234_567.5],
  ['1.234.567', '.', 1_234_567],
  ['−12', '.', -12],
])('“%s” where %s parts decimals is %d', (text, decimal, value) => {
  expect(read(text, decimal)).toEqual(number(value));
});

test('a mark before three digits that could be either is left open, unless whole numbers or bounds decide', () => {
  expect(read('1.500', '.')).toEqual({ said: 'either', values: [1.5, 1500] });
  expect(read('1,500', ',')).toEqual({ said: 'either', values: [1.5, 1500] });
  expect(read('1.500', '.', { whole: true })).toEqual(number(1500));
  expect(read('1.500', '.', { bounds: [100, 2000] })).toEqual(number(1500));
  expect(read('1.500', '.', { bounds: [0, 20] })).toEqual(number(1.5));
});

test('an empty field and text that is no number are two different answers', () => {
  for (const text of ['', '  ', '\u00a0']) expect(read(text)).toEqual({ said: 'nothing' });
  for (const text of ['ten', '1.5.2', '12,34,56', '1,2.3,4', '-', '.', '5 mm', '1e3'])
    expect(read(text), text).toEqual({ said: 'else' });
});

test('whatever a language writes for a number is read back as that number, or as one of two', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('en-GB', 'de-DE', 'fr-FR', 'de-CH', 'sv-SE'),
      fc.integer({ min: -99_999_999, max: 99_999_999 }),
      fc.integer({ min: 0, max: 3 }),
      (language, digits, places) => {
        const value = digits / 10 ** places;
        const format = new Intl.NumberFormat(language, { minimumFractionDigits: places });
        const decimal =
          new Intl.NumberFormat(language).formatToParts(0.5).find((p) => p.type === 'decimal')?.value ?? '.';
        const said = read(format.format(value), decimal);
        if (said.said === 'either') expect(said.values).toContain(value);
        else expect(said).toEqual(number(value));
      },
    ),
  );
});
