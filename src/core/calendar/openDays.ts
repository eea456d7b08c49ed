import { daysBetween } from './between';
import { daysLater, monthsLater, type Day } from './day';

const isOpen = (day: Day, closed: readonly number[]): boolean => !closed.includes(Number(day.slice(5, 7)));
const nextMonth = (day: Day): Day => monthsLater(`${day.slice(0, 7)}-01`, 1);
const knowsTime = (closed: readonly number[]): boolean => closed.length > 0 && new Set(closed).size < 12;

/** Days from one day to a later one on which the kitchen is open; `closed` months, 1–12, are not counted. All count where every month is closed. */
export function openDaysBetween(from: Day, to: Day, closed: readonly number[]): number {
  if (!knowsTime(closed) || to <= from) return daysBetween(from, to);
  let [day, open] = [from, 0];
  while (day < to) {
    const next = nextMonth(day);
    const end = next < to ? next : to;
    if (isOpen(day, closed)) open += daysBetween(day, end);
    day = end;
  }
  return open;
}

/** The day on which so many days have passed that the kitchen was open; never in a closed month. */
export function openDaysLater(day: Day, days: number, closed: readonly number[]): Day {
  if (!knowsTime(closed)) return daysLater(day, days);
  let [at, left] = [day, Math.round(days)];
  for (;;) {
    const next = nextMonth(at);
    if (!isOpen(at, closed)) at = next;
    else if (left < daysBetween(at, next)) return daysLater(at, left);
    else {
      left -= daysBetween(at, next);
      at = next;
    }
  }
}
