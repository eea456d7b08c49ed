import type { APIContext } from 'astro';
import { MAX_CORRECTIONS } from '../../core/formats/workspaceFile';
import { forget, listCorrections, remember } from '../../server/corrections';
import { answering, full, json } from '../../server/http';
import { readBody } from '../../server/readBody';

export const GET = answering(async ({ locals }: APIContext) =>
  json({ corrections: await listCorrections(locals.workspaceId) }),
);

/** Remembers the task of a line's words. */
export const PUT = answering(async ({ request, locals }: APIContext) => {
  const correction = await readBody(request, 'correction');
  const done = await remember(await locals.ownWorkspace(), correction);
  return done === 'full'
    ? full(`At most ${MAX_CORRECTIONS} corrections are remembered; forget one first.`)
    : json({ remembered: true });
});

/** Forgets what was said of a line's words. */
export const DELETE = answering(async ({ request, locals }: APIContext) => {
  const { words } = await readBody(request, 'words');
  await forget(locals.workspaceId, words);
  return json({ forgotten: true });
});
