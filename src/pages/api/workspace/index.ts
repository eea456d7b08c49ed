import type { APIContext } from 'astro';
import { answering, full, json } from '../../../server/http';
import { readBody } from '../../../server/readBody';
import { takeOver, workspaceText } from '../../../server/transfer';
import { readOwnNames } from '../../../server/catalogue';
import { forgetWorkspace } from '../../../server/workspaces';

/** Sends parts on as they are asked for. */
const streamed = (parts: AsyncGenerator<Uint8Array>) =>
  new ReadableStream<Uint8Array>({
    pull: async (controller) => {
      const part = await parts.next();
      if (part.done) controller.close();
      else controller.enqueue(part.value);
    },
    cancel: () => void parts.return(undefined),
  });

/** Everything in this workspace as one file, written as it is read. */
export const GET = answering((context: APIContext) => {
  const day = new Date().toISOString().slice(0, 10);
  return Promise.resolve(
    new Response(streamed(workspaceText(context.locals.workspaceId)), {
      headers: {
        'content-type': 'application/json',
        'content-disposition': `attachment; filename="scabbard-${day}.scabbard-workspace.json"`,
        'cache-control': 'no-store',
      },
    }),
  );
});

/** Takes the file of a whole workspace in, beside what stands here. */
export const POST = answering(async ({ request, locals }: APIContext) => {
  const file = await readBody(request, 'workspace', { own: () => readOwnNames(locals.workspaceId) });
  const taken = await takeOver(await locals.ownWorkspace(), file);
  return taken === 'full'
    ? full(
        'There is no room for all of this beside what stands here (200 kitchens, 5000 models, 64 MB); nothing was taken over.',
      )
    : json(taken, 201);
});

/** Forgets everything about this workspace, in every browser that opens it. */
export const DELETE = answering(async ({ locals }: APIContext) => {
  await forgetWorkspace(locals.workspaceId);
  locals.setKey(null);
  return json({ forgotten: true });
});
