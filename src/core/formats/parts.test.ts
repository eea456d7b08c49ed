import { describe, expect, test } from 'vitest';
import { fileOf } from '../testing/trade';
import { FaultyInput } from './faults';
import { readKitchenFile } from './kitchenFile';
import { readStorageText } from './storageFile';

/** What a file may not say, part by part: each fault by its path, with what would be right. */

/** `path: message` of every fault. */
function faultsOf(read: () => unknown): string[] {
  try {
    read();
    return [];
  } catch (error) {
    if (!(error instanceof FaultyInput)) throw error;
    return error.faults.map(({ path, message }) => `${path}: ${message}`);
  }
}
const inKitchen = (more: object) => faultsOf(() => readKitchenFile({ ...fileOf(), ...more }));
const entry = (more: object) => ({ diary: [{ on: '2031-01-05', knife: 0, ...more }] });
const bench = (more: object) => ({
  trials: {
    bench: [{ on: '2031-01-05', knives: [{ model: 'a' }, { owned: 0 }], tasks: ['onion-dice'], runs: [], ...more }],
  },
});
const hand = (more: object) => ({ trials: { hand: [{ on: '2031-01-05', answers: {}, ...more }] } });
const run = (more: object) =>
  bench({ runs: [{ task: 'onion-dice', knife: 0, effort: 3, control: 3, result: 3, ...more }] });
const place = (more: object) =>
  faultsOf(() => readStorageText(JSON.stringify({ format: 'scabbard.storage', version: 1, places: [more] })));

describe('a diary', () => {
  test.each<[object, string]>([
    [{ did: 'honed' }, ''],
    [{ did: 'tested', test: 'tomato', result: 'clean' }, ''],
    [{ did: 'tested', test: 'thread', grams: 120 }, ''],
    [{ did: 'tested' }, 'diary[0]: was tested and lacks test: on what it was'],
    [{ did: 'tested', test: 'thread' }, 'diary[0]: was tested and lacks grams: the peak on the scale'],
    [{ did: 'tested', test: 'onion' }, 'diary[0]: was tested and lacks result'],
    [{ did: 'measured' }, 'diary[0]: was measured and lacks heelHeightMm'],
    [{ did: 'polished' }, 'diary[0].did: "polished" is not one of honed'],
    [{ did: 'honed', on: '2031-02-30' }, 'diary[0].on: "2031-02-30" is not a date such as 2026-03-31'],
    [{ did: 'honed', knife: 0.5 }, 'diary[0].knife: 0.5 is not a whole number between 0 and'],
    [{ did: 'sharpened', angleDeg: 3 }, 'diary[0].angleDeg: 3 is not between 5 and 50'],
    [{ did: 'used', note: ' ' }, 'diary[0].note: is empty; write something or leave it out'],
    [{ did: 'used', mood: 'fine' }, 'diary[0].mood: is not a key of this format'],
  ])('an entry %o: %s', (more, fault) => {
    const found = inKitchen(entry(more));
    expect(found.join('\n').startsWith(fault)).toBe(true);
    expect(found.length).toBe(fault === '' ? 0 : 1);
  });
});

describe('trials', () => {
  test.each<[string, object, string]>([
    ['of two knives', bench({}), ''],
    ['of one knife', bench({ knives: [{ model: 'a' }] }), 'trials.bench[0].knives: needs two or three knives'],
    [
      'of four',
      bench({ knives: Array.from({ length: 4 }, () => ({ model: 'a' })) }),
      'trials.bench[0].knives: has 4 entries; at most 3 fit',
    ],
    ['on nothing', bench({ tasks: [] }), 'trials.bench[0].tasks: needs at least one task'],
    [
      'of a knife named twice',
      bench({ knives: [{ model: 'a', owned: 0 }, { owned: 1 }] }),
      'trials.bench[0].knives[0]: names a knife by either model',
    ],
    [
      'of a knife without a name',
      bench({ knives: [{}, { owned: 1 }] }),
      'trials.bench[0].knives[0]: names a knife by either model',
    ],
    ['with a mark above five', run({ effort: 9 }), 'trials.bench[0].runs[0].effort: 9 is not between'],
    ['with half a mark', run({ control: 2.5 }), 'trials.bench[0].runs[0].control: 2.5 is not a whole number'],
    ['with a fourth knife', run({ knife: 3 }), 'trials.bench[0].runs[0].knife: 3 is not between 0 and 2'],
    [
      'that counts perhaps',
      { trials: { measuredCounts: 'perhaps' } },
      'trials.measuredCounts: "perhaps" is not true or false',
    ],
    ['of a model held', hand({ model: 'a' }), ''],
    ['of a label held', hand({ label: { name: 'Fair', type: 'gyuto' } }), ''],
    ['of nothing held', hand({}), 'trials.hand[0]: names a knife by either model'],
    [
      'of both held',
      hand({ model: 'a', label: { name: 'Fair', type: 'gyuto' } }),
      'trials.hand[0]: names a knife by either model',
    ],
    [
      'with too many answers',
      hand({ model: 'a', answers: Object.fromEntries(Array.from({ length: 41 }, (_, i) => [`a${i}`, 'x'])) }),
      'trials.hand[0].answers: has more than 40 answers',
    ],
  ])('%s', (_, more, fault) => {
    const found = inKitchen(more);
    expect(found.join('\n').startsWith(fault)).toBe(true);
    expect(found.length).toBe(fault === '' ? 0 : 1);
  });
});

describe('a place for knives', () => {
  const slot = { lengthMm: 200, heightMm: 40, thicknessMm: 4 };
  test.each<[string, object, RegExp | null]>([
    ['a block', { kind: 'block', slots: [slot] }, null],
    ['a block without a slot', { kind: 'block', slots: [] }, /^places\[0\]\.slots: is empty; describe one/],
    [
      'a slot too narrow',
      { kind: 'block', slots: [{ ...slot, thicknessMm: 0 }] },
      /^places\[0\]\.slots\[0\]\.thicknessMm: 0 is not between/,
    ],
    [
      'a tray of half a row',
      { kind: 'tray', lengthMm: 400, widthMm: 300, heightMm: 60, slats: 1.5 },
      /slats: 1\.5 is not a whole number/,
    ],
    ['a strip without its room', { kind: 'strip', lengthMm: 400 }, /^places\[0\]\.belowMm: nothing is not a number/],
    ['a shelf', { kind: 'shelf', lengthMm: 400 }, /^places\[0\]\.kind: /],
    [
      'a drawer with guards',
      { kind: 'drawer', lengthMm: 400, widthMm: 300, heightMm: 60, guards: [{ lengthMm: 210, heightMm: 50 }] },
      null,
    ],
    [
      'a roll with a pocket wider than any',
      { kind: 'roll', pockets: [{ lengthMm: 400, widthMm: 9000 }] },
      /widthMm: 9000 is not between/,
    ],
  ])('%s', (_, of, fault) => {
    const found = place(of);
    if (fault === null) expect(found).toEqual([]);
    else expect(found.join('\n')).toMatch(fault);
  });

  test('a file of another kind or a later version is refused as such', () => {
    expect(faultsOf(() => readStorageText('{"format":"scabbard.kitchen","version":1,"places":[]}'))[0]).toBe(
      'format: "scabbard.kitchen" is not "scabbard.storage"',
    );
    expect(faultsOf(() => readStorageText('{"format":"scabbard.storage","version":2,"places":[]}'))[0]).toBe(
      'version: 2 is not 1, the version this release reads',
    );
    expect(
      faultsOf(() => readStorageText('{"format":"scabbard.storage","version":1,"growth":1.2,"places":[]}'))[0],
    ).toBe('growth: 1.2 is not between 0 and 1');
  });
});
