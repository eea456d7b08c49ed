import { z } from '../core/zod';
import { bladeModelSchema, type BladeModel } from '../core/blade/schema';
import { ask } from './http';

const catalogueSchema = z.object({ models: z.array(bladeModelSchema), own: z.array(z.string()) });
const takenSchema = z.object({ added: z.number(), replaced: z.number(), skipped: z.number() });

/** Models as the server sent them. */
export const readModels = (answer: unknown): BladeModel[] => z.array(bladeModelSchema).parse(answer);

/** Every model this workspace may choose from, and the ids of its own. */
export const fetchCatalogue = () => ask((answer) => catalogueSchema.parse(answer), '/api/catalogue');

/** Takes models over, all or none. */
export const addModels = (models: BladeModel[], duplicates: 'skip' | 'replace') =>
  ask((answer) => takenSchema.parse(answer), '/api/catalogue', 'POST', { models, duplicates });

/** Removes a model of one's own. */
export const deleteModel = (id: string) => ask(() => undefined, `/api/catalogue/${id}`, 'DELETE');
