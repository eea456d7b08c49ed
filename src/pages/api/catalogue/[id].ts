import type { APIContext } from 'astro';
import { deleteOwnModel } from '../../../server/catalogue';
import { answering, problem } from '../../../server/http';

/** Removes a model of the workspace's own. */
export const DELETE = answering(async ({ params, locals }: APIContext) => {
  const gone = await deleteOwnModel(locals.workspaceId, params.id ?? '');
  if (gone === null) return problem(404, 'Not found', 'There is no such model of your own.');
  if (gone !== 'gone')
    return problem(
      409,
      'In use',
      `It is still named in ${gone.usedBy.join(', ')}. Take it out there first, or delete those for good.`,
    );
  return new Response(null, { status: 204 });
});
