import { UPKEEP } from '../../constants';
import type { EdgeLife } from '../../edge/keenness';
import { ramp } from '../../fit/curves';
import type { Habits } from '../../kitchen/kitchen';

/** Sharpenings a year of an edge that is put right every so many weeks; 0 where it never is. */
export const sharpeningsPerYear = ({ sharpenEveryWeeks }: Pick<EdgeLife, 'sharpenEveryWeeks'>): number =>
  sharpenEveryWeeks === null ? 0 : 52 / sharpenEveryWeeks;

/** Years a knife lasts, an estimate: serrated ones by use, others until sharpening has eaten the allowed height (handbook 6.2). */
export function yearsOfLife(isSerrated: boolean, edge: EdgeLife, sharpening: Habits['sharpening']): number {
  const { serrated, longestLife, allowedLoss, heightLost } = UPKEEP;
  if (isSerrated) {
    const use = ramp(edge.minutesPerWeek, 0, serrated.heavyMinutes.value);
    return serrated.lightYears.value + (serrated.heavyYears.value - serrated.lightYears.value) * use;
  }
  const lost = sharpeningsPerYear(edge) * heightLost[sharpening].value;
  return lost > 0 ? Math.min(longestLife.value, allowedLoss.value / lost) : longestLife.value;
}

/** Blades of a knife's like that its use wears out in a year, an estimate: one half where it lasts two years. Age alone wears none out. */
export function wornPerYear(isSerrated: boolean, edge: EdgeLife, sharpening: Habits['sharpening']): number {
  if (isSerrated) return 1 / yearsOfLife(true, edge, sharpening);
  return (sharpeningsPerYear(edge) * UPKEEP.heightLost[sharpening].value) / UPKEEP.allowedLoss.value;
}

/**
 * Minutes a year at one's own stones, for each of some edges: a while for the knife, and its share of setting up, which is done once a session for
 * whatever is due.
 */
export function stoneMinutesOf(edges: readonly EdgeLife[]): number[] {
  const { knife, setUp } = UPKEEP.stoneMinutes;
  const times = edges.map(sharpeningsPerYear);
  const all = times.reduce((sum, each) => sum + each, 0);
  const sessions = Math.max(0, ...times);
  return times.map((each) => (each > 0 ? knife.value * each + (setUp.value * sessions * each) / all : 0));
}

/** Price over years of life plus sharpening, minor units a year, an estimate. `eventMinor`: one sharpening. */
export function costPerYearMinor(
  isSerrated: boolean,
  priceMinor: number,
  edge: EdgeLife,
  sharpening: Habits['sharpening'],
  eventMinor: number,
): number {
  return priceMinor / yearsOfLife(isSerrated, edge, sharpening) + sharpeningsPerYear(edge) * eventMinor;
}
