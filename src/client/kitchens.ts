import { z } from '../core/zod';
import { kitchenFileSchema } from '../core/formats/kitchenFile';
import { ask, versionIn } from './http';

const storedSchema = z.object({ id: z.string(), version: z.number(), kitchen: kitchenFileSchema });
/** A kitchen as the server keeps it. */
export type StoredKitchen = z.infer<typeof storedSchema>;
const read = (answer: unknown) => storedSchema.parse(answer);

/** Makes a kitchen: from nothing, from a sample, or from a file. */
export const createKitchen = (
  body:
    | { from: 'nothing' }
    | { from: 'sample'; sample: string }
    | { from: 'copy'; of: string }
    | { from: 'file'; kitchen: unknown },
) => ask(read, '/api/kitchens', 'POST', body);

export const fetchKitchen = (id: string) => ask(read, `/api/kitchens/${id}`);

/** Renames a kitchen. */
export const renameKitchen = (id: string, name: string) => ask(versionIn, `/api/kitchens/${id}`, 'PATCH', { name });

/** Puts a kitchen away; {@link restoreKitchen} has it back. */
export const deleteKitchen = (id: string) => ask(() => undefined, `/api/kitchens/${id}`, 'DELETE');
export const restoreKitchen = (id: string) => ask(() => undefined, `/api/kitchens/${id}`, 'PATCH', { deleted: false });
