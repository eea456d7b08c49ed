import type { APIContext } from 'astro';
import { MAX_KEPT } from '../../../../../core/formats/workspaceFile';
import { readOwnNames } from '../../../../../server/catalogue';
import { answering, full, json, notFound, readBody } from '../../../../../server/http';
import { keepBeside, listKept } from '../../../../../server/kept';

export const GET = answering(async ({ params, locals }: APIContext) => {
  const kept = await listKept(locals.workspaceId, params.id ?? '');
  return kept ? json({ kept }) : notFound();
});

export const POST = answering(async ({ request, params, locals }: APIContext) => {
  const { workspaceId } = locals;
  const body = await readBody(request, 'keep', () => readOwnNames(workspaceId));
  const done = await keepBeside(workspaceId, params.id ?? '', body);
  if (done === null) return notFound();
  if (done === 'full') return full(`A kitchen keeps at most ${MAX_KEPT} snapshots and scenarios: delete one first.`);
  return json({ kept: true }, 201);
});
