import type { KitchenFile } from '../core/formats/kitchenFile';
import { ask, versionIn } from './http';

/** The version a kitchen has on the server. */
export const fetchVersion = (id: string): Promise<number> => ask(versionIn, `/api/kitchens/${id}?only=version`);

/** Saves a kitchen over the version it was made on; returns the new version. */
export const saveKitchen = (id: string, version: number, kitchen: KitchenFile): Promise<number> =>
  ask(versionIn, `/api/kitchens/${id}`, 'PUT', { version, kitchen });
