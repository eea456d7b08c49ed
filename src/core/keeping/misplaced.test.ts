import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { StoragePlace } from '../formats/storageFile';
import { whyNotThere } from './misplaced';
import type { Spot } from './places';
import type { Thing } from './things';

/** A knife of round figures: a blade of 200 × 45 mm and a handle of 120 mm. */
const knife: Thing = {
  ref: 'owned-0',
  name: 'chef’s knife',
  bladeMm: 200,
  heelMm: 45,
  spineMm: 3,
  longMm: 320,
  highMm: 50,
  thickMm: 18,
  handleMm: 120,
};
const paring: Thing = {
  ...knife,
  ref: 'owned-1',
  name: 'paring knife',
  bladeMm: 90,
  heelMm: 20,
  longMm: 190,
  highMm: 25,
};
const at = (spot: Partial<Spot>): Spot => ({ turned: false, ...spot });

const block: StoragePlace = { kind: 'block', slots: [{ lengthMm: 200, heightMm: 45, thicknessMm: 3 }] };
const slot = (change: object): StoragePlace => ({
  kind: 'block',
  slots: [{ lengthMm: 200, heightMm: 45, thicknessMm: 3, ...change }],
});
const roll: StoragePlace = { kind: 'roll', pockets: [{ lengthMm: 320, widthMm: 50 }] };
const strip: StoragePlace = { kind: 'strip', lengthMm: 300, belowMm: 200 };
const tray: StoragePlace = { kind: 'tray', lengthMm: 400, widthMm: 200, heightMm: 30, slats: null };
const slats: StoragePlace = { kind: 'tray', lengthMm: 400, widthMm: 120, heightMm: 60, slats: 2 };
const drawer = (...guards: { lengthMm: number; heightMm: number }[]): StoragePlace => ({
  kind: 'drawer',
  lengthMm: 400,
  widthMm: 200,
  heightMm: 40,
  guards,
});

test.each<[string, Spot, StoragePlace, string | null]>([
  ['a slot just large enough', at({ slot: 0 }), block, null],
  ['a slot that is not there', at({ slot: 3 }), block, 'There is no such slot.'],
  ['too short a slot', at({ slot: 0 }), slot({ lengthMm: 190 }), 'Its blade is 10 mm longer than the slot.'],
  ['too low a slot', at({ slot: 0 }), slot({ heightMm: 40 }), 'Its blade is 5 mm taller than the slot.'],
  ['too thin a slot', at({ slot: 0 }), slot({ thicknessMm: 2 }), 'At 3 mm its spine is too thick for the slot.'],
  ['a pocket just large enough', at({ slot: 0 }), roll, null],
  ['a pocket that is not there', at({}), roll, 'There is no such pocket.'],
  [
    'too narrow a pocket',
    at({ slot: 0 }),
    { kind: 'roll', pockets: [{ lengthMm: 320, widthMm: 49 }] },
    'The pocket takes 320 × 49 mm; it needs 320 × 50.',
  ],
  ['along a strip', at({ xMm: 250 }), strip, null],
  ['past the end of a strip', at({ xMm: 270 }), strip, 'It sticks out by 20 mm.'],
  ['before its beginning', at({ xMm: -7 }), strip, 'It sticks out by 7 mm.'],
  ['a strip low over the counter', at({ xMm: 0 }), { ...strip, belowMm: 100 }, 'handle would touch'],
  ['flat in a tray', at({ xMm: 80, yMm: 150 }), tray, null],
  ['turned it is too long', at({ xMm: 0, yMm: 0, turned: true }), tray, 'It sticks out by 120 mm.'],
  ['too thick for a tray', at({ xMm: 0, yMm: 0 }), { ...tray, heightMm: 10 }, 'It is 8 mm too thick.'],
  ['between slats', at({ slot: 1, xMm: 80 }), slats, null],
  ['a row that is not there', at({ slot: 2, xMm: 0 }), slats, 'There is no such row.'],
  ['too high for slats', at({ slot: 0, xMm: 0 }), { ...slats, heightMm: 20 }, 'too high, or too thick'],
  ['past the end of a row', at({ slot: 0, xMm: 81 }), slats, 'It sticks out by 1 mm.'],
  ['in a drawer, guarded', at({ xMm: 0, yMm: 0 }), drawer({ lengthMm: 210, heightMm: 50 }), null],
  ['in a drawer, bare', at({ xMm: 0, yMm: 0 }), drawer({ lengthMm: 150, heightMm: 50 }), 'No guard is left'],
])('%s', (_, spot, place, words) => {
  const why = whyNotThere(knife, spot, place, []);
  if (words === null) expect(why).toBeNull();
  else expect(why).toContain(words);
});

test('where another lies it is named, beside it there is room', () => {
  const there = 'There lies the paring knife.';
  const held = (spot: Partial<Spot>) => [{ thing: paring, at: at(spot) }];
  expect(whyNotThere(knife, at({ slot: 0 }), block, held({ slot: 0 }))).toBe(there);
  expect(whyNotThere(knife, at({ xMm: 30 }), strip, held({ xMm: 0 }))).toBe(there);
  expect(whyNotThere(knife, at({ xMm: 40 }), strip, held({ xMm: 0 }))).toBeNull();
  expect(whyNotThere(knife, at({ slot: 0, xMm: 50 }), slats, held({ slot: 0, xMm: 0 }))).toBe(there);
  expect(whyNotThere(knife, at({ slot: 1, xMm: 50 }), slats, held({ slot: 0, xMm: 0 }))).toBeNull();
  expect(whyNotThere(knife, at({ xMm: 0, yMm: 24 }), tray, held({ xMm: 0, yMm: 0 }))).toBe(there);
  expect(whyNotThere(knife, at({ xMm: 0, yMm: 25 }), tray, held({ xMm: 0, yMm: 0 }))).toBeNull();
});

test('one guard covers one blade', () => {
  const guard = { lengthMm: 210, heightMm: 50 };
  const beside = [{ thing: paring, at: at({ xMm: 0, yMm: 120 }) }];
  expect(whyNotThere(knife, at({ xMm: 0, yMm: 0 }), drawer(guard), beside)).toContain('No guard is left');
  expect(whyNotThere(knife, at({ xMm: 0, yMm: 0 }), drawer(guard, guard), beside)).toBeNull();
});

test('what lies further out than it may is always told, by how much', () => {
  fc.assert(
    fc.property(fc.integer({ min: 81, max: 300 }), fc.integer({ min: 1, max: 80 }), (past, before) => {
      expect(whyNotThere(knife, at({ xMm: past, yMm: 0 }), tray, [])).toBe(`It sticks out by ${past - 80} mm.`);
      expect(whyNotThere(knife, at({ xMm: 0, yMm: -before }), tray, [])).toBe(`It sticks out by ${before} mm.`);
    }),
  );
});
