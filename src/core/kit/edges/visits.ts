import { EDGE_CALENDAR } from '../../constants';
import { daysBetween } from '../../calendar/between';
import type { Day } from '../../calendar/day';
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

/** The order of days. */
export const byDay = (a: { date: Day }, b: { date: Day }): number => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0);

/** An edge that is due, its day counted from the first of all. */
interface Counted {
  due: Due;
  day: number;
  /** What a week of its dullness costs, and what a week too early does. */
  late: number;
  early: number;
}

function counted(dues: readonly Due[]): Counted[] {
  const sorted = [...dues].sort((a, b) => byDay(a, b) || (a.ref < b.ref ? -1 : 1));
  const first = sorted[0]?.date ?? '';
  const { lateWeek, earlyCycle } = EDGE_CALENDAR;
  return sorted.map((due) => ({
    due,
    day: daysBetween(first, due.date),
    late: lateWeek.value * Math.sqrt(Math.max(1, due.minutesPerWeek)),
    early: earlyCycle.value / Math.max(1, due.everyWeeks),
  }));
}

/** What putting an edge right on another day costs, in the measure of a visit: dullness borne where late, price and steel where early. */
const borne = ({ day, late, early }: Counted, on: number): number =>
  on >= day ? ((on - day) / 7) * late : ((day - on) / 7) * early;

/**
 * Edges that are due grouped into visits: of all ways of parting their days into runs the one that costs least, a visit counted as one, dullness borne
 * and steel ground away too early beside it; a visit is on one of its edges' own days. By dynamic programming over the runs, the days in their order; the
 * same edge never twice in a run.
 */
export function groupedVisits(dues: readonly Due[]): Visit[] {
  const sorted = counted(dues);
  const least: { cost: number; from: number; on: number }[] = [{ cost: 0, from: 0, on: 0 }];
  for (let to = 1; to <= sorted.length; to++) {
    let best = { cost: Infinity, from: to - 1, on: to - 1 };
    const last = sorted[to - 1]?.day ?? 0;
    const seen = new Set<string>();
    // what the run costs on the day of each of its edges, the last of them first
    const costs: number[] = [];
    for (let from = to - 1; from >= 0; from--) {
      const added = sorted[from];
      if (!added || seen.has(added.due.ref)) break;
      seen.add(added.due.ref);
      let own = 0;
      let cheapest = Infinity;
      let on = from;
      for (let k = 0; k < costs.length; k++) {
        const at = sorted[to - 1 - k];
        if (!at) continue;
        costs[k] = (costs[k] ?? 0) + borne(added, at.day);
        own += borne(at, added.day);
        if ((costs[k] ?? 0) <= cheapest) [cheapest, on] = [costs[k] ?? 0, to - 1 - k];
      }
      costs.push(own);
      if (own <= cheapest) [cheapest, on] = [own, from];
      const total = (least[from]?.cost ?? Infinity) + EDGE_CALENDAR.visit.value + cheapest;
      if (total < best.cost) best = { cost: total, from, on };
      if (last - added.day > EDGE_CALENDAR.widestDays.value) break;
    }
    least.push(best);
  }
  const visits: Visit[] = [];
  for (let to = sorted.length; to > 0;) {
    const { from, on } = least[to] ?? { from: to - 1, on: to - 1 };
    visits.unshift({ date: sorted[on]?.due.date ?? '', due: sorted.slice(from, to).map(({ due }) => due) });
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
