import { z } from 'zod';
import { kitchenFileSchema, type KitchenFile } from '../core/formats/kitchenFile';
import { ask } from './http';

const savedSchema = z.object({ version: z.number() });
const storedSchema = z.object({ id: z.string(), version: z.number(), kitchen: kitchenFileSchema });
/** A kitchen as the server keeps it. */
export type StoredKitchen = z.infer<typeof storedSchema>;
const read = (answer: unknown) => storedSchema.parse(answer);

/** Makes a kitchen: from nothing, from a sample, or from a file. */
export const createKitchen = (
  body: { from: 'nothing' } | { from: 'sample'; sample: string } | { from: 'file'; kitchen: unknown },
) => ask(read, '/api/kitchens', 'POST', body);

export const fetchKitchen = (id: string) => ask(read, `/api/kitchens/${id}`);

/** Saves a kitchen over the version it was made on; returns the new version. */
export const saveKitchen = (id: string, version: number, kitchen: KitchenFile) =>
  ask((answer) => savedSchema.parse(answer), `/api/kitchens/${id}`, 'PUT', { version, kitchen });
