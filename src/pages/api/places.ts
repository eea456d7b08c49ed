import type { APIContext } from 'astro';
import { answering } from '../../server/http';
import { readBody } from '../../server/readBody';
import { clientOf } from '../../server/pace';
import { pdf } from '../../threads/making';

/** The places where knives live as a PDF: a plan with measurements, or true size over several sheets. Nothing is stored. */
export const POST = answering(async ({ request }: APIContext) => {
  const { paper, trueSize, ...asked } = await readBody(request, 'places');
  return pdf(clientOf(request), { name: 'places', input: { asked, paper, trueSize } });
});
