import { addDays, addMonths, differenceInCalendarDays, formatISO, isValid, parseISO } from 'date-fns';

/** A day of the calendar, `2026-03-31`; it knows neither hours nor zones. */
export type Day = string;

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const written = (date: Parameters<typeof formatISO>[0]): Day => formatISO(date, { representation: 'date' });

/** Whether a text is a day there is. */
export const isDay = (text: string): boolean => DAY.test(text) && isValid(parseISO(text));

/**
 * So many whole days later; earlier where negative.
 *
 * @example daysLater('2026-02-27', 2) // '2026-03-01'
 */
export const daysLater = (day: Day, days: number): Day => written(addDays(parseISO(day), Math.round(days)));

/** So many months later; the last day of a shorter month where it has none of that number. */
export const monthsLater = (day: Day, months: number): Day => written(addMonths(parseISO(day), months));

/** Days from one day to a later one. */
export const daysBetween = (from: Day, to: Day): number => differenceInCalendarDays(parseISO(to), parseISO(from));

/** The latest of some days; null where there are none. */
export const latestDay = (days: readonly Day[]): Day | null => [...days].sort().at(-1) ?? null;
