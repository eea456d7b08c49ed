import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { daysLater, monthsLater } from '../../calendar/day';
import { edgeFileSchema } from '../../formats/edgeFile';
import { wildKitchen } from '../../testing/arbitrary';
import { preparePlanning } from '../context/planningContext';
import { firstPlan } from '../plan/planKitchen';
import { knivesOf } from '../plan/refs';
import { edgeReport } from './edgeReport';

/** What holds of the edges of any kitchen. */

const KITCHENS = 45;
const FROM = '2031-02-17';
const day = fc.integer({ min: 0, max: 900 }).map((ago) => daysLater(FROM, -ago));
const asked = fc.record({
  file: wildKitchen,
  months: fc.integer({ min: 1, max: 30 }),
  closed: fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { maxLength: 3 }),
  sharpened: fc.array(day, { maxLength: 8 }),
});

function reportOf({ file, months, closed, sharpened }: Parameters<Parameters<typeof asked.map>[0]>[0]) {
  const owned = file.owned?.map((each, i) => ({ ...each, ...(sharpened[i] ? { sharpenedOn: sharpened[i] } : {}) }));
  const laid = preparePlanning({ ...file, owned, closedMonths: closed }, reference, shippedModels);
  const { plan, context } = firstPlan(laid);
  return { months, closed, plan, context, report: edgeReport(context, plan, FROM, months) };
}
const reports = fc.sample(asked, KITCHENS).map(reportOf);
const holds = (property: (of: ReturnType<typeof reportOf>) => void) => reports.forEach(property);

test('the report is what its format reads, and has every knife of the kit once', () => {
  holds(({ report, plan, context }) => {
    expect(edgeFileSchema.safeParse(report).error).toBeUndefined();
    expect(report.knives.map(({ ref }) => ref)).toEqual(knivesOf(context, plan).map(({ ref }) => ref));
  });
});

test('copies of one model are knives of their own and share its work', () => {
  holds(({ report, plan }) => {
    const models = new Map(plan.steps.map(({ order, model }) => [`step-${order}`, model]));
    for (const one of report.knives)
      for (const other of report.knives)
        if (models.has(one.ref) && models.get(one.ref) === models.get(other.ref))
          expect(one.minutesPerWeek).toBe(other.minutesPerWeek);
  });
});

test('what is due lies within the time, in order, is of a knife that is there, and in no month that is closed', () => {
  holds(({ report, months, closed }) => {
    const until = monthsLater(FROM, months);
    const refs = new Set(report.knives.map(({ ref }) => ref));
    report.events.forEach(({ date, ref, why }, i) => {
      expect(date >= FROM).toBe(true);
      // what falls into closed months is moved to the next open one
      expect(date < until || closed.length > 0).toBe(true);
      expect(date >= (report.events[i - 1]?.date ?? '')).toBe(true);
      expect(refs.has(ref)).toBe(true);
      expect(closed).not.toContain(Number(date.slice(5, 7)));
      expect(why).toMatch(/[.:]/);
    });
  });
});

test('only what can be sharpened is, by whom the kitchen says, and oil goes on what rusts', () => {
  holds(({ report, context }) => {
    const { sharpening } = context.kitchen.habits;
    const by = new Map(report.knives.map((knife) => [knife.ref, knife]));
    for (const { action, ref } of report.events) {
      const knife = by.get(ref);
      if (action === 'sharpen') expect(knife?.sharpen).not.toBeNull();
      if (action === 'flatten') expect(sharpening).toBe('stones');
      if (action === 'visit') expect(sharpening === 'professional' || context.service !== null).toBe(true);
    }
    if (sharpening === 'none' && !context.service)
      expect(report.events.filter(({ action }) => action === 'sharpen')).toEqual([]);
  });
});

test('keenness lies within its bounds, and a day that is due within the days between which it lies', () => {
  holds(({ report }) => {
    for (const { keennessNow, keennessBetween, due, averageKeenness } of report.knives) {
      expect(averageKeenness).toBeGreaterThan(0);
      if (keennessNow !== null && keennessBetween !== null) {
        expect(keennessNow).toBeGreaterThanOrEqual(keennessBetween[0] - 1e-6);
        expect(keennessNow).toBeLessThanOrEqual(keennessBetween[1] + 1e-6);
      }
      if (due) expect(due.between[0] <= due.on && due.on <= due.between[1]).toBe(true);
    }
  });
});

test('five years of own stones eat no more than a machine does, and no way of sharpening is free of its tools', () => {
  holds(({ report }) => {
    const of = (method: string) => report.fiveYears.find((each) => each.method === method);
    expect(report.fiveYears.map(({ method }) => method).sort()).toEqual([
      'powered',
      'professional',
      'pull-through',
      'stones',
    ]);
    expect(of('stones')?.heightLostMm).toBeLessThanOrEqual((of('powered')?.heightLostMm ?? 0) + 1e-9);
    // where nothing can be sharpened no tools are bought
    for (const { cost, tools } of report.fiveYears) expect(cost === 0 || cost >= tools - 1e-9).toBe(true);
  });
});

test('a longer time begins with what a shorter one holds', () => {
  holds(({ report, plan, context, months, closed }) => {
    if (closed.length > 0) return;
    const longer = edgeReport(context, plan, FROM, months + 6);
    const sharpened = (events: typeof report.events) =>
      events
        .filter(({ action, date }) => action === 'oil' && date < monthsLater(FROM, months))
        .map(({ date, ref }) => `${date} ${ref}`);
    expect(sharpened(longer.events)).toEqual(sharpened(report.events));
    expect(longer.fiveYears).toEqual(report.fiveYears);
  });
});
