import { createHash, randomBytes } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { workspace } from '../db/schema';
import { database } from './database';

export const WORKSPACE_COOKIE = 'scabbard_workspace';
/** A year: the cookie is the only key to an anonymous workspace. */
export const COOKIE_SECONDS = 365 * 24 * 3600;

const TOKEN = /^[A-Za-z0-9_-]{43}$/;
const hash = (token: string) => createHash('sha256').update(token).digest('hex');

/** The workspace a cookie's token opens, or null. */
export async function findWorkspace(token: string | undefined): Promise<string | null> {
  if (!token || !TOKEN.test(token)) return null;
  const rows = await database()
    .select({ id: workspace.id })
    .from(workspace)
    .where(eq(workspace.tokenHash, hash(token)));
  return rows[0]?.id ?? null;
}

/** Makes an anonymous workspace. The token is returned once and only its hash is kept. */
export async function createWorkspace(): Promise<{ id: string; token: string }> {
  const token = randomBytes(32).toString('base64url');
  const rows = await database()
    .insert(workspace)
    .values({ tokenHash: hash(token) })
    .returning({ id: workspace.id });
  const id = rows[0]?.id;
  if (!id) throw new Error('the workspace was not stored');
  return { id, token };
}
