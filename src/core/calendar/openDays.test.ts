import fc from 'fast-check';
import { expect, test } from 'vitest';
import { daysBetween } from './between';
import { daysLater } from './day';
import { openDaysBetween, openDaysLater } from './openDays';

test('closed months are not counted, and nothing falls into them', () => {
  expect(openDaysBetween('2026-06-20', '2026-09-10', [7, 8])).toBe(11 + 9);
  expect(openDaysLater('2026-06-20', 20, [7, 8])).toBe('2026-09-10');
  expect(openDaysLater('2026-07-05', 0, [7])).toBe('2026-08-01');
  expect(openDaysBetween('2026-01-01', '2026-12-31', [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])).toBe(364);
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 3000 }),
      fc.integer({ min: 0, max: 900 }),
      fc.subarray([1, 2, 5, 7, 8, 12]),
      (from, days, closed) => {
        const start = openDaysLater(daysLater('2026-01-01', from), 0, closed);
        const end = openDaysLater(start, days, closed);
        expect(closed).not.toContain(Number(end.slice(5, 7)));
        expect(openDaysBetween(start, end, closed)).toBe(days);
        if (closed.length === 0) expect(daysBetween(start, end)).toBe(days);
      },
    ),
  );
});
