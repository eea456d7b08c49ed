import type { APIContext } from 'astro';
import { and, asc, desc, eq, gt, isNotNull, isNull, lt, or, sql } from 'drizzle-orm';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { MAX_KITCHENS } from '../core/formats/workspaceFile';
import type { Transaction } from '../db/connect';
import { kitchen, sampleKitchen } from '../db/schema';
import { database } from './database';
import { Answer, notFound } from './http';
import { reread } from './reread';
import { checkModelsStand } from './usedModels';
import { inWorkspace, NoRoom } from './workspaces';

/** A deleted kitchen can be had back for this long, days. */
const KEPT_DAYS = 30;
const longAgo = (now: Date) => new Date(now.getTime() - KEPT_DAYS * 86_400_000);

export interface StoredKitchen {
  id: string;
  version: number;
  kitchen: KitchenFile;
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
/** Whether a text can be the id of anything stored. */
export const isId = (id: string): boolean => UUID.test(id);
const owned = (workspaceId: string, id: string) => and(eq(kitchen.workspaceId, workspaceId), eq(kitchen.id, id));
const mine = (workspaceId: string, id: string) => and(owned(workspaceId, id), isNull(kitchen.deletedAt));
const standing = (workspaceId: string) => and(eq(kitchen.workspaceId, workspaceId), isNull(kitchen.deletedAt));
const fields = { id: kitchen.id, version: kitchen.version, kitchen: kitchen.document };
const nameOf = (file: KitchenFile) => file.name ?? 'My kitchen';

/** The workspace's kitchens, last changed first. */
export async function listKitchens(workspaceId: string) {
  return database()
    .select({ id: kitchen.id, name: kitchen.name, updatedAt: kitchen.updatedAt })
    .from(kitchen)
    .where(standing(workspaceId))
    .orderBy(desc(kitchen.updatedAt));
}

/** One kitchen of this workspace; null when there is none, whoever else may have it. */
export async function readKitchen(workspaceId: string, id: string): Promise<StoredKitchen | null> {
  if (!isId(id)) return null;
  const rows = await database().select(fields).from(kitchen).where(mine(workspaceId, id));
  return rows[0] ?? null;
}

/** The kitchen a page is asked for. */
export const kitchenOf = ({ locals, params }: Pick<APIContext, 'locals' | 'params'>): Promise<StoredKitchen | null> =>
  readKitchen(locals.workspaceId, params.id ?? '');

/** Throws {@link NoRoom} where a workspace holds more kitchens than it may. */
export async function checkCount(tx: Transaction, workspaceId: string): Promise<void> {
  if ((await tx.$count(kitchen, standing(workspaceId))) > MAX_KITCHENS) throw new NoRoom();
}

/** Stores a new kitchen; `full` when the workspace is. */
export async function createKitchen(workspaceId: string, file: KitchenFile): Promise<StoredKitchen | 'full'> {
  return inWorkspace(workspaceId, async (tx) => {
    await checkModelsStand(tx, workspaceId, file);
    const [made] = await tx
      .insert(kitchen)
      .values({ workspaceId, name: nameOf(file), document: file })
      .returning({ id: kitchen.id, version: kitchen.version });
    if (!made) throw new Error('the kitchen was not stored');
    await checkCount(tx, workspaceId);
    return { ...made, kitchen: file };
  });
}

/** Saves over the version that was read. `stale` when someone saved in between, `full` when the workspace is; null when there is no such kitchen here. */
export async function saveKitchen(
  workspaceId: string,
  id: string,
  version: number,
  file: KitchenFile,
): Promise<{ version: number } | 'stale' | 'full' | null> {
  if (!isId(id)) return null;
  return inWorkspace(workspaceId, async (tx) => {
    await checkModelsStand(tx, workspaceId, file);
    const [saved] = await tx
      .update(kitchen)
      .set({ document: file, name: nameOf(file), version: sql`${kitchen.version} + 1`, updatedAt: new Date() })
      .where(and(mine(workspaceId, id), eq(kitchen.version, version)))
      .returning({ version: kitchen.version });
    if (saved) return saved;
    return (await tx.$count(kitchen, mine(workspaceId, id))) > 0 ? 'stale' : null;
  });
}

/** Version of a kitchen; null when there is none here. */
export async function versionOf(workspaceId: string, id: string): Promise<number | null> {
  if (!isId(id)) return null;
  const rows = await database().select({ version: kitchen.version }).from(kitchen).where(mine(workspaceId, id));
  return rows[0]?.version ?? null;
}

/** Throws {@link Answer} with 404 where a workspace has no such kitchen: asked before a long body is read. */
export async function requireKitchen(workspaceId: string, id: string): Promise<void> {
  if ((await versionOf(workspaceId, id)) === null) throw new Answer(notFound());
}

/** Gives a kitchen another name, whatever version it has; null when there is none here. */
export async function renameKitchen(
  workspaceId: string,
  id: string,
  name: string,
): Promise<{ version: number } | null> {
  if (!isId(id)) return null;
  const rows = await database()
    .update(kitchen)
    .set({
      name,
      document: sql`jsonb_set(${kitchen.document}, '{name}', ${JSON.stringify(name)}::jsonb)`,
      version: sql`${kitchen.version} + 1`,
      updatedAt: new Date(),
    })
    .where(mine(workspaceId, id))
    .returning({ version: kitchen.version });
  return rows[0] ?? null;
}

/** Puts a kitchen away; it can be had back for {@link KEPT_DAYS} days. False when there is no such kitchen here. */
export async function deleteKitchen(workspaceId: string, id: string): Promise<boolean> {
  if (!isId(id)) return false;
  const rows = await database()
    .update(kitchen)
    .set({ deletedAt: new Date() })
    .where(mine(workspaceId, id))
    .returning({ id: kitchen.id });
  return rows.length > 0;
}

const deleted = (workspaceId: string) => and(eq(kitchen.workspaceId, workspaceId), isNotNull(kitchen.deletedAt));

/** Takes a deletion back. False when there is no such kitchen here, or it was deleted too long ago; `full` when the workspace is. */
export async function restoreKitchen(workspaceId: string, id: string): Promise<boolean | 'full'> {
  if (!isId(id)) return false;
  return inWorkspace(workspaceId, async (tx) => {
    const rows = await tx
      .update(kitchen)
      .set({ deletedAt: null })
      .where(and(owned(workspaceId, id), or(isNull(kitchen.deletedAt), gt(kitchen.deletedAt, longAgo(new Date())))))
      .returning({ id: kitchen.id });
    await checkCount(tx, workspaceId);
    return rows.length > 0;
  });
}

/** Deleted kitchens that can still be had back, last deleted first. */
export async function listDeleted(workspaceId: string) {
  return database()
    .select({ id: kitchen.id, name: kitchen.name, deletedAt: kitchen.deletedAt })
    .from(kitchen)
    .where(deleted(workspaceId))
    .orderBy(desc(kitchen.deletedAt));
}

/** Removes the workspace's deleted kitchens for good. */
export async function emptyDeleted(workspaceId: string): Promise<void> {
  await database().delete(kitchen).where(deleted(workspaceId));
}

/** Removes every kitchen deleted more than {@link KEPT_DAYS} days ago. */
export async function purgeDeleted(now: Date): Promise<void> {
  await database()
    .delete(kitchen)
    .where(lt(kitchen.deletedAt, longAgo(now)));
}

/** How long the sample kitchens are taken as they were read, ms: they change only when a release is started. */
const SAMPLES_MS = 10 * 60_000;

/** What is told of the sample kitchens, in their order; read again every ten minutes. */
export const listSamples = reread(SAMPLES_MS, async () => {
  const rows = await database().select().from(sampleKitchen).orderBy(asc(sampleKitchen.position));
  return rows.map(({ id, about, document }) => ({ id, about, name: document.name ?? id }));
});

/** One sample's document, or null. */
export async function readSample(id: string): Promise<KitchenFile | null> {
  const rows = await database().select().from(sampleKitchen).where(eq(sampleKitchen.id, id));
  return rows[0]?.document ?? null;
}
