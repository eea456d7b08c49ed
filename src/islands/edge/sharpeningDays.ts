import type { SharpeningDay } from '../../core/formats/sharpeningDays';
import type { EdgeEvent } from '../../core/formats/edgeFile';

/** What is due on one day, in a sentence each. */
export interface DueDay {
  date: string;
  title: string;
  events: EdgeEvent[];
}

const DONE: Record<EdgeEvent['action'], string> = {
  sharpen: 'sharpen',
  replace: 'replace',
  oil: 'oil',
  flatten: 'flatten the stones',
  visit: 'go to the sharpener',
};

/** Events by their day, each day with what is done to which knives. */
export function dueDays(events: readonly EdgeEvent[], nameOf: (ref: string) => string): DueDay[] {
  const days = new Map<string, EdgeEvent[]>();
  for (const event of events) days.set(event.date, [...(days.get(event.date) ?? []), event]);
  return [...days].map(([date, on]) => {
    const visits = on.some(({ action }) => action === 'visit');
    const parts = (['sharpen', 'replace', 'oil'] as const).flatMap((action) => {
      const names = on.filter((event) => event.action === action).map(({ ref }) => nameOf(ref).toLowerCase());
      return names.length === 0 ? [] : [`${DONE[action]} ${names.join(', ')}`];
    });
    const words = [...(visits ? [DONE.visit] : []), ...parts].join('; ');
    return { date, title: words.charAt(0).toUpperCase() + words.slice(1), events: on };
  });
}

/** A day as a calendar is told of it. */
export const asSharpeningDay = ({ date, title, events }: DueDay): SharpeningDay => ({
  date,
  title: title.slice(0, 500),
  why: [...new Set(events.map(({ why }) => why))].join('\n').slice(0, 2000),
});
