import { and, asc, eq, sql } from 'drizzle-orm';
import type { BladeModel } from '../core/blade/schema';
import { MAX_MODELS } from '../core/formats/catalogueFile';
import type { Transaction } from '../db/connect';
import { catalogueModel, workspaceModel } from '../db/schema';
import { database } from './database';
import { reread } from './reread';
import { usersOf } from './usedModels';
import { inWorkspace, NoRoom } from './workspaces';

/** How long the shipped catalogue is taken as it was read, ms: it changes only when a release is started. */
const CATALOGUE_MS = 10 * 60_000;

/** Every model of the shipped catalogue, by id; read again every ten minutes. */
export const readShippedModels = reread(CATALOGUE_MS, async (): Promise<BladeModel[]> => {
  const rows = await database()
    .select({ model: catalogueModel.model })
    .from(catalogueModel)
    .orderBy(asc(catalogueModel.id));
  return rows.map((row) => row.model);
});

/** Ids and makers of the models this workspace brought in. */
export async function readOwnNames(workspaceId: string): Promise<{ id: string; maker: string }[]> {
  return database()
    .select({ id: workspaceModel.id, maker: sql<string>`${workspaceModel.model} ->> 'maker'` })
    .from(workspaceModel)
    .where(eq(workspaceModel.workspaceId, workspaceId));
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

/** Takes models with ids of their own into a workspace, all of them or none. `full` when they would not fit. */
export async function addOwnModels(
  workspaceId: string,
  models: readonly BladeModel[],
  duplicates: 'skip' | 'replace',
): Promise<TakenOver | 'full'> {
  return inWorkspace(workspaceId, (tx) => addModels(tx, workspaceId, models, duplicates));
}

/** Takes models over inside a change of the workspace. Throws {@link NoRoom} when they would not fit. */
export async function addModels(
  tx: Transaction,
  workspaceId: string,
  models: readonly BladeModel[],
  duplicates: 'skip' | 'replace',
): Promise<TakenOver> {
  const held = await tx
    .select({ id: workspaceModel.id })
    .from(workspaceModel)
    .where(eq(workspaceModel.workspaceId, workspaceId));
  const known = new Set(held.map((row) => row.id));
  const again = models.filter((m) => known.has(m.id)).length;
  if (held.length + models.length - again > MAX_MODELS) throw new NoRoom();
  const taken = duplicates === 'skip' ? models.filter((m) => !known.has(m.id)) : models;
  // one text for all: thousands of parameters would take longer than the writing
  await tx.execute(sql`
    insert into ${workspaceModel} (workspace_id, id, model)
    select ${workspaceId}::uuid, m ->> 'id', m from jsonb_array_elements(${JSON.stringify(taken)}::jsonb) m
    on conflict (workspace_id, id) do update set model = excluded.model`);
  return {
    added: models.length - again,
    replaced: duplicates === 'replace' ? again : 0,
    skipped: duplicates === 'skip' ? again : 0,
  };
}

/** Removes one of the workspace's models; what still names it when it may not go, null when there is none. */
export async function deleteOwnModel(workspaceId: string, id: string): Promise<'gone' | { usedBy: string[] } | null> {
  const which = and(eq(workspaceModel.workspaceId, workspaceId), eq(workspaceModel.id, id));
  const done = await inWorkspace(workspaceId, async (tx) => {
    const [row] = await tx.select({ model: workspaceModel.model }).from(workspaceModel).where(which);
    if (!row) return null;
    const usedBy = await usersOf(tx, workspaceId, row.model);
    if (usedBy.length > 0) return { usedBy };
    await tx.delete(workspaceModel).where(which);
    return 'gone' as const;
  });
  return done === 'full' ? null : done;
}
