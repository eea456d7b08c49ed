import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import type { KitchenFile } from '../../formats/kitchenFile';
import { daysBetween } from '../../calendar/between';
import { wildKitchen } from '../../testing/arbitrary';
import { preparePlanning } from '../context/planningContext';
import { packRoll } from '../travel/packing';
import { readDrawer } from './drawer';
import { reportOfUse } from './used';

/** What holds of any drawer: read as it lies, packed for elsewhere, and used. */

const KITCHENS = 25;
const away = fc.record({
  pockets: fc.option(
    fc.array(fc.record({ lengthMm: fc.integer({ min: 150, max: 480 }), widthMm: fc.integer({ min: 20, max: 80 }) }), {
      minLength: 1,
      maxLength: 4,
    }),
    { nil: undefined },
  ),
  maxWeightG: fc.option(fc.integer({ min: 100, max: 1500 }), { nil: undefined }),
  board: fc.option(fc.record({ material: fc.constantFrom('glass' as const, 'wood' as const) }), { nil: undefined }),
});
const uses = fc.array(fc.record({ knife: fc.nat(7), days: fc.nat(60) }), { maxLength: 25 });

const laidOut = (file: KitchenFile) => preparePlanning(file, reference, shippedModels);
const drawers = fc
  .sample(fc.record({ file: wildKitchen, away, uses }), KITCHENS)
  .map((each) => ({ ...each, context: laidOut(each.file) }));

test('every knife is judged once, and each task goes to one of them at most', () => {
  for (const { file, context } of drawers) {
    const { knives, coverage } = readDrawer(context);
    expect(knives.map(({ owned }) => owned)).toEqual((file.owned ?? []).map((_, i) => i));
    const tasks = knives.flatMap(({ doesBest }) => doesBest.map(({ task }) => task));
    expect(new Set(tasks).size).toBe(tasks.length);
    expect(coverage).toBeGreaterThanOrEqual(0);
    expect(coverage).toBeLessThanOrEqual(1);
    for (const { minutesPerWeek, why } of knives) {
      expect(minutesPerWeek).toBeGreaterThanOrEqual(0);
      expect(why).toMatch(/[.!]$/);
    }
  }
});

test('what is put right gives something back for a price, what is keen is not, and what is past it is retired', () => {
  for (const { file, context } of drawers)
    for (const { owned, verdict, givesBack } of readDrawer(context).knives) {
      const condition = file.owned?.[owned]?.condition ?? 'serviceable';
      if (verdict === 'sharpen') expect(condition).toBe('dull');
      if (verdict === 'repair') expect(condition).toBe('chipped');
      if (condition === 'worn-out') expect(verdict).toBe('retire');
      if (condition === 'keen') expect(['keep', 'give-away']).toContain(verdict);
      if (givesBack) {
        expect(givesBack.coverage).toBeGreaterThanOrEqual(0);
        expect(givesBack.price).toBeGreaterThanOrEqual(0);
      }
    }
});

test('a roll takes what its pockets and the weight allow, each knife once, and what it takes covers no more than all', () => {
  for (const { file, away: where, context } of drawers) {
    const packing = packRoll(file, where, context);
    const taken = packing.taken.map(({ owned }) => owned);
    const all = [...taken, ...packing.left.map(({ owned }) => owned)].sort((a, b) => a - b);
    expect(all).toEqual((file.owned ?? []).map((_, i) => i));
    expect(new Set(packing.taken.map(({ pocket }) => pocket)).size).toBe(taken.length);
    if (where.pockets) expect(taken.length).toBeLessThanOrEqual(where.pockets.length);
    if (where.maxWeightG) expect(packing.weightG).toBeLessThanOrEqual(where.maxWeightG);
    expect(packing.coverage).toBeLessThanOrEqual(packing.withAll + 1e-9);
    expect(packing.home.while).toBeLessThanOrEqual(packing.home.before + 1e-9);
    for (const { why } of packing.left) expect(why.length).toBeGreaterThan(10);
    for (const { from, to } of packing.home.worse) expect(to).toBeLessThan(from);
  }
});

test('uses are counted, shares sum to one where anything was drawn, and a knife that is not there is not counted', () => {
  for (const { file, uses: drawn } of drawers) {
    const many = file.owned?.length ?? 0;
    const diary = drawn
      .filter(({ knife }) => knife < many)
      .map(({ knife, days }) => ({
        knife,
        did: 'used' as const,
        on: `2031-0${1 + Math.floor(days / 28)}-${String(1 + (days % 28)).padStart(2, '0')}`,
      }));
    const used = { ...file, diary };
    const report = reportOfUse(laidOut(used), used);
    expect(report.uses).toBe(diary.length);
    const days = diary.map(({ on }) => on).sort();
    if (diary.length > 0) expect(report.days).toBe(daysBetween(days[0] ?? '', days.at(-1) ?? '') + 1);
    expect(report.knives.reduce((sum, { uses: count }) => sum + count, 0)).toBe(diary.length);
    if (diary.length > 0) expect(report.knives.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
    for (const { share, reckoned } of report.knives) {
      expect(share).toBeGreaterThanOrEqual(0);
      expect(reckoned).toBeLessThanOrEqual(1 + 1e-9);
    }
  }
});
