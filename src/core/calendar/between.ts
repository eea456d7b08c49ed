import { differenceInCalendarDays } from 'date-fns';
import type { Day } from './day';

/** Days from one day to a later one. Apart from what writes days, as the planner only counts them. */
export const daysBetween = (from: Day, to: Day): number => differenceInCalendarDays(to, from);
