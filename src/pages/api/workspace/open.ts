import type { APIContext } from 'astro';
import { answering, json, problem } from '../../../server/http';
import { readBody } from '../../../server/readBody';
import { isEmpty, openWithCode } from '../../../server/workspaces';

/** Opens the workspace of a recovery code in this browser. What this browser has of its own must be left on purpose (`leave`). */
export const POST = answering(async ({ request, locals }: APIContext) => {
  const { code, leave = false } = await readBody(request, 'open');
  if (!leave && !(await isEmpty(locals.workspaceId)))
    return problem(409, 'Kitchens here', 'This browser has kitchens of its own, which would no longer be shown here.');
  const opened = await openWithCode(code);
  if (!opened)
    return problem(
      404,
      'Not known',
      'No kitchens are opened by this code. Check it for slips; a newer code may have replaced it.',
    );
  locals.setKey(opened.token);
  return json({ opened: true });
});
