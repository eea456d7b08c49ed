import { addDays, addMonths, formatISO, isValid, set } from 'date-fns';

/** A day of the calendar, `2026-03-31`; it knows neither hours nor zones. */
export type Day = string;

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const written = (date: Parameters<typeof formatISO>[0]): Day => formatISO(date, { representation: 'date' });

/** A day as its first moment here. */
function startOf(day: Day) {
  const [year = NaN, month = NaN, date = NaN] = day.split('-').map(Number);
  return set(0, { year, month: month - 1, date, hours: 0, minutes: 0, seconds: 0, milliseconds: 0 });
}

/** Whether a text is a day there is: a thirtieth of February would be read as one of March. */
export const isDay = (text: string): boolean => {
  const date = startOf(text);
  return DAY.test(text) && isValid(date) && written(date) === text;
};

/**
 * So many whole days later; earlier where negative.
 *
 * @example daysLater('2026-02-27', 2) // '2026-03-01'
 */
export const daysLater = (day: Day, days: number): Day => written(addDays(startOf(day), Math.round(days)));

/** So many months later; the last day of a shorter month where it has none of that number. */
export const monthsLater = (day: Day, months: number): Day => written(addMonths(startOf(day), months));

/** The latest of some days; null where there are none. */
export const latestDay = (days: readonly Day[]): Day | null => [...days].sort().at(-1) ?? null;
