import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { lowerFirst, upperFirst } from './case';
import { figure } from './figure';
import { lately, latelyOf } from './lately';

describe('a figure', () => {
  test.each<[number, number | undefined, string]>([
    [18.5, undefined, '18.5'],
    [60, undefined, '60'],
    [60.00000000000001, undefined, '60'],
    [183.4567, undefined, '183.5'],
    [0.25, 2, '0.25'],
    [2.5, 0, '3'],
    [-0.04, undefined, '0'],
  ])('%d with at most %s decimals is %s', (value, digits, said) => {
    expect(figure(value, digits)).toBe(said);
  });

  test('is never further from what it stands for than half of its last place', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), fc.integer({ min: 0, max: 4 }), (value, digits) => {
        expect(Math.abs(Number(figure(value, digits)) - value)).toBeLessThanOrEqual(0.5 * 10 ** -digits + 1e-9);
        expect(figure(value, digits)).not.toMatch(/\.\d*0$|\.$/);
      }),
    );
  });
});

test('a sentence begins with a capital and goes on without one, whatever letter it is', () => {
  expect([upperFirst('öl'), lowerFirst('Öl'), upperFirst(''), lowerFirst('A')]).toEqual(['Öl', 'öl', '', 'a']);
  fc.assert(
    fc.property(fc.string(), (text) => {
      expect(upperFirst(text).slice(1)).toBe(text.slice(1));
      expect(lowerFirst(upperFirst(lowerFirst(text)))).toBe(lowerFirst(text));
    }),
  );
});

describe('what was met lately', () => {
  test('is the same object for the same text, as long as it is among the last few', () => {
    const met = lately<object>(3);
    const [a, b] = [met('a', () => ({})), met('b', () => ({}))];
    expect(met('a', () => ({}))).toBe(a);
    met('c', () => ({}));
    met('d', () => ({}));
    // asked for again, a was met later than b
    expect(met('a', () => ({}))).toBe(a);
    expect(met('b', () => ({}))).not.toBe(b);
  });

  test('is kept apart for each of the objects it belongs to', () => {
    const met = latelyOf<object>(2);
    const [one, other] = [{}, {}];
    const found = met(one, 'a', () => ({}));
    expect(met(other, 'a', () => ({}))).not.toBe(found);
    expect(met(one, 'a', () => ({}))).toBe(found);
  });

  test('however many are asked for, none is made while it is remembered', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(9), { maxLength: 60 }), fc.integer({ min: 1, max: 5 }), (keys, most) => {
        const met = lately<number>(most);
        let made = 0;
        const last: number[] = [];
        for (const key of keys) {
          const before = made;
          met(String(key), () => ++made);
          const at = last.indexOf(key);
          expect(made === before).toBe(at >= 0);
          if (at >= 0) last.splice(at, 1);
          last.push(key);
          if (last.length > most) last.shift();
        }
      }),
    );
  });
});
