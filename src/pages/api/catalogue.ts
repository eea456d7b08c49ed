import type { APIContext } from 'astro';
import { MAX_MODELS } from '../../core/formats/catalogueFile';
import { addOwnModels, readOwnModels, readShippedModels } from '../../server/catalogue';
import { answering, full, json } from '../../server/http';
import { readBody } from '../../server/readBody';

/** Every model there is to choose from; `?only=own` those the workspace has added. */
export const GET = answering(async ({ url, locals }: APIContext) => {
  if (url.searchParams.get('only') === 'own') return json(await readOwnModels(locals.workspaceId));
  const [shipped, own] = await Promise.all([readShippedModels(), readOwnModels(locals.workspaceId)]);
  return json({ models: [...shipped, ...own], own: own.map((model) => model.id) });
});

export const POST = answering(async ({ request, locals }: APIContext) => {
  const { models, duplicates } = await readBody(request, 'models');
  const taken = await addOwnModels(await locals.ownWorkspace(), models, duplicates);
  return taken === 'full'
    ? full(`A workspace holds ${MAX_MODELS} models of its own and 64 MB in all; nothing was taken over.`)
    : json(taken, 201);
});
