import type { APIContext } from 'astro';
import { answering, json } from '../../../server/http';
import { readBody } from '../../../server/readBody';
import { newRecoveryCode } from '../../../server/workspaces';

/** A new recovery code; the one before no longer opens anything. */
export const POST = answering(async ({ request, locals }: APIContext) => {
  await readBody(request, 'nothing');
  return json({ code: await newRecoveryCode(await locals.ownWorkspace()) }, 201);
});
