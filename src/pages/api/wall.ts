import type { APIContext } from 'astro';
import { wallPaper } from '../../paper/wallPaper';
import { answering, readBody } from '../../server/http';

/** A sheet for the kitchen wall as a PDF. Nothing is stored. */
export const POST = answering(async ({ request }: APIContext) => {
  const { paper, sheet } = await readBody(request, 'wall');
  return new Response(new Uint8Array(await wallPaper(sheet, paper)), {
    headers: { 'content-type': 'application/pdf', 'cache-control': 'no-store' },
  });
});
