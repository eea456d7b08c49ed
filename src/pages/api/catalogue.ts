import { readCatalogueModels } from '../../server/catalogue';
import { answering, json } from '../../server/http';

export const GET = answering(async () => json({ models: await readCatalogueModels() }));
