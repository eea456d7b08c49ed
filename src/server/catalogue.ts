import { asc } from 'drizzle-orm';
import type { BladeModel } from '../core/blade/schema';
import { catalogueModel } from '../db/schema';
import { database } from './database';

/** Every model of the shipped catalogue, by id. */
export async function readCatalogueModels(): Promise<BladeModel[]> {
  const rows = await database()
    .select({ model: catalogueModel.model })
    .from(catalogueModel)
    .orderBy(asc(catalogueModel.id));
  return rows.map((row) => row.model);
}
