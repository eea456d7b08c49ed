import type { APIContext } from 'astro';
import { answering, json } from '../../../server/http';
import { emptyDeleted, listDeleted } from '../../../server/kitchens';

/** Deleted kitchens that can still be had back. */
export const GET = answering(async ({ locals }: APIContext) =>
  json({ kitchens: await listDeleted(locals.workspaceId) }),
);

/** Removes them for good. */
export const DELETE = answering(async ({ locals }: APIContext) => {
  await emptyDeleted(locals.workspaceId);
  return json({ emptied: true });
});
