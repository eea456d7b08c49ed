import { EDGE_CALENDAR } from '../../constants';
import { daysLater, monthsLater, type Day } from '../../calendar/day';
import type { EdgeCare } from '../../edge/keenness';
import type { EdgeEvent } from '../../formats/edgeFile';
import { isIdle, nextDue, startOf } from './due';
import { yearsLeft, type KeptKnife } from './edgeKnives';
import { byDay, everyFrom, groupedVisits, type Due } from './visits';

const DAYS_A_WEEK = 7;
const DAYS_A_YEAR = 365.25;

/** Days on which an edge is due, its first when it will have done its work since it was last put right. */
function duesOf(knife: KeptKnife, from: Day, until: Day): Due[] {
  const { ref, edge, putRight, closed } = knife;
  const next = nextDue(knife, from);
  if (edge.sharpenEveryWeeks === null || !next) return [];
  const every = Math.max(1, Math.round(edge.sharpenEveryWeeks * DAYS_A_WEEK));
  const days = isIdle(knife) ? [next.on].filter((day) => day <= until) : everyFrom(next.on, every, until, closed);
  return days.map((date, i) => ({
    ref,
    date,
    minutesPerWeek: edge.minutesPerWeek,
    everyWeeks: edge.sharpenEveryWeeks ?? 0,
    putRight: putRight && i === 0,
  }));
}

/** What is due of a kitchen's knives from one day until another, in the order of the days. */
export function edgeEvents(
  knives: readonly KeptKnife[],
  care: EdgeCare,
  from: Day,
  until: Day,
  closedMonths: readonly number[] = [],
): EdgeEvent[] {
  const dues = knives.flatMap((knife) => duesOf(knife, from, until));
  const events = [
    ...(care.sharpening === 'pull-through' ? dues.map((due) => sharpened(due, due.date)) : sessions(dues, care)),
    ...knives.flatMap((knife) => replacements(knife, care, from, until)),
    ...knives.flatMap((knife) => oilings(knife, from, until)),
  ];
  return outOfMonths(events, closedMonths).sort(
    (a, b) => byDay(a, b) || RANK[a.action] - RANK[b.action] || byRef(a.ref, b.ref),
  );
}
const byRef = new Intl.Collator('en', { numeric: true }).compare;

/** Events moved out of months in which nothing is cooked, to the first day of the next open one; none where it never is. */
function outOfMonths(events: EdgeEvent[], closed: readonly number[]): EdgeEvent[] {
  if (closed.length === 0) return events;
  const months = new Set(closed);
  if (months.size >= 12) return [];
  return events.map((event) => {
    let { date } = event;
    while (months.has(Number(date.slice(5, 7)))) date = monthsLater(`${date.slice(0, 7)}-01`, 1);
    return date === event.date ? event : { ...event, date, why: `${event.why} Moved: the kitchen is closed before.` };
  });
}
const RANK: Record<EdgeEvent['action'], number> = { visit: 0, flatten: 1, sharpen: 2, replace: 3, oil: 4 };

function sharpened({ ref, minutesPerWeek, everyWeeks, putRight }: Due, date: Day): EdgeEvent {
  const weeks = Math.max(1, Math.round(everyWeeks));
  const often = `about every ${weeks === 1 ? 'week' : `${weeks} weeks`} at ${Math.round(minutesPerWeek)} minutes a week`;
  return {
    date,
    ref,
    action: 'sharpen',
    why: putRight ? `The plan puts it right first; from then on ${often}.` : `Due ${often}.`,
  };
}

/** Sharpening days: a visit to the professional, or a session at one's own stones, flattened first. */
function sessions(dues: readonly Due[], { sharpening }: EdgeCare): EdgeEvent[] {
  return groupedVisits(dues).flatMap(({ date, due }): EdgeEvent[] => {
    const most = [...due].sort((a, b) => b.minutesPerWeek - a.minutesPerWeek)[0]?.ref ?? '';
    const many = due.length === 1 ? 'one knife' : `${due.length} knives`;
    const day: EdgeEvent[] =
      sharpening === 'stones'
        ? [{ date, ref: most, action: 'flatten', why: `Flatten the stones before a session for ${many}.` }]
        : sharpening === 'professional'
          ? [
              {
                date,
                ref: most,
                action: 'visit',
                why: due.length === 1 ? 'One knife is due.' : `Take ${many} along: one trip keeps them all sharp.`,
              },
            ]
          : [];
    return [...day, ...due.map((each) => sharpened(each, date))];
  });
}

/** When a knife is worn out, where that falls into the time. */
function replacements(knife: KeptKnife, care: EdgeCare, from: Day, until: Day): EdgeEvent[] {
  const date = daysLater(startOf(knife, from), Math.round(yearsLeft(knife, care, from) * DAYS_A_YEAR));
  if (date > until) return [];
  const why = knife.blade.serrated
    ? 'Its teeth are worn by then: it is replaced, not sharpened.'
    : knife.owned?.condition === 'worn-out'
      ? 'It is worn out.'
      : 'Sharpening has eaten its height by then: thin it or replace it.';
  return [{ date: date < from ? from : date, ref: knife.ref, action: 'replace', why }];
}

/** Reactive steel is oiled, unless it is in the hand so often that it never rests. */
function oilings(knife: KeptKnife, from: Day, until: Day): EdgeEvent[] {
  const { rusts, restsBelow, everyDays } = EDGE_CALENDAR;
  if (knife.blade.steel.rustProof > rusts.value || knife.edge.minutesPerWeek >= restsBelow.value) return [];
  const why = 'Reactive steel that rests: wipe it with food-safe oil, and look for red rust.';
  return everyFrom(daysLater(startOf(knife, from), everyDays.value), everyDays.value, until).map((date) => ({
    date,
    ref: knife.ref,
    action: 'oil' as const,
    why,
  }));
}
