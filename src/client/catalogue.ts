import { z } from 'zod';
import { bladeModelSchema } from '../core/blade/schema';
import { ask } from './http';

const schema = z.object({ models: z.array(bladeModelSchema) });

/** Every model of the catalogue. */
export const fetchCatalogue = async () => (await ask((answer) => schema.parse(answer), '/api/catalogue')).models;
