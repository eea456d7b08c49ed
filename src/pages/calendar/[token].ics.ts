import type { APIContext } from 'astro';
import { readCalendar } from '../../server/edgeCalendars';
import { answering, problem } from '../../server/http';
import { MadeOnce } from '../../server/madeOnce';
import { clientOf } from '../../server/pace';
import { make } from '../../threads/making';

const calendars = new MadeOnce(16 * 1024 * 1024);

/** The sharpening days of a kitchen, for whoever has the address, as iCalendar. */
export const GET = answering(async ({ params, request }: APIContext) => {
  const found = await readCalendar(params.token ?? '');
  if (!found) return problem(404, 'Not found', 'This calendar address opens nothing any more.');
  const { id, name: kitchen, days, changedAt } = found;
  const made = changedAt.toISOString();
  const text = await calendars.get(`${id} ${made} ${kitchen}`, async () =>
    Buffer.from(await make(clientOf(request), { name: 'calendar', input: { kitchen, id, days, made } })).toString(
      'utf8',
    ),
  );
  return new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      // the address is the key: it is kept by nobody, found by no search
      'cache-control': 'private, no-store',
      'x-robots-tag': 'noindex, nofollow',
      'referrer-policy': 'no-referrer',
    },
  });
});
