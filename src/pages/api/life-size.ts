import type { APIContext } from 'astro';
import { lifeSizeSheets } from '../../paper/lifeSize';
import { answering, readBody } from '../../server/http';

/** Knives at true size as a PDF. Nothing is stored. */
export const POST = answering(async ({ request }: APIContext) => {
  const { title, knives, paper } = await readBody(request, 'lifeSize');
  const { bytes } = await lifeSizeSheets(title, knives, paper);
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'application/pdf', 'cache-control': 'no-store' },
  });
});
