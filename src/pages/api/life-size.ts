import type { APIContext } from 'astro';
import { answering } from '../../server/http';
import { readBody } from '../../server/readBody';
import { clientOf } from '../../server/pace';
import { pdf } from '../../threads/making';

/** Knives at true size as a PDF. Nothing is stored. */
export const POST = answering(async ({ request }: APIContext) =>
  pdf(clientOf(request), { name: 'lifeSize', input: await readBody(request, 'lifeSize') }),
);
