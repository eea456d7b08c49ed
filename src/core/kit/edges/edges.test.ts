import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { daysBetween } from '../../calendar/between';
import { reference } from '../../../../data/reference';
import { daysLater, isDay, monthsLater } from '../../calendar/day';
import { edgeFileSchema } from '../../formats/edgeFile';
import type { KitchenFile, OwnedFile } from '../../formats/kitchenFile';
import { contextOf, fileOf } from '../../testing/trade';
import { planFrom } from '../plan/plan';
import { edgeReport, FIRST_DAY, newestDay } from './edgeReport';
import { gapUnderSpineMm } from './edgeKnives';
import { groupedVisits, type Due } from './visits';

const DAY = '2026-03-01';
const [low = 0, high = 0] = reference.types.get('chef')?.spineHeelMm ?? [];
const chefSpineMm = (low + high) / 2;
function reportOf(file: Partial<KitchenFile>, months = 12) {
  const context = contextOf({ budget: { total: 0 }, ...file });
  return edgeReport(context, planFrom(context), DAY, months);
}
const chef = (knife: Partial<OwnedFile> = {}): OwnedFile => ({
  type: 'chef',
  lengthMm: 200,
  condition: 'keen',
  steel: 'soft-stainless',
  ...knife,
});
const weeksOf = (file: Partial<KitchenFile>) => reportOf(file).knives[0]?.sharpen?.everyWeeks ?? 0;

describe('days', () => {
  test('are added and counted by the calendar, whatever the zone', () => {
    expect(daysLater('2026-02-27', 3)).toBe('2026-03-02');
    expect(monthsLater('2026-01-31', 1)).toBe('2026-02-28');
    expect(daysBetween('2026-03-01', '2027-03-01')).toBe(365);
    expect(['2026-02-29', '2026-13-01', '26-1-1', '2028-02-29'].map(isDay)).toEqual([false, false, false, true]);
  });
});

describe('how an edge fares', () => {
  const daily = { mealsPerWeek: 7 };
  test('daily home use: soft stainless every two to three months, hard every four to six, a seldom-used slicer yearly', () => {
    const stones = { habits: { sharpening: 'stones' as const, honing: 'steel' as const }, cooking: daily };
    const soft = weeksOf({ ...stones, owned: [chef()] });
    const hard = weeksOf({ ...stones, owned: [chef({ steel: 'hard-stainless' })] });
    expect(soft).toBeGreaterThan(8);
    expect(soft).toBeLessThan(20);
    expect(hard).toBeGreaterThan(1.4 * soft);
    const slicer = reportOf({ ...stones, owned: [chef(), { type: 'slicer', condition: 'keen' }] }).knives[1]?.sharpen;
    expect(slicer?.everyWeeks).toBeGreaterThan(45);
  });

  test('the gap under the spine is width × sin(angle) less half the spine', () => {
    expect(gapUnderSpineMm(45, 2, 15)).toBeCloseTo(10.6, 1);
    expect(gapUnderSpineMm(8, 6, 15)).toBe(0);
    const [knife] = reportOf({ owned: [chef({ heelHeightMm: 50 })], habits: { sharpening: 'stones' } }).knives;
    expect(knife?.sharpen?.spineHeightMm).toBeCloseTo(
      50 * Math.sin(((knife?.sharpen?.angleDeg ?? 0) * Math.PI) / 180) - chefSpineMm / 2,
      1,
    );
    expect(knife?.sharpen?.stones).toEqual(['stone-medium']);
  });

  test('keenness now follows the day of the last sharpening, and the condition that is told', () => {
    const now = (knife: Partial<OwnedFile>) => reportOf({ owned: [chef(knife)] }).knives[0]?.keennessNow ?? 0;
    expect(now({ sharpenedOn: DAY })).toBe(1);
    expect(now({ sharpenedOn: '2025-12-01' })).toBeLessThan(now({ sharpenedOn: '2026-02-01' }));
    expect(now({ condition: 'dull' })).toBe(0.4);
    expect(now({ condition: 'serviceable' })).toBeLessThanOrEqual(0.78);
  });

  test('serrated is replaced and never sharpened; where nobody sharpens nothing is due', () => {
    const bread = reportOf({ owned: [{ type: 'bread', condition: 'keen', boughtOn: '2020-06-01' }] });
    expect(bread.knives[0]?.sharpen).toBeNull();
    expect(bread.events.map(({ action }) => action)).toEqual(['replace']);
    expect(reportOf({ owned: [chef()], habits: { sharpening: 'none' } }).events).toEqual([]);
  });

  test('reactive steel that rests is oiled', () => {
    const owned = [{ type: 'slicer', condition: 'keen' as const, steel: 'plain-carbon' as const }];
    expect(reportOf({ owned }, 3).events.filter(({ action }) => action === 'oil').length).toBeGreaterThanOrEqual(2);
  });
});

describe('the calendar', () => {
  test('the first date comes sooner the longer ago an edge was put right; own stones are flattened first', () => {
    const first = (sharpenedOn: string) =>
      reportOf({ owned: [chef({ sharpenedOn })], habits: { sharpening: 'stones' } }).events.find(
        ({ action }) => action === 'sharpen',
      )?.date ?? '';
    expect(first('2026-01-15') < first('2026-02-25')).toBe(true);
    const actions = reportOf({ owned: [chef()], habits: { sharpening: 'stones' } }).events.map(({ action }) => action);
    expect(actions.slice(0, 2)).toEqual(['flatten', 'sharpen']);
  });

  test('the newest date of the file is where dates count from', () => {
    expect(newestDay(fileOf({}))).toBe(FIRST_DAY);
    expect(newestDay(fileOf({ owned: [chef({ boughtOn: '2025-04-01' }), chef({ sharpenedOn: '2025-06-02' })] }))).toBe(
      '2025-06-02',
    );
  });

  const due = (ref: string, date: string, everyWeeks = 26): Due => ({
    ref,
    date,
    minutesPerWeek: 30,
    everyWeeks,
    putRight: false,
  });

  test('edges due within weeks go together, those months apart do not, and a fresh edge is not ground for company', () => {
    expect(groupedVisits([due('a', '2026-03-01'), due('b', '2026-03-12')])).toHaveLength(1);
    expect(groupedVisits([due('a', '2026-03-01'), due('b', '2026-08-12')])).toHaveLength(2);
    expect(groupedVisits([due('a', '2026-03-01'), due('b', '2026-06-01', 13)])).toHaveLength(2);
  });

  test('every due edge is put right once in a visit of its own or with others, none twice in one', () => {
    const dues = fc.array(
      fc.record({
        ref: fc.constantFrom('a', 'b', 'c', 'd'),
        days: fc.integer({ min: 0, max: 700 }),
        everyWeeks: fc.integer({ min: 2, max: 60 }),
      }),
      { maxLength: 24 },
    );
    fc.assert(
      fc.property(dues, (rows) => {
        const all = rows.map(({ ref, days, everyWeeks }) => due(ref, daysLater(DAY, days), everyWeeks));
        const visits = groupedVisits(all);
        expect(visits.flatMap((visit) => visit.due)).toHaveLength(all.length);
        for (const visit of visits) {
          expect(new Set(visit.due.map(({ ref }) => ref)).size).toBe(visit.due.length);
          expect(visit.due.some(({ date }) => date === visit.date)).toBe(true);
        }
        expect(visits.length).toBeLessThanOrEqual(all.length);
      }),
    );
  });
});

test('five years: own stones eat least, machines most, pull-through leaves the coarsest edge; the report is what its format reads, the same each time', () => {
  const file: Parameters<typeof reportOf>[0] = {
    owned: [chef(), { type: 'paring', condition: 'dull' }],
    budget: { total: 200 },
  };
  const report = reportOf(file, 24);
  expect(reportOf(file, 24)).toEqual(report);
  const of = (method: string) => report.fiveYears.find((each) => each.method === method);
  expect(of('stones')?.heightLostMm).toBeLessThan(of('professional')?.heightLostMm ?? 0);
  expect(of('powered')?.heightLostMm).toBeGreaterThan(of('pull-through')?.heightLostMm ?? 0);
  expect(of('pull-through')?.averageKeenness).toBeLessThan(of('powered')?.averageKeenness ?? 0);
  expect(edgeFileSchema.parse(report)).toEqual(report);
  const refs = new Set(report.knives.map(({ ref }) => ref));
  for (const { ref, date } of report.events)
    expect([refs.has(ref), isDay(date), date >= DAY]).toEqual([true, true, true]);
  expect([...report.events].sort((a, b) => a.date.localeCompare(b.date)).map(({ date }) => date)).toEqual(
    report.events.map(({ date }) => date),
  );
});

test('what a blade can lose is bounded: where more is ground away, blades are replaced and charged', () => {
  const busy = {
    cooksAtOnce: 2,
    owned: [chef()],
    cooking: { mealsPerWeek: 40, portions: 8 },
    habits: { sharpening: 'powered' as const },
  };
  const { fiveYears, knives } = reportOf(busy);
  const of = (method: string) => fiveYears.find((each) => each.method === method);
  expect(of('powered')?.replaced).toBeGreaterThan(1);
  expect(of('powered')?.heightLostMm).toBe(6);
  expect(of('powered')?.cost).toBeGreaterThan(of('stones')?.cost ?? Infinity);
  expect(knives[0]?.stoneMinutesPerYear).toBe(0);
  const own = reportOf({ ...busy, habits: { sharpening: 'stones', honing: 'steel' } });
  expect(own.knives[0]?.touchUp).toEqual({ with: 'steel', everyDays: 1 });
  const { everyWeeks = 1 } = own.knives[0]?.sharpen ?? {};
  // eight minutes for the knife, fifteen for setting up
  expect((own.knives[0]?.stoneMinutesPerYear ?? 0) / ((52 / everyWeeks) * 23)).toBeCloseTo(1, 0.5);
});
