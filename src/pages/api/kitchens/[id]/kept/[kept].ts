import type { APIContext } from 'astro';
import { answering, notFound } from '../../../../../server/http';
import { dropKept } from '../../../../../server/kept';

export const DELETE = answering(async ({ params, locals }: APIContext) =>
  (await dropKept(locals.workspaceId, params.id ?? '', params.kept ?? ''))
    ? new Response(null, { status: 204 })
    : notFound(),
);
