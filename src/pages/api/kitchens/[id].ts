import type { APIContext } from 'astro';
import { MAX_KITCHENS } from '../../../core/formats/workspaceFile';
import { readOwnNames } from '../../../server/catalogue';
import { answering, full, json, notFound, problem } from '../../../server/http';
import { readBody } from '../../../server/readBody';
import {
  deleteKitchen,
  readKitchen,
  renameKitchen,
  requireKitchen,
  restoreKitchen,
  saveKitchen,
  versionOf,
} from '../../../server/kitchens';

const gone = () => new Response(null, { status: 204, headers: { 'cache-control': 'no-store' } });

/** A kitchen; `?only=version` just the version it has. */
export const GET = answering(async ({ params, url, locals }: APIContext) => {
  const id = params.id ?? '';
  if (url.searchParams.get('only') === 'version') {
    const version = await versionOf(locals.workspaceId, id);
    return version === null ? notFound() : json({ version });
  }
  const stored = await readKitchen(locals.workspaceId, id);
  return stored ? json(stored) : notFound();
});

export const PUT = answering(async ({ request, params, locals }: APIContext) => {
  const { workspaceId } = locals;
  const id = params.id ?? '';
  const { version, kitchen } = await readBody(request, 'save', {
    first: () => requireKitchen(workspaceId, id),
    own: () => readOwnNames(workspaceId),
  });
  const saved = await saveKitchen(workspaceId, id, version, kitchen);
  if (saved === null) return notFound();
  if (saved === 'full')
    return problem(413, 'Full', 'This workspace holds 64 MB, all there is room for; delete something for good first.');
  if (saved === 'stale')
    return problem(409, 'Changed elsewhere', 'This kitchen was changed in another window since it was opened here.');
  return json({ version: saved.version });
});

/** Renames a kitchen, or takes its deletion back. */
export const PATCH = answering(async ({ request, params, locals }: APIContext) => {
  const change = await readBody(request, 'change');
  const id = params.id ?? '';
  if ('deleted' in change) {
    const restored = await restoreKitchen(locals.workspaceId, id);
    if (restored === 'full')
      return full(`A workspace holds ${MAX_KITCHENS} kitchens; delete one before having one back.`);
    return restored ? gone() : notFound();
  }
  const renamed = await renameKitchen(locals.workspaceId, id, change.name);
  return renamed ? json({ version: renamed.version }) : notFound();
});

export const DELETE = answering(async ({ params, locals }: APIContext) =>
  (await deleteKitchen(locals.workspaceId, params.id ?? '')) ? gone() : notFound(),
);
