import type { APIContext } from 'astro';
import { reference } from '../../../data/reference';
import { planSheets } from '../../paper/planSheets';
import { readCatalogueModels } from '../../server/catalogue';
import { answering, readBody } from '../../server/http';
import { languageOf } from '../../server/language';

/** A plan as a PDF: its sheets, the shopping list and the care sheet, as asked for. Nothing is stored. */
export const POST = answering(async ({ request, locals }: APIContext) => {
  const { kinds, paper, plan, ...rest } = await readBody(request, 'paper');
  const models = await readCatalogueModels(locals.workspaceId);
  const names = {
    type: (id: string) => reference.types.get(id)?.name ?? reference.tools.get(id)?.name ?? id,
    task: (id: string) => reference.tasks.get(id)?.name ?? id,
  };
  const blades = new Map(models.map((model) => [model.id, model]));
  const bytes = await planSheets({ ...rest, plan, blades, names, language: languageOf(request.headers) }, kinds, paper);
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'application/pdf', 'cache-control': 'no-store' },
  });
});
