import type { APIContext } from 'astro';
import { calendarState, changeCalendar, closeCalendar, openCalendar } from '../../../../server/edgeCalendars';
import { requireKitchen } from '../../../../server/kitchens';
import { answering, full, json, notFound, problem } from '../../../../server/http';
import { readBody } from '../../../../server/readBody';

const NO_ROOM = 'This workspace is full: delete a kitchen or a snapshot first.';
const none = () => problem(404, 'Not found', 'This kitchen has no calendar address.');

/** Whether this kitchen has a calendar address. */
export const GET = answering(async ({ params, locals }: APIContext) => {
  const state = await calendarState(locals.workspaceId, params.id ?? '');
  return state ? json(state) : notFound();
});

/** A new address; the one before is revoked. */
export const POST = answering(async ({ request, params, locals }: APIContext) => {
  const { days } = await readBody(request, 'calendar', {
    first: () => requireKitchen(locals.workspaceId, params.id ?? ''),
  });
  const made = await openCalendar(locals.workspaceId, params.id ?? '', days);
  if (made === null) return notFound();
  return made === 'full' ? full(NO_ROOM) : json({ path: `/calendar/${made.token}.ics` }, 201);
});

/** The days put anew. */
export const PUT = answering(async ({ request, params, locals }: APIContext) => {
  const { days } = await readBody(request, 'calendar', {
    first: () => requireKitchen(locals.workspaceId, params.id ?? ''),
  });
  const changed = await changeCalendar(locals.workspaceId, params.id ?? '', days);
  if (changed === 'full') return full(NO_ROOM);
  return changed ? new Response(null, { status: 204 }) : none();
});

/** The address opens nothing any more. */
export const DELETE = answering(async ({ params, locals }: APIContext) =>
  (await closeCalendar(locals.workspaceId, params.id ?? '')) ? new Response(null, { status: 204 }) : none(),
);
