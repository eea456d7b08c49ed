import type { Day } from './day';

const DAY_MS = 24 * 60 * 60 * 1000;

/** Days from one day to a later one. Apart from what writes days, as the planner only counts them: a day alone is read in no zone but UTC. */
export const daysBetween = (from: Day, to: Day): number => (Date.parse(to) - Date.parse(from)) / DAY_MS;
