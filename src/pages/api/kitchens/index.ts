import type { APIContext } from 'astro';
import { z } from 'zod';
import { emptyKitchen, kitchenFileSchema, MAX_FILE_BYTES } from '../../../core/formats/kitchenFile';
import { completeKitchen } from '../../../core/kitchen/kitchen';
import { reference } from '../../../../data/reference';
import { readCatalogueModels } from '../../../server/catalogue';
import { answering, json, problem, readBody } from '../../../server/http';
import { createKitchen, listKitchens, MAX_KITCHENS, readSample } from '../../../server/kitchens';

const bodySchema = z.union([
  z.strictObject({ from: z.literal('nothing'), name: z.string().trim().min(1).max(80).optional() }),
  z.strictObject({ from: z.literal('sample'), sample: z.string().max(80) }),
]);
const fileSchema = z.strictObject({ from: z.literal('file'), kitchen: kitchenFileSchema });
const anySchema = z.discriminatedUnion('from', [...bodySchema.options, fileSchema]);

export const GET = answering(async ({ locals }: APIContext) =>
  json({ kitchens: await listKitchens(locals.workspaceId) }),
);

export const POST = answering(async ({ request, locals }: APIContext) => {
  const body = await readBody(request, anySchema, MAX_FILE_BYTES + 1024);
  const file =
    body.from === 'nothing'
      ? emptyKitchen(body.name ?? 'My kitchen')
      : body.from === 'sample'
        ? await readSample(body.sample)
        : body.kitchen;
  if (!file) return problem(404, 'Not found', 'There is no such sample kitchen.');
  completeKitchen(file, reference, await readCatalogueModels(locals.workspaceId));
  const stored = await createKitchen(locals.workspaceId, file);
  if (!stored)
    return problem(409, 'Full', `A workspace holds ${MAX_KITCHENS} kitchens; delete one before making another.`);
  return json(stored, 201);
});
