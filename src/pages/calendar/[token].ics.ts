import type { APIContext } from 'astro';
import { calendarOf } from '../../islands/edge/sharpeningDays';
import { readCalendar } from '../../server/edgeCalendars';
import { answering, problem } from '../../server/http';

/** The sharpening days of a kitchen, for whoever has the address, as iCalendar. */
export const GET = answering(async ({ params }: APIContext) => {
  const found = await readCalendar(params.token ?? '');
  if (!found) return problem(404, 'Not found', 'This calendar address opens nothing any more.');
  return new Response(calendarOf(found.name, found.id, found.days, found.changedAt), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      // the address is the key: it is kept by nobody, found by no search
      'cache-control': 'private, no-store',
      'x-robots-tag': 'noindex, nofollow',
      'referrer-policy': 'no-referrer',
    },
  });
});
