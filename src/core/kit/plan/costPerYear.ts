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
