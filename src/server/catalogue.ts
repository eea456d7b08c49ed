import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { BladeModel } from '../core/blade/schema';
import { MAX_MODELS } from '../core/formats/catalogueFile';
import { catalogueModel, kitchen, workspaceModel } from '../db/schema';
import { database } from './database';

/** Every model of the shipped catalogue, by id. */
export async function readShippedModels(): Promise<BladeModel[]> {
  const rows = await database()
    .select({ model: catalogueModel.model })
    .from(catalogueModel)
    .orderBy(asc(catalogueModel.id));
  return rows.map((row) => row.model);
}

/** The models this workspace brought in, by id. */
export async function readOwnModels(workspaceId: string): Promise<BladeModel[]> {
  const rows = await database()
    .select({ model: workspaceModel.model })
    .from(workspaceModel)
    .where(eq(workspaceModel.workspaceId, workspaceId))
    .orderBy(asc(workspaceModel.id));
  return rows.map((row) => row.model);
}

/** What a workspace may choose from: the shipped models and its own. */
export async function readCatalogueModels(workspaceId: string): Promise<BladeModel[]> {
  const [shipped, own] = await Promise.all([readShippedModels(), readOwnModels(workspaceId)]);
  return [...shipped, ...own];
}

export interface TakenOver {
  added: number;
  replaced: number;
  skipped: number;
}

/**
 * Takes models into a workspace, all of them or none. `full` when they would not fit; the ids of shipped models that clash otherwise.
 */
export async function addOwnModels(
  workspaceId: string,
  models: readonly BladeModel[],
  duplicates: 'skip' | 'replace',
): Promise<TakenOver | 'full' | { shipped: string[] }> {
  return database().transaction(async (tx) => {
    const ids = models.map((m) => m.id);
    const clash = await tx
      .select({ id: catalogueModel.id })
      .from(catalogueModel)
      .where(inArray(catalogueModel.id, ids));
    if (clash.length > 0) return { shipped: clash.map((row) => row.id) };
    const held = await tx
      .select({ id: workspaceModel.id })
      .from(workspaceModel)
      .where(eq(workspaceModel.workspaceId, workspaceId));
    const known = new Set(held.map((row) => row.id));
    const again = ids.filter((id) => known.has(id)).length;
    if (held.length + ids.length - again > MAX_MODELS) return 'full' as const;
    const taken = duplicates === 'skip' ? models.filter((m) => !known.has(m.id)) : models;
    const CHUNK = 500;
    for (let i = 0; i < taken.length; i += CHUNK)
      await tx
        .insert(workspaceModel)
        .values(taken.slice(i, i + CHUNK).map((model) => ({ workspaceId, id: model.id, model })))
        .onConflictDoUpdate({
          target: [workspaceModel.workspaceId, workspaceModel.id],
          set: { model: sql`excluded.model` },
        });
    return {
      added: ids.length - again,
      replaced: duplicates === 'replace' ? again : 0,
      skipped: duplicates === 'skip' ? again : 0,
    };
  });
}

/** Removes one of the workspace's models; names of kitchens that still use it when it may not go, null when there is none. */
export async function deleteOwnModel(workspaceId: string, id: string): Promise<true | { usedBy: string[] } | null> {
  const users = await database()
    .select({ name: kitchen.name })
    .from(kitchen)
    .where(
      and(
        eq(kitchen.workspaceId, workspaceId),
        isNull(kitchen.deletedAt),
        sql`strpos(${kitchen.document}::text, ${JSON.stringify(id)}) > 0`,
      ),
    );
  if (users.length > 0) return { usedBy: users.map((row) => row.name) };
  const rows = await database()
    .delete(workspaceModel)
    .where(and(eq(workspaceModel.workspaceId, workspaceId), eq(workspaceModel.id, id)))
    .returning({ id: workspaceModel.id });
  return rows.length > 0 ? true : null;
}
