import type { APIContext } from 'astro';
import { answering, notFound } from '../../../../server/http';
import { readKitchen } from '../../../../server/kitchens';

/** The kitchen file, as a download. */
export const GET = answering(async ({ params, locals }: APIContext) => {
  const stored = await readKitchen(locals.workspaceId, params.id ?? '');
  if (!stored) return notFound();
  const plain =
    (stored.kitchen.name ?? 'kitchen')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'kitchen';
  return new Response(`${JSON.stringify(stored.kitchen, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="${plain}.scabbard.json"`,
      'cache-control': 'no-store',
    },
  });
});
