import type { APIContext } from 'astro';
import { MAX_SHOWN, shownPlanOf } from '../../../../../core/formats/shownPlan';
import { readCatalogueModels } from '../../../../../server/catalogue';
import { answering, full, json, notFound } from '../../../../../server/http';
import { readBody } from '../../../../../server/readBody';
import { requireKitchen } from '../../../../../server/kitchens';
import { listShown, showPlan } from '../../../../../server/shownPlans';

/** The links that show a plan of this kitchen. */
export const GET = answering(async ({ params, locals }: APIContext) => {
  const shown = await listShown(locals.workspaceId, params.id ?? '');
  return shown ? json({ shown }) : notFound();
});

/** Makes a link that shows a plan to whoever has it. */
export const POST = answering(async ({ request, params, locals }: APIContext) => {
  const { workspaceId } = locals;
  const { plan, withPrices, days } = await readBody(request, 'show', {
    first: () => requireKitchen(workspaceId, params.id ?? ''),
  });
  const models = await readCatalogueModels(workspaceId);
  const made = await showPlan(workspaceId, params.id ?? '', shownPlanOf(plan, models, withPrices), days);
  if (made === null) return notFound();
  if (made === 'full') return full(`A kitchen has at most ${MAX_SHOWN} links: withdraw one first.`);
  return json({ path: `/shown/${made.token}` }, 201);
});
