import type { APIContext } from 'astro';
import { writeCatalogueCsv, writeCatalogueJson } from '../../../core/formats/catalogueFile';
import { readCatalogueModels, readOwnModels } from '../../../server/catalogue';
import { answering } from '../../../server/http';

/** The catalogue as a download: `?of=own` for the workspace's own models, `?as=csv` for a table. */
export const GET = answering(async ({ url, locals }: APIContext) => {
  const own = url.searchParams.get('of') === 'own';
  const csv = url.searchParams.get('as') === 'csv';
  const models = await (own ? readOwnModels(locals.workspaceId) : readCatalogueModels(locals.workspaceId));
  return new Response(csv ? writeCatalogueCsv(models) : writeCatalogueJson(models), {
    headers: {
      'content-type': csv ? 'text/csv; charset=utf-8' : 'application/json',
      'content-disposition': `attachment; filename="${own ? 'own-models' : 'catalogue'}.${csv ? 'csv' : 'json'}"`,
      'cache-control': 'no-store',
    },
  });
});
