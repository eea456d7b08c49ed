import type { APIContext } from 'astro';
import { z } from 'zod';
import { emptyKitchen, kitchenFileSchema, MAX_FILE_BYTES, type KitchenFile } from '../../../core/formats/kitchenFile';
import { completeKitchen } from '../../../core/kitchen/kitchen';
import { reference } from '../../../../data/reference';
import { readCatalogueModels } from '../../../server/catalogue';
import { answering, json, problem, readBody } from '../../../server/http';
import { createKitchen, listKitchens, MAX_KITCHENS, readKitchen, readSample } from '../../../server/kitchens';

const bodySchema = z.union([
  z.strictObject({ from: z.literal('nothing'), name: z.string().trim().min(1).max(80).optional() }),
  z.strictObject({ from: z.literal('sample'), sample: z.string().max(80) }),
  z.strictObject({ from: z.literal('copy'), of: z.string().max(80) }),
]);
const fileSchema = z.strictObject({ from: z.literal('file'), kitchen: kitchenFileSchema });
const anySchema = z.discriminatedUnion('from', [...bodySchema.options, fileSchema]);

/** The kitchen file to begin with; null when what it is to come from does not exist here. */
async function fileFor(body: z.infer<typeof anySchema>, workspaceId: string): Promise<KitchenFile | null> {
  switch (body.from) {
    case 'nothing':
      return emptyKitchen(body.name ?? 'My kitchen');
    case 'sample':
      return readSample(body.sample);
    case 'copy': {
      const stored = await readKitchen(workspaceId, body.of);
      return stored && { ...stored.kitchen, name: `${(stored.kitchen.name ?? 'My kitchen').slice(0, 72)}, copy` };
    }
    case 'file':
      return body.kitchen;
  }
}

export const GET = answering(async ({ locals }: APIContext) =>
  json({ kitchens: await listKitchens(locals.workspaceId) }),
);

export const POST = answering(async ({ request, locals }: APIContext) => {
  const body = await readBody(request, anySchema, MAX_FILE_BYTES + 1024);
  const file = await fileFor(body, locals.workspaceId);
  if (!file) return problem(404, 'Not found', 'There is no such kitchen to begin from.');
  completeKitchen(file, reference, await readCatalogueModels(locals.workspaceId));
  const stored = await createKitchen(locals.workspaceId, file);
  if (!stored)
    return problem(409, 'Full', `A workspace holds ${MAX_KITCHENS} kitchens; delete one before making another.`);
  return json(stored, 201);
});
