import type { Day } from '../../calendar/day';
import { openDaysBetween } from '../../calendar/openDays';
import type { KeennessTest } from '../../edge/learned';
import type { DiaryEntry } from '../../formats/diaryFile';
import type { Owned } from '../../kitchen/kitchen';

/** Entries about one owned knife, oldest first; those of a day in the order in which they were written. */
export const diaryOf = (diary: readonly DiaryEntry[], owned: number): DiaryEntry[] =>
  diary.filter(({ knife }) => knife === owned).sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));

/** Minutes of cutting between two days: those written down where there are any, else as many as the plan gives it in open months. */
function minutesBetween(
  diary: readonly DiaryEntry[],
  [from, to]: readonly [Day, Day],
  minutesPerWeek: number,
  closed: readonly number[],
): number {
  const used = diary.filter(({ did, on, minutes }) => did === 'used' && minutes !== undefined && on > from && on <= to);
  return used.length > 0
    ? used.reduce((sum, { minutes = 0 }) => sum + minutes, 0)
    : (openDaysBetween(from, to, closed) / 7) * minutesPerWeek;
}

/**
 * Tests of an edge with the work it had done by then. Those before any known sharpening say nothing, for nobody knows how keen the edge began.
 * `diary`: of this knife, oldest first; `minutesPerWeek`: its work by the plan, none of it in `closed` months, 1–12.
 */
export function testsOf(
  diary: readonly DiaryEntry[],
  { sharpenedOn }: Pick<Owned, 'sharpenedOn'>,
  minutesPerWeek: number,
  closed: readonly number[] = [],
): KeennessTest[] {
  return diary.flatMap(({ did, on, test, result, grams }, i): KeennessTest[] => {
    if (did !== 'tested' || test === undefined) return [];
    const before = diary.slice(0, i);
    const sharpened = before.findLast((entry) => entry.did === 'sharpened')?.on;
    const told = sharpenedOn !== undefined && sharpenedOn <= on ? sharpenedOn : undefined;
    const since = sharpened !== undefined && (told === undefined || sharpened > told) ? sharpened : told;
    if (since === undefined) return [];
    const worked = (to: Day) => minutesBetween(diary, [since, to], minutesPerWeek, closed);
    const honedAt = before
      .filter((entry) => entry.did === 'honed' && entry.on >= since)
      .map((entry) => worked(entry.on));
    return [{ minutes: worked(on), honedAt, test, result, grams }];
  });
}
