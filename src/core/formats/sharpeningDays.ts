import { z } from '../zod';
import { date } from './fields';

/** Most days a calendar holds. */
export const MAX_SHARPENING_DAYS = 1000;

/** What is due on a day: a line for the calendar, and why. */
export const sharpeningDaySchema = z.strictObject({
  date,
  title: z.string().trim().min(1).max(500),
  why: z.string().max(2000),
});
export type SharpeningDay = z.infer<typeof sharpeningDaySchema>;

export const sharpeningDaysSchema = z.strictObject({ days: z.array(sharpeningDaySchema).max(MAX_SHARPENING_DAYS) });
