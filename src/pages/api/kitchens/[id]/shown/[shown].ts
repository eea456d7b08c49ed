import type { APIContext } from 'astro';
import { answering, problem } from '../../../../../server/http';
import { withdrawShown } from '../../../../../server/shownPlans';

/** Withdraws a link: it opens nothing any more. */
export const DELETE = answering(async ({ params, locals }: APIContext) =>
  (await withdrawShown(locals.workspaceId, params.id ?? '', params.shown ?? ''))
    ? new Response(null, { status: 204 })
    : problem(404, 'Not found', 'There is no such link here.'),
);
