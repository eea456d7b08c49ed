import type { APIContext } from 'astro';
import { z } from 'zod';
import { kitchenFileSchema, MAX_FILE_BYTES } from '../../../core/formats/kitchenFile';
import { completeKitchen } from '../../../core/kitchen/kitchen';
import { reference } from '../../../../data/reference';
import { readCatalogueModels } from '../../../server/catalogue';
import { answering, json, notFound, problem, readBody } from '../../../server/http';
import { deleteKitchen, readKitchen, renameKitchen, restoreKitchen, saveKitchen } from '../../../server/kitchens';

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

const changeSchema = z.union([
  z.strictObject({ name: z.string().trim().min(1).max(80) }),
  z.strictObject({ deleted: z.literal(false) }),
]);

/** Renames a kitchen, or takes its deletion back. */
export const PATCH = answering(async ({ request, params, locals }: APIContext) => {
  const change = await readBody(request, changeSchema, 4096);
  const id = params.id ?? '';
  if ('deleted' in change)
    return (await restoreKitchen(locals.workspaceId, id)) ? new Response(null, { status: 204 }) : notFound();
  const renamed = await renameKitchen(locals.workspaceId, id, change.name);
  return renamed ? json({ version: renamed.version }) : notFound();
});

export const DELETE = answering(async ({ params, locals }: APIContext) =>
  (await deleteKitchen(locals.workspaceId, params.id ?? '')) ? new Response(null, { status: 204 }) : notFound(),
);
