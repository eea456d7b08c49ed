import { EDGE_CALENDAR } from '../../constants';
import { daysBetween, type Day } from '../../calendar/day';
import { openDaysLater } from '../../calendar/openDays';

/** An edge that is due on a day; `minutesPerWeek` is the work a dull one would do badly. */
export interface Due {
  ref: string;
  date: Day;
  minutesPerWeek: number;
  /** Weeks between two sharpenings of it. */
  everyWeeks: number;
  /** It is put right for the first time: it was dull before. */
  putRight: boolean;
}

/** A day on which some edges are put right together. */
export interface Visit {
  date: Day;
  due: Due[];
}

/** What putting an edge right on another day costs, in the measure of a visit: dullness borne where late, price and steel where early. */
function borne(due: Due, date: Day): number {
  const weeks = daysBetween(due.date, date) / 7;
  const { lateWeek, earlyCycle } = EDGE_CALENDAR;
  return weeks >= 0
    ? weeks * lateWeek.value * Math.sqrt(Math.max(1, due.minutesPerWeek))
    : (-weeks / Math.max(1, due.everyWeeks)) * earlyCycle.value;
}

/** The day for a run of edges that bears least, and what it bears: one of their own days. */
function bestDay(run: readonly Due[]): { date: Day; cost: number } {
  let best = { date: run[0]?.date ?? '', cost: Infinity };
  for (const { date } of run) {
    const cost = run.reduce((sum, due) => sum + borne(due, date), 0);
    if (cost < best.cost) best = { date, cost };
  }
  return best;
}

/**
 * Edges that are due grouped into visits: of all ways of parting their days into runs the one that costs least, a visit counted as one, dullness borne
 * and steel ground away too early beside it. By dynamic programming over the runs, the days in their order; the same edge never twice in a run.
 */
export function groupedVisits(dues: readonly Due[]): Visit[] {
  const sorted = [...dues].sort((a, b) => a.date.localeCompare(b.date) || a.ref.localeCompare(b.ref));
  const n = sorted.length;
  const least: { cost: number; from: number; date: Day }[] = [{ cost: 0, from: 0, date: '' }];
  for (let to = 1; to <= n; to++) {
    let best = { cost: Infinity, from: to - 1, date: '' };
    const seen = new Set<string>();
    for (let from = to - 1; from >= 0; from--) {
      const added = sorted[from];
      if (!added || seen.has(added.ref)) break;
      seen.add(added.ref);
      const { date, cost } = bestDay(sorted.slice(from, to));
      const total = (least[from]?.cost ?? Infinity) + EDGE_CALENDAR.visit.value + cost;
      if (total < best.cost) best = { cost: total, from, date };
      if (daysBetween(added.date, sorted[to - 1]?.date ?? '') > EDGE_CALENDAR.widestDays.value) break;
    }
    least.push(best);
  }
  const visits: Visit[] = [];
  for (let to = n; to > 0;) {
    const { from, date } = least[to] ?? { from: to - 1, date: '' };
    visits.unshift({ date, due: sorted.slice(from, to) });
    to = from;
  }
  return visits;
}

/** The days on which something is due again and again from a first day on, until another; days in `closed` months, 1–12, are not counted. */
export function everyFrom(first: Day, everyDays: number, until: Day, closed: readonly number[] = []): Day[] {
  const days: Day[] = [];
  for (let i = 0; ; i++) {
    const day = openDaysLater(first, i * everyDays, closed);
    if (day > until) return days;
    days.push(day);
  }
}
