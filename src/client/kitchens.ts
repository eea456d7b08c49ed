import { z } from '../core/zod';
import { kitchenFileSchema, type KitchenFile } from '../core/formats/kitchenFile';
import { ask } from './http';

const savedSchema = z.object({ version: z.number() });
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

/** The version a kitchen has on the server. */
export const fetchVersion = (id: string) =>
  ask((answer) => savedSchema.parse(answer).version, `/api/kitchens/${id}?only=version`);

/** Renames a kitchen. */
export const renameKitchen = (id: string, name: string) =>
  ask((answer) => savedSchema.parse(answer), `/api/kitchens/${id}`, 'PATCH', { name });

/** Puts a kitchen away; {@link restoreKitchen} has it back. */
export const deleteKitchen = (id: string) => ask(() => undefined, `/api/kitchens/${id}`, 'DELETE');
export const restoreKitchen = (id: string) => ask(() => undefined, `/api/kitchens/${id}`, 'PATCH', { deleted: false });

/** Saves a kitchen over the version it was made on; returns the new version. */
export const saveKitchen = (id: string, version: number, kitchen: KitchenFile) =>
  ask((answer) => savedSchema.parse(answer), `/api/kitchens/${id}`, 'PUT', { version, kitchen });
