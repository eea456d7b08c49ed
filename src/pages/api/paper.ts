import type { APIContext } from 'astro';
import { readCatalogueModels } from '../../server/catalogue';
import { answering } from '../../server/http';
import { readBody } from '../../server/readBody';
import { languageOf } from '../../server/language';
import { clientOf } from '../../server/pace';
import { pdf } from '../../threads/making';

/** A plan as a PDF: its sheets, the shopping list and the care sheet, as asked for. Nothing is stored. */
export const POST = answering(async ({ request, locals }: APIContext) => {
  const { kinds, paper, plan, ...rest } = await readBody(request, 'paper');
  const named = new Set(plan.steps.map(({ model }) => model));
  const models = await readCatalogueModels(locals.workspaceId);
  const blades = new Map(models.filter(({ id }) => named.has(id)).map((model) => [model.id, model]));
  const papers = { ...rest, plan, blades, language: languageOf(request.headers) };
  return pdf(clientOf(request), { name: 'plan', input: { papers, kinds, paper } });
});
