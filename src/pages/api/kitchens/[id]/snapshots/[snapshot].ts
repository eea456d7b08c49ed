import type { APIContext } from 'astro';
import { answering, notFound } from '../../../../../server/http';
import { deleteSnapshot } from '../../../../../server/snapshots';

export const DELETE = answering(async ({ params, locals }: APIContext) =>
  (await deleteSnapshot(locals.workspaceId, params.id ?? '', params.snapshot ?? ''))
    ? new Response(null, { status: 204 })
    : notFound(),
);
