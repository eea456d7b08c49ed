import { createHash, randomBytes } from 'node:crypto';
import { and, eq, exists, lt, ne, not, sql } from 'drizzle-orm';
import { inTransaction, type Transaction } from '../db/connect';
import {
  edgeCalendar,
  snapshot,
  kitchen,
  recipeCorrection,
  shownPlan,
  workspace,
  workspaceKey,
  workspaceModel,
} from '../db/schema';
import { database } from './database';

export const WORKSPACE_COOKIE = 'scabbard_workspace';
/** A year from the last visit. */
export const COOKIE_SECONDS = 365 * 24 * 3600;
/** Most a workspace may hold, bytes of documents, deleted ones included. */
export const MAX_BYTES = 64 * 1024 * 1024;
/** A workspace in which nothing stands is forgotten after this many days unused. */
const EMPTY_DAYS = 30;
const DAY = 86_400_000;

const TOKEN = /^[A-Za-z0-9_-]{43}$/;
const hash = (token: string) => createHash('sha256').update(token).digest('hex');
const newToken = () => randomBytes(32).toString('base64url');

/** What every request asks, prepared once for each connection. */
const prepareKeyed = () =>
  database()
    .select({ id: workspace.id, seenAt: workspace.seenAt })
    .from(workspaceKey)
    .innerJoin(workspace, eq(workspace.id, workspaceKey.workspaceId))
    .where(eq(workspaceKey.tokenHash, sql.placeholder('tokenHash')))
    .prepare('workspace_of_key');
let prepared: ReturnType<typeof prepareKeyed> | null = null;
const keyed = () => (prepared ??= prepareKeyed());

/** The workspace a cookie's token opens, or null. Once a day it is noted that it was used. */
export async function findWorkspace(token: string | undefined): Promise<string | null> {
  if (!token || !TOKEN.test(token)) return null;
  const [found] = await keyed().execute({ tokenHash: hash(token) });
  if (!found) return null;
  if (Date.now() - found.seenAt.getTime() > DAY)
    await database().update(workspace).set({ seenAt: new Date() }).where(eq(workspace.id, found.id));
  return found.id;
}

/** Makes an anonymous workspace. The token is returned once and only its hash is kept. */
export async function createWorkspace(): Promise<{ id: string; token: string }> {
  return inTransaction(database(), async (tx) => {
    const [made] = await tx.insert(workspace).values({}).returning({ id: workspace.id });
    if (!made) throw new Error('the workspace was not stored');
    return { id: made.id, token: await newKey(tx, made.id) };
  });
}

async function newKey(tx: Transaction, workspaceId: string): Promise<string> {
  const token = newToken();
  await tx.insert(workspaceKey).values({ tokenHash: hash(token), workspaceId });
  return token;
}

/** Thrown inside {@link inWorkspace}: everything done there is taken back. */
export class NoRoom extends Error {}

/**
 * Changes a workspace, one change at a time: limits counted inside hold however many ask at once. What is written must fit into
 * {@link MAX_BYTES}; where it does not, or `work` throws {@link NoRoom}, all of it is taken back and `full` returned.
 */
export async function inWorkspace<T>(workspaceId: string, work: (tx: Transaction) => Promise<T>): Promise<T | 'full'> {
  try {
    return await inTransaction(database(), async (tx) => {
      await tx.select({ id: workspace.id }).from(workspace).where(eq(workspace.id, workspaceId)).for('update');
      const done = await work(tx);
      if ((await bytesOf(tx, workspaceId)) > MAX_BYTES) throw new NoRoom();
      return done;
    });
  } catch (error) {
    if (error instanceof NoRoom) return 'full';
    throw error;
  }
}

async function bytesOf(tx: Transaction, workspaceId: string): Promise<number> {
  const sum = (
    table: typeof kitchen | typeof snapshot | typeof workspaceModel | typeof shownPlan | typeof edgeCalendar,
  ) => sql`(select coalesce(sum(${table.bytes}), 0) from ${table} where ${table.workspaceId} = ${workspaceId})`;
  const { rows } = await tx.execute<{ bytes: string }>(
    sql`select ${sum(kitchen)} + ${sum(snapshot)} + ${sum(workspaceModel)} + ${sum(shownPlan)} + ${sum(edgeCalendar)} as bytes`,
  );
  return Number(rows[0]?.bytes ?? 0);
}

/** Letters of recovery codes: none that is taken for another. */
const LETTERS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';
const GROUPS = 5;
const PER_GROUP = 5;

/** A code as it is stored, however it was typed. */
const recoveryHash = (code: string) => hash(`recovery:${code.toUpperCase().replace(/[^0-9A-Z]/g, '')}`);

/** A new code that opens the workspace in another browser; the one before no longer does. It is shown once and only its hash kept. */
export async function newRecoveryCode(workspaceId: string): Promise<string> {
  const letters = [...randomBytes(GROUPS * PER_GROUP)].map((byte) => LETTERS[byte % LETTERS.length] ?? '');
  const code = Array.from({ length: GROUPS }, (_, i) =>
    letters.slice(i * PER_GROUP, (i + 1) * PER_GROUP).join(''),
  ).join('-');
  await database()
    .update(workspace)
    .set({ recoveryHash: recoveryHash(code) })
    .where(eq(workspace.id, workspaceId));
  return code;
}

/** A new key to the workspace a recovery code opens; null when it opens none. */
export async function openWithCode(code: string): Promise<{ id: string; token: string } | null> {
  return inTransaction(database(), async (tx) => {
    const [found] = await tx
      .select({ id: workspace.id })
      .from(workspace)
      .where(eq(workspace.recoveryHash, recoveryHash(code)));
    return found ? { id: found.id, token: await newKey(tx, found.id) } : null;
  });
}

/** The keys of a workspace other than the one of this token. */
const otherKeys = (workspaceId: string, token: string) =>
  and(eq(workspaceKey.workspaceId, workspaceId), ne(workspaceKey.tokenHash, hash(token)));

/** How many other browsers open a workspace. */
export const countOtherKeys = (workspaceId: string, token: string): Promise<number> =>
  database().$count(workspaceKey, otherKeys(workspaceId, token));

/** Ends the access of every other browser; returns how many there were. */
export async function endOtherKeys(workspaceId: string, token: string): Promise<number> {
  const gone = await database()
    .delete(workspaceKey)
    .where(otherKeys(workspaceId, token))
    .returning({ key: workspaceKey.tokenHash });
  return gone.length;
}

/** Whether anything stands in a workspace. */
export async function isEmpty(workspaceId: string): Promise<boolean> {
  const held = await Promise.all(
    [kitchen, workspaceModel, recipeCorrection].map((table) =>
      database().$count(table, eq(table.workspaceId, workspaceId)),
    ),
  );
  return held.every((count) => count === 0);
}

/** Removes a workspace and everything in it, deleted kitchens and every browser's key included. It cannot be had back. */
export async function forgetWorkspace(workspaceId: string): Promise<void> {
  await database().delete(workspace).where(eq(workspace.id, workspaceId));
}

/** Removes workspaces that hold nothing and were not used for {@link EMPTY_DAYS} days. */
export async function purgeEmptyWorkspaces(now: Date): Promise<void> {
  const holds = (table: typeof kitchen | typeof workspaceModel | typeof recipeCorrection) =>
    exists(
      database()
        .select({ one: sql`1` })
        .from(table)
        .where(eq(table.workspaceId, workspace.id)),
    );
  await database()
    .delete(workspace)
    .where(
      and(
        lt(workspace.seenAt, new Date(now.getTime() - EMPTY_DAYS * DAY)),
        not(holds(kitchen)),
        not(holds(workspaceModel)),
        not(holds(recipeCorrection)),
      ),
    );
}
