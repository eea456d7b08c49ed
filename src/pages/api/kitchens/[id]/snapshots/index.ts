import type { APIContext } from 'astro';
import { MAX_SNAPSHOTS } from '../../../../../core/formats/workspaceFile';
import { readOwnNames } from '../../../../../server/catalogue';
import { answering, full, json, notFound } from '../../../../../server/http';
import { requireKitchen } from '../../../../../server/kitchens';
import { readBody } from '../../../../../server/readBody';
import { addSnapshot, listSnapshots } from '../../../../../server/snapshots';

export const GET = answering(async ({ params, locals }: APIContext) => {
  const snapshots = await listSnapshots(locals.workspaceId, params.id ?? '');
  return snapshots ? json({ snapshots }) : notFound();
});

export const POST = answering(async ({ request, params, locals }: APIContext) => {
  const { workspaceId } = locals;
  const body = await readBody(request, 'snapshot', {
    first: () => requireKitchen(workspaceId, params.id ?? ''),
    own: () => readOwnNames(workspaceId),
  });
  const done = await addSnapshot(workspaceId, params.id ?? '', body);
  if (done === null) return notFound();
  if (done === 'full')
    return full(`A kitchen keeps at most ${MAX_SNAPSHOTS} snapshots and scenarios: delete one first.`);
  return json({ added: true }, 201);
});
