import type { APIContext } from 'astro';
import { z } from 'zod';
import { bladeModelSchema } from '../../core/blade/schema';
import { MAX_MODELS } from '../../core/formats/catalogueFile';
import { unknownId } from '../../core/formats/faults';
import { reference } from '../../../data/reference';
import { addOwnModels, readOwnModels, readShippedModels } from '../../server/catalogue';
import { answering, faulty, json, problem, readBody } from '../../server/http';

/** Room for the most models a workspace may hold. */
const MAX_BODY_BYTES = 6 * 1024 * 1024;

const bodySchema = z.strictObject({
  models: z.array(bladeModelSchema).min(1).max(MAX_MODELS),
  duplicates: z.enum(['skip', 'replace']),
});

export const GET = answering(async ({ locals }: APIContext) => {
  const [shipped, own] = await Promise.all([readShippedModels(), readOwnModels(locals.workspaceId)]);
  return json({ models: [...shipped, ...own], own: own.map((model) => model.id) });
});

export const POST = answering(async ({ request, locals }: APIContext) => {
  const { models, duplicates } = await readBody(request, bodySchema, MAX_BODY_BYTES);
  const strange = models.flatMap((model, i) =>
    reference.types.has(model.type)
      ? []
      : [{ path: `models[${i}].type`, message: unknownId(model.type, reference.types.keys(), 'blade type') }],
  );
  if (strange.length > 0) return faulty(strange);
  const taken = await addOwnModels(locals.workspaceId, models, duplicates);
  if (taken === 'full')
    return problem(409, 'Full', `A workspace holds ${MAX_MODELS} models of its own; nothing was taken over.`);
  if ('shipped' in taken)
    return faulty(
      taken.shipped.map((id) => ({
        path: `models[${models.findIndex((m) => m.id === id)}].id`,
        message: `${id} is a model of the shipped catalogue; give yours an id of its own`,
      })),
    );
  return json(taken, 201);
});
