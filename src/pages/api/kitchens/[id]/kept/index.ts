import type { APIContext } from 'astro';
import { z } from 'zod';
import { reference } from '../../../../../../data/reference';
import { kitchenFileSchema, MAX_FILE_BYTES } from '../../../../../core/formats/kitchenFile';
import { completeKitchen } from '../../../../../core/kitchen/kitchen';
import { readCatalogueModels } from '../../../../../server/catalogue';
import { answering, json, notFound, problem, readBody } from '../../../../../server/http';
import { keepBeside, listKept, MAX_KEPT } from '../../../../../server/kept';

const bodySchema = z.strictObject({
  kind: z.enum(['snapshot', 'scenario']),
  name: z.string().trim().min(1).max(80),
  kitchen: kitchenFileSchema,
});

export const GET = answering(async ({ params, locals }: APIContext) => {
  const kept = await listKept(locals.workspaceId, params.id ?? '');
  return kept ? json({ kept }) : notFound();
});

export const POST = answering(async ({ request, params, locals }: APIContext) => {
  const body = await readBody(request, bodySchema, MAX_FILE_BYTES + 1024);
  completeKitchen(body.kitchen, reference, await readCatalogueModels(locals.workspaceId));
  const done = await keepBeside(locals.workspaceId, params.id ?? '', body);
  if (done === null) return notFound();
  if (done === 'full')
    return problem(409, 'Full', `A kitchen keeps at most ${MAX_KEPT} snapshots and scenarios: delete one first.`);
  return json({ kept: true }, 201);
});
