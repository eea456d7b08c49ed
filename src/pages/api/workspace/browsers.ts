import type { APIContext } from 'astro';
import { answering, json } from '../../../server/http';
import { countOtherKeys, endOtherKeys } from '../../../server/workspaces';

/** How many other browsers open this workspace. */
export const GET = answering(async ({ locals }: APIContext) =>
  json({ others: await countOtherKeys(locals.workspaceId, locals.token) }),
);

/** Ends the access of every other browser. */
export const DELETE = answering(async ({ locals }: APIContext) =>
  json({ ended: await endOtherKeys(locals.workspaceId, locals.token) }),
);
