import { expect, test } from 'vitest';
import { readDue, writeDue } from './dueDays';

test('days that are due are read as they were written; what is no day is left out', () => {
  const days = [
    { date: '2026-03-01', title: 'Sharpen chef’s knife' },
    { date: '2026-05-09', title: 'Oil nakiri' },
  ];
  expect(readDue(writeDue(days))).toEqual(days);
  expect(readDue(writeDue([{ date: '2026-03-01', title: 'Two\nlines\tand a tab' }]))).toEqual([
    { date: '2026-03-01', title: 'Two lines and a tab' },
  ]);
  expect(readDue('soon\tOil\n2026-03-01\n\n')).toEqual([]);
});
