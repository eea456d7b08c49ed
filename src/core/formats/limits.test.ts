import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyKitchen } from '../testing/arbitrary';
import { faultLine, Faults, FaultyInput, pathName, shown, unknownId } from './faults';
import { parseJson } from './json';
import { emptyKitchen, MAX_FILE_BYTES, readKitchenFile, readKitchenText } from './kitchenFile';

const head = { format: 'scabbard.kitchen', version: 1 };
const told = (value: object): string[] => {
  try {
    readKitchenFile({ ...head, ...value });
  } catch (error) {
    if (error instanceof FaultyInput) return error.faults.map(faultLine);
    throw error;
  }
  return [];
};
const many = <T>(n: number, each: T): T[] => Array.from({ length: n }, () => each);

describe('limits of the kitchen file', () => {
  test.each<[string, object, object]>([
    ['12 cooks', { cooks: many(12, {}) }, { cooks: many(13, {}) }],
    [
      '400 dishes',
      { cooking: { dishes: many(400, { id: 'x', times: 1, per: 'week' }) } },
      { cooking: { dishes: many(401, { id: 'x', times: 1, per: 'week' }) } },
    ],
    [
      '400 tasks',
      { cooking: { tasks: many(400, { id: 'x', times: 1, per: 'week' }) } },
      { cooking: { tasks: many(401, { id: 'x', times: 1, per: 'week' }) } },
    ],
    ['60 owned knives', { owned: many(60, { type: 'chef' }) }, { owned: many(61, { type: 'chef' }) }],
    ['12 knives to buy', { limits: { maxKnives: 12 } }, { limits: { maxKnives: 13 } }],
    ['hand lengths', { cooks: [{ handLengthMm: 260 }] }, { cooks: [{ handLengthMm: 260.5 }] }],
    ['whole cooks at once', { cooksAtOnce: 2 }, { cooksAtOnce: 1.5 }],
    ['names', { name: 'x'.repeat(80) }, { name: 'x'.repeat(81) }],
  ])('%s fit, one more does not and the fault says what fits', (_what, fits, over) => {
    expect(told(fits)).toEqual([]);
    expect(told(over).join(' ')).toMatch(/at most|not between|whole number/);
  });

  test('two megabytes are the most, and a byte order mark is nothing', () => {
    expect(() => readKitchenText(' '.repeat(MAX_FILE_BYTES + 1))).toThrow('larger than 2 MB');
    expect(readKitchenText(`\uFEFF${JSON.stringify(emptyKitchen('Marked'))}`).name).toBe('Marked');
  });

  test('empty and blank things are refused where something must be said', () => {
    expect(told({ cooks: [] })).toEqual(['cooks: is empty; describe at least one cook or leave it out']);
    expect(told({ name: '  ' })).toEqual(['name: is empty; write something or leave it out']);
    expect(told({ owned: [{}] })[0]).toContain('owned[0].type: is missing');
  });

  test('a number that is none, a list that is none, an object that is none: each by its path', () => {
    expect(told({ cooks: {} })).toEqual(['cooks: {} is not a list']);
    expect(told({ board: [] })).toEqual(['board: [] is not an object in braces']);
    expect(told({ habits: { dishwasher: 'yes' } })).toEqual(['habits.dishwasher: "yes" is not true or false']);
    expect(told({ cooking: { mealsPerWeek: Infinity } })[0]).toContain('cooking.mealsPerWeek');
  });

  test('any kitchen survives being written and read', () => {
    fc.assert(
      fc.property(anyKitchen, (file) => {
        const text = JSON.stringify(file);
        expect(readKitchenText(text)).toEqual(JSON.parse(text));
      }),
    );
  });
});

describe('telling faults', () => {
  test('paths are written as people write them', () => {
    expect(pathName([])).toBe('file');
    expect(pathName(['cooks', 0, 'handLengthMm'])).toBe('cooks[0].handLengthMm');
    expect(pathName([3, 'x'])).toBe('[3].x');
  });

  test('a fault is one line whatever it holds', () => {
    expect(faultLine({ path: 'a', message: 'is\n  wrong' })).toBe('a: is wrong');
    fc.assert(
      fc.property(fc.anything(), (value) => {
        expect(shown(value).length).toBeLessThanOrEqual(40);
        expect(shown(value)).not.toContain('\n');
      }),
    );
  });

  test('the nearest known ids are offered, and none when nothing is near', () => {
    expect(unknownId('nakir', ['nakiri', 'santoku'], 'type')).toBe('"nakir" is not a known type; did you mean nakiri?');
    expect(unknownId('zzzzzz', ['nakiri', 'santoku'], 'type')).toBe('"zzzzzz" is not a known type');
    expect(unknownId('cat', ['bat', 'hat', 'mat', 'rat'], 'animal').match(/ or /g)).toHaveLength(2);
  });

  test('many faults are told in a few words: the first hundred, and how many more', () => {
    const faults = new Faults();
    for (let i = 0; i < 5000; i++) faults.check(`a[${i}]`, 'nakir', new Set(['nakiri']), 'type');
    const told = faults.list();
    expect(told).toHaveLength(101);
    expect(told[0]?.message).toContain('did you mean nakiri?');
    expect(told[99]?.message).not.toContain('did you mean');
    expect(told[100]).toEqual({ path: 'file', message: 'has 4900 more faults like these, or more still' });
  });

  test('deep nesting and too many values are refused before they are parsed, strings apart', () => {
    const deep = (n: number) => `${'['.repeat(n)}${']'.repeat(n)}`;
    expect(() => parseJson(deep(500_000))).toThrow('nested more than 32 levels deep');
    expect(() => parseJson(deep(33))).toThrow('nested');
    expect(parseJson(deep(32))).toBeInstanceOf(Array);
    expect(parseJson(JSON.stringify('[{,"\\'.repeat(100), null, 1), 1)).toContain('[{,');
    expect(() => parseJson('[1,2,3]', 2)).toThrow('holds more than 2 values');
    expect(parseJson('[1,2,3]', 3)).toEqual([1, 2, 3]);
    const keys = (n: number) =>
      JSON.stringify([Object.fromEntries(Array.from({ length: n }, (_, i) => [`k${i}`, 0])), {}]);
    expect(() => parseJson(keys(201))).toThrow('more than 200 keys in one place');
    expect(parseJson(keys(200))).toHaveLength(2);
  });

  test('text that cannot be stored is refused with its place; any other is read', () => {
    const place = (value: unknown) => {
      try {
        parseJson(JSON.stringify(value));
      } catch (error) {
        return error instanceof FaultyInput ? error.faults[0]?.path : 'none';
      }
      return null;
    };
    expect(place({ a: [{ b: 'x\0' }] })).toBe('a[0].b');
    expect(place({ a: { '\ud800': 1 } })).toBe('a');
    expect(place(['\udc00\ud83d'])).toBe('[0]');
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        // a list beside it has as many values as it likes
        parseJson(JSON.stringify([value, Array.from({ length: 300 }, () => 0)]));
        expect(parseJson(JSON.stringify(value))).toEqual(JSON.parse(JSON.stringify(value)));
      }),
    );
  });

  test('what is not JSON is told as such, never as a stack', () => {
    for (const text of ['', '{', '[1,]', 'undefined', '<html>'])
      expect(() => parseJson(text)).toThrow(/^file: is not JSON \(.*\); check the last edit$/);
  });
});
