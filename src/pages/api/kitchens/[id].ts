import type { APIContext } from 'astro';
import { z } from 'zod';
import { kitchenFileSchema, MAX_FILE_BYTES } from '../../../core/formats/kitchenFile';
import { completeKitchen } from '../../../core/kitchen/kitchen';
import { reference } from '../../../../data/reference';
import { readCatalogueModels } from '../../../server/catalogue';
import { answering, json, notFound, problem, readBody } from '../../../server/http';
import { deleteKitchen, readKitchen, saveKitchen } from '../../../server/kitchens';

const saveSchema = z.strictObject({ version: z.number().int().positive(), kitchen: kitchenFileSchema });

export const GET = answering(async ({ params, locals }: APIContext) => {
  const stored = await readKitchen(locals.workspaceId, params.id ?? '');
  return stored ? json(stored) : notFound();
});

export const PUT = answering(async ({ request, params, locals }: APIContext) => {
  const { version, kitchen } = await readBody(request, saveSchema, MAX_FILE_BYTES + 1024);
  completeKitchen(kitchen, reference, await readCatalogueModels(locals.workspaceId));
  const saved = await saveKitchen(locals.workspaceId, params.id ?? '', version, kitchen);
  if (saved === null) return notFound();
  if (saved === 'stale')
    return problem(409, 'Changed elsewhere', 'This kitchen was changed in another window since it was opened here.');
  return json({ version: saved.version });
});

export const DELETE = answering(async ({ params, locals }: APIContext) =>
  (await deleteKitchen(locals.workspaceId, params.id ?? '')) ? new Response(null, { status: 204 }) : notFound(),
);
