import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import type { StoragePlace } from '../formats/storageFile';
import { arrange } from './arrange';
import { knifeIn, pictureOf, spotUnder } from './picture';
import { thingOf } from './things';

const PLACES: StoragePlace[] = [
  {
    kind: 'block',
    slots: [
      { lengthMm: 330, heightMm: 110, thicknessMm: 12 },
      { lengthMm: 330, heightMm: 20, thicknessMm: 12 },
    ],
  },
  { kind: 'tray', lengthMm: 520, widthMm: 320, heightMm: 80, slats: null },
  { kind: 'tray', lengthMm: 520, widthMm: 160, heightMm: 120, slats: 4 },
  { kind: 'drawer', lengthMm: 520, widthMm: 320, heightMm: 80, guards: [{ lengthMm: 360, heightMm: 120 }] },
  { kind: 'strip', lengthMm: 500, belowMm: 300 },
  {
    kind: 'roll',
    pockets: [
      { lengthMm: 520, widthMm: 60 },
      { lengthMm: 520, widthMm: 120 },
    ],
  },
];
const model = fc.constantFrom(...shippedModels);
const place = fc.constantFrom(...PLACES);

/** Half a stroke, mm. */
const LINE = 0.6;

test('a knife where it is placed is drawn inside its box, and its box inside what it lies in', () => {
  let drawn = 0;
  fc.assert(
    fc.property(model, place, (blade, where) => {
      const thing = thingOf('step-1', blade.name, blade);
      const at = arrange([thing], [where]).placed[0]?.where;
      if (!at) return;
      drawn++;
      const { drawing, place: to, box } = knifeIn(thing, blade, at, where, blade.lengthMm);
      for (const shape of drawing.shapes)
        for (const point of shape.points) {
          const { x, y } = to(point);
          expect(x).toBeGreaterThanOrEqual(box.x - LINE);
          expect(x).toBeLessThanOrEqual(box.x + box.wide + LINE);
          expect(y).toBeGreaterThanOrEqual(box.y - LINE);
          expect(y).toBeLessThanOrEqual(box.y + box.deep + LINE);
        }
      const { wide, deep, body } = pictureOf(where, blade.lengthMm);
      // handles stand before a block, blades over a strip and tips over the rim of a low row of slots
      if (!body || where.kind === 'block') return;
      expect([box.x >= -LINE, box.x + box.wide <= wide + LINE]).toEqual([true, true]);
      expect([box.y >= -LINE, box.y + box.deep <= deep + LINE]).toEqual([true, true]);
    }),
    { numRuns: 200 },
  );
  expect(drawn).toBeGreaterThan(60);
});

test('a knife held over where it lies stays there', () => {
  fc.assert(
    fc.property(model, place, (blade, where) => {
      const thing = thingOf('step-1', blade.name, blade);
      const at = arrange([thing], [where]).placed[0]?.where;
      if (!at) return;
      const { box } = knifeIn(thing, blade, at, where);
      const spot = spotUnder(thing, where, { x: box.x + box.wide / 2, y: box.y + box.deep / 2 }, at.turned);
      expect(spot.slot ?? 0).toBe(at.slot ?? 0);
      // to the millimetre, and drawn to a wall that is near
      expect(Math.abs((spot.xMm ?? 0) - (at.xMm ?? 0))).toBeLessThanOrEqual(5);
      expect(Math.abs((spot.yMm ?? 0) - (at.yMm ?? 0))).toBeLessThanOrEqual(5);
    }),
    { numRuns: 200 },
  );
});

test('cells lie under one another without touching, and each has its name', () => {
  for (const where of PLACES) {
    const { cells, deep } = pictureOf(where, 270);
    cells.forEach((cell, i) => {
      const next = cells[i + 1];
      expect(cell.y + cell.deep, where.kind).toBeLessThanOrEqual((next ? next.y : deep) + 1e-9);
    });
    expect(new Set(cells.map(({ name }) => name)).size).toBe(cells.length);
    expect(cells.length === 1 || cells.every(({ name }) => /\d$/.test(name))).toBe(true);
  }
  // a longer knife over a strip asks for more of the wall
  const strip = PLACES[4];
  if (!strip) throw new Error('no strip');
  expect(pictureOf(strip, 300).deep).toBeGreaterThan(pictureOf(strip, 150).deep);
});

test('a knife near the wall is drawn to it, and none is laid past one', () => {
  const [, tray] = PLACES;
  const blade = shippedModels.find(({ id }) => id === 'oskavel-gyuto-210');
  if (!tray || !blade) throw new Error('no tray');
  const thing = thingOf('owned-0', blade.name, blade);
  const over = (x: number, y: number) => spotUnder(thing, tray, { x, y }, false);
  expect(over(thing.longMm / 2 + 4, thing.highMm / 2 - 4)).toEqual({ xMm: 0, yMm: 0, turned: false });
  expect(over(thing.longMm / 2 + 20, thing.highMm / 2 + 30)).toMatchObject({ xMm: 20, yMm: 30 });
  expect(over(520 - thing.longMm / 2 - 3, -200)).toEqual({ xMm: 520 - thing.longMm, yMm: 0, turned: false });
});
