import ICAL from 'ical.js';
import { expect, test } from 'vitest';
import type { EdgeEvent } from '../../core/formats/edgeFile';
import { calendarOf } from '../../core/formats/calendarText';
import { asSharpeningDay, dueDays } from './sharpeningDays';

const events: EdgeEvent[] = [
  {
    date: '2026-05-01',
    ref: 'owned-0',
    action: 'visit',
    why: 'Take 2 knives along: one trip keeps them all sharp.',
  },
  { date: '2026-05-01', ref: 'owned-0', action: 'sharpen', why: 'Due about every 13 weeks.' },
  {
    date: '2026-05-01',
    ref: 'step-1',
    action: 'sharpen',
    why: 'Due about every 16 weeks; commas, semicolons and a long line that has to be folded somewhere.',
  },
  { date: '2026-12-31', ref: 'step-2', action: 'oil', why: 'Reactive steel that rests.' },
];
const names: Record<string, string> = {
  'owned-0': 'Gyuto, 210 mm',
  'step-1': 'Paring knife, 80 mm',
  'step-2': 'Slicer, 300 mm',
};

test('what is due on a day stands in one sentence, and the calendar is read by a strict reader', () => {
  const days = dueDays(events, (ref) => names[ref] ?? ref);
  expect(days.map(({ title }) => title)).toEqual([
    'Go to the sharpener; sharpen gyuto, 210 mm, paring knife, 80 mm',
    'Oil slicer, 300 mm',
  ]);
  const told = days.map(asSharpeningDay);
  const calendarText = () =>
    calendarOf({ kitchen: 'Mill;\nrace, flat', id: 'k1', days: told, made: '2026-03-01T10:00:00Z' });
  const text = calendarText();
  expect(text).toContain('NAME:Edges: Mill\\; race\\, flat\r\n');
  expect(text.split('\r\n').every((line) => new TextEncoder().encode(line).length <= 75)).toBe(true);
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  const read = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  expect(read.map((each) => [each.startDate.toString(), each.endDate.toString(), each.startDate.isDate])).toEqual([
    ['2026-05-01', '2026-05-02', true],
    ['2026-12-31', '2027-01-01', true],
  ]);
  expect(read[0]?.summary).toBe(days[0]?.title);
  expect(new Set(read.map(({ uid }) => uid)).size).toBe(2);
  expect(calendarText()).toBe(text);
});
