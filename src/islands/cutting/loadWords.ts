import type { Cutting } from '../../workers/stock';

type Load = Pick<Cutting['loads'][number], 'task' | 'group' | 'minutesPerWeek' | 'share'>;

/** Minutes a week by group of tasks, most first. */
export function byGroup(loads: readonly Load[]): { group: string; minutes: number }[] {
  const sums = new Map<string, number>();
  for (const { group, minutesPerWeek } of loads) sums.set(group, (sums.get(group) ?? 0) + minutesPerWeek);
  return [...sums].map(([group, minutes]) => ({ group, minutes })).sort((a, b) => b.minutes - a.minutes);
}

/** Minutes as a cook says them: 45 min, 2 h 10 min. */
export function asTime(minutes: number): string {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  if (hours === 0) return `${whole} min`;
  return whole % 60 === 0 ? `${hours} h` : `${hours} h ${whole % 60} min`;
}

/** Two tasks of this kitchen that show what the exponent does: the one with most minutes, and one with a tenth of them or less. */
export function liveExample(
  loads: readonly Load[],
): { most: Load; least: Load; timesMinutes: number; timesWeight: number } | null {
  const weighed = loads.filter((l) => l.share > 0).sort((a, b) => b.minutesPerWeek - a.minutesPerWeek);
  const [most] = weighed;
  const least = weighed.find((l) => most && l.minutesPerWeek <= most.minutesPerWeek / 10);
  if (!most || !least) return null;
  return {
    most,
    least,
    timesMinutes: most.minutesPerWeek / least.minutesPerWeek,
    timesWeight: most.share / least.share,
  };
}
