import { and, asc, desc, eq, isNull, lt, sql } from 'drizzle-orm';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { kitchen, sampleKitchen } from '../db/schema';
import { database } from './database';

/** Most kitchens one workspace may hold. */
export const MAX_KITCHENS = 200;
/** A deleted kitchen can be had back for this long, days. */
const KEPT_DAYS = 30;

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

/** Stores a new kitchen; null when the workspace is full. */
export async function createKitchen(workspaceId: string, file: KitchenFile): Promise<StoredKitchen | null> {
  const held = await database().$count(kitchen, standing(workspaceId));
  if (held >= MAX_KITCHENS) return null;
  const rows = await database()
    .insert(kitchen)
    .values({ workspaceId, name: nameOf(file), document: file })
    .returning(fields);
  return rows[0] ?? null;
}

/** Saves over the version that was read. `stale` when someone saved in between; null when there is no such kitchen here. */
export async function saveKitchen(
  workspaceId: string,
  id: string,
  version: number,
  file: KitchenFile,
): Promise<StoredKitchen | 'stale' | null> {
  if (!isId(id)) return null;
  const rows = await database()
    .update(kitchen)
    .set({ document: file, name: nameOf(file), version: sql`${kitchen.version} + 1`, updatedAt: new Date() })
    .where(and(mine(workspaceId, id), eq(kitchen.version, version)))
    .returning(fields);
  if (rows[0]) return rows[0];
  return (await readKitchen(workspaceId, id)) ? 'stale' : null;
}

/** Gives a kitchen another name, whatever version it has; null when there is none here. */
export async function renameKitchen(workspaceId: string, id: string, name: string): Promise<StoredKitchen | null> {
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
    .returning(fields);
  return rows[0] ?? null;
}

/** Puts a kitchen away; it can be had back for {@link KEPT_DAYS} days. False when there is no such kitchen here. */
export async function deleteKitchen(workspaceId: string, id: string): Promise<boolean> {
  if (!isId(id)) return false;
  const longAgo = new Date(Date.now() - KEPT_DAYS * 86_400_000);
  await database()
    .delete(kitchen)
    .where(and(eq(kitchen.workspaceId, workspaceId), lt(kitchen.deletedAt, longAgo)));
  const rows = await database()
    .update(kitchen)
    .set({ deletedAt: new Date() })
    .where(mine(workspaceId, id))
    .returning({ id: kitchen.id });
  return rows.length > 0;
}

/** Takes a deletion back. False when there is no such kitchen here. */
export async function restoreKitchen(workspaceId: string, id: string): Promise<boolean> {
  if (!isId(id)) return false;
  const rows = await database()
    .update(kitchen)
    .set({ deletedAt: null })
    .where(owned(workspaceId, id))
    .returning({ id: kitchen.id });
  return rows.length > 0;
}

/** The sample kitchens in their order. */
export async function listSamples() {
  return database().select().from(sampleKitchen).orderBy(asc(sampleKitchen.position));
}

/** One sample's document, or null. */
export async function readSample(id: string): Promise<KitchenFile | null> {
  const rows = await database().select().from(sampleKitchen).where(eq(sampleKitchen.id, id));
  return rows[0]?.document ?? null;
}
