import type { APIContext } from 'astro';
import { placesAtTrueSize, placesPlan, TooLarge } from '../../paper/placeSheets';
import { answering, problem, readBody } from '../../server/http';

/** The places where knives live as a PDF: a plan with measurements, or true size over several sheets. Nothing is stored. */
export const POST = answering(async ({ request }: APIContext) => {
  const { paper, trueSize, ...asked } = await readBody(request, 'places');
  try {
    const bytes = await (trueSize ? placesAtTrueSize : placesPlan)(asked, paper);
    return new Response(new Uint8Array(bytes), {
      headers: { 'content-type': 'application/pdf', 'cache-control': 'no-store' },
    });
  } catch (error) {
    if (error instanceof TooLarge) return problem(422, 'Too large', error.message);
    throw error;
  }
});
