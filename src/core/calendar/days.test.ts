import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { daysBetween } from './between';
import { daysLater, isDay, latestDay, monthsLater } from './day';
import { openDaysBetween, openDaysLater } from './openDays';

const day = fc.integer({ min: 0, max: 40_000 }).map((days) => daysLater('1990-01-01', days));
const some = fc.integer({ min: 0, max: 900 });
const closed = fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { maxLength: 11 });

describe('days of the calendar', () => {
  test('are counted as they are added, over every month, leap year and change of clocks', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -900, max: 900 }), (from, days) => {
        const to = daysLater(from, days);
        expect(isDay(to)).toBe(true);
        expect(daysBetween(from, to)).toBe(days);
        expect(to > from).toBe(days > 0);
        expect(daysLater(to, -days)).toBe(from);
      }),
    );
  });

  test('so many months later it is the same day, or the last of a shorter month', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: 0, max: 60 }), (from, months) => {
        const to = monthsLater(from, months);
        const [year = 0, month = 0, date = 0] = from.split('-').map(Number);
        const [toYear = 0, toMonth = 0, toDate = 0] = to.split('-').map(Number);
        expect(12 * toYear + toMonth).toBe(12 * year + month + months);
        expect(toDate === date || daysLater(to, 1).endsWith('-01')).toBe(true);
        expect(toDate).toBeLessThanOrEqual(date);
      }),
    );
  });

  test.each(['2026-02-30', '2025-02-29', '2026-13-01', '2026-1-1', '', 'today', '2026-04-31', '20260401'])(
    '%s is none',
    (text) => {
      expect(isDay(text)).toBe(false);
    },
  );

  test('the latest is that, and there is none of none', () => {
    fc.assert(
      fc.property(fc.array(day, { minLength: 1 }), (days) => {
        const latest = latestDay(days);
        expect(days.every((each) => each <= (latest ?? ''))).toBe(true);
        expect(days).toContain(latest);
      }),
    );
    expect(latestDay([])).toBeNull();
  });
});

describe('days on which a kitchen is open', () => {
  test('are all where no month or every month is closed', () => {
    fc.assert(
      fc.property(day, some, (from, days) => {
        for (const months of [[], [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]]) {
          expect(openDaysBetween(from, daysLater(from, days), months)).toBe(days);
          expect(openDaysLater(from, days, months)).toBe(daysLater(from, days));
        }
      }),
    );
  });

  test('are those counted one by one, and so many later is an open day', () => {
    fc.assert(
      fc.property(day, some, closed, (from, days, months) => {
        const isOpen = (each: string) => !months.includes(Number(each.slice(5, 7)));
        const to = daysLater(from, days);
        const byHand = Array.from({ length: days }, (_, i) => daysLater(from, i)).filter(isOpen).length;
        expect(openDaysBetween(from, to, months)).toBe(byHand);
        const later = openDaysLater(from, days, months);
        expect(months.length === 0 || isOpen(later)).toBe(true);
        expect(openDaysBetween(from, later, months)).toBe(days);
      }),
      { numRuns: 60 },
    );
  });
});
