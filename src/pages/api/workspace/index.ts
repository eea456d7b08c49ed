import type { APIContext } from 'astro';
import { NotJson } from '../../../core/formats/json';
import { MAX_WORKSPACE_BYTES } from '../../../core/formats/workspaceFile';
import { answering, full, json, problem } from '../../../server/http';
import { importWorkspace } from '../../../server/importing';
import { reserve } from '../../../server/pace';
import { bodyParts, bytesOf } from '../../../server/readBody';
import { workspaceText } from '../../../server/transfer';
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

/** Of a workspace file that is imported so much is in memory at once, bytes. */
const HELD_BYTES = 4 * 1024 * 1024;

/** Imports the file of a whole workspace, beside what is here. It is read as it arrives. */
export const POST = answering(async ({ request, locals }: APIContext) => {
  bytesOf(request, MAX_WORKSPACE_BYTES);
  const release = reserve(request, HELD_BYTES);
  try {
    const parts = bodyParts(request, MAX_WORKSPACE_BYTES);
    const done = await importWorkspace(parts, locals.workspaceId, () => locals.ownWorkspace());
    if (done === 'full')
      return full(
        'There is no room for all of this beside what is here (200 kitchens, 5000 models, 64 MB). Nothing was imported.',
      );
    return json(done, 201);
  } catch (error) {
    if (error instanceof NotJson) return problem(400, 'Not JSON', 'The file is not JSON. Nothing was imported.');
    throw error;
  } finally {
    release();
  }
});

/** Forgets everything about this workspace, in every browser that opens it. */
export const DELETE = answering(async ({ locals }: APIContext) => {
  await forgetWorkspace(locals.workspaceId);
  locals.setKey(null);
  return json({ forgotten: true });
});
