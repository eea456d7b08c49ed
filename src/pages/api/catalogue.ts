import type { APIContext } from 'astro';
import { readCatalogueModels } from '../../server/catalogue';
import { answering, json } from '../../server/http';

export const GET = answering(async (_context: APIContext) => json({ models: await readCatalogueModels() }));
