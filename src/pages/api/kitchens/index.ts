import type { APIContext } from 'astro';
import { emptyKitchen, type KitchenFile } from '../../../core/formats/kitchenFile';
import { MAX_KITCHENS } from '../../../core/formats/workspaceFile';
import type { Body } from '../../../server/bodies';
import { readOwnNames } from '../../../server/catalogue';
import { answering, full, json, problem } from '../../../server/http';
import { readBody } from '../../../server/readBody';
import { createKitchen, listKitchens, readKitchen, readSample } from '../../../server/kitchens';

/** Longest part of a name that a copy keeps, characters. */
const COPIED_NAME = 72;

/** The kitchen file to begin with; null when what it is to come from does not exist here. */
async function fileFor(body: Body<'newKitchen'>, workspaceId: string): Promise<KitchenFile | null> {
  switch (body.from) {
    case 'nothing':
      return emptyKitchen(body.name ?? 'My kitchen');
    case 'sample':
      return readSample(body.sample);
    case 'copy': {
      const stored = await readKitchen(workspaceId, body.of);
      return stored && { ...stored.kitchen, name: `${cut(stored.kitchen.name ?? 'My kitchen', COPIED_NAME)}, copy` };
    }
    case 'file':
      return body.kitchen;
  }
}

/** The beginning of a text, at most so many UTF-16 units and never half a character. */
function cut(text: string, most: number): string {
  let kept = '';
  for (const character of text) {
    if (kept.length + character.length > most) break;
    kept += character;
  }
  return kept;
}

export const GET = answering(async ({ locals }: APIContext) =>
  json({ kitchens: await listKitchens(locals.workspaceId) }),
);

export const POST = answering(async ({ request, locals }: APIContext) => {
  const body = await readBody(request, 'newKitchen', { own: () => readOwnNames(locals.workspaceId) });
  const file = await fileFor(body, locals.workspaceId);
  if (!file) return problem(404, 'Not found', 'There is no such kitchen to begin from.');
  const stored = await createKitchen(await locals.ownWorkspace(), file);
  return stored === 'full'
    ? full(`A workspace holds ${MAX_KITCHENS} kitchens and 64 MB in all; delete one before making another.`)
    : json(stored, 201);
});
