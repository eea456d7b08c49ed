import ical from 'ical-generator';
import { daysLater } from '../calendar/day';
import type { SharpeningDay } from './sharpeningDays';

/** What a calendar is made of. */
export interface CalendarMade {
  /** Name of the kitchen. */
  kitchen: string;
  /** Id of the kitchen: entries keep their ids whenever the calendar is made, so that reading it again changes them and adds none. */
  id: string;
  days: readonly SharpeningDay[];
  /** When the days were worked out, ISO 8601. */
  made: string;
}

/** A name in a calendar's head, which the package writes as it is: one line, with the signs escaped that mean something there (RFC 5545, 3.3.11). */
const named = (name: string) =>
  name
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/[\\;,]/g, '\\$&');

/** Days of sharpening as iCalendar text: one whole-day entry each. */
export function calendarOf({ kitchen, id, days, made }: CalendarMade): string {
  const calendar = ical({
    name: `Edges: ${named(kitchen)}`,
    prodId: { company: 'Scabbard', product: 'Edges', language: 'EN' },
  });
  for (const { date, title, why } of days)
    calendar.createEvent({
      id: `${id}-${date}@scabbard`,
      start: `${date}T00:00:00Z`,
      end: `${daysLater(date, 1)}T00:00:00Z`,
      allDay: true,
      stamp: made,
      summary: title.replace(/\s+/g, ' '),
      description: why,
    });
  return calendar.toString();
}
