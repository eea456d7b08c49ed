import { createHash, randomBytes } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import type { SharpeningDay } from '../core/formats/sharpeningDays';
import { edgeCalendar, kitchen } from '../db/schema';
import { database } from './database';
import { isId, versionOf } from './kitchens';
import { inWorkspace } from './workspaces';

const TOKEN = /^[A-Za-z0-9_-]{43}$/;
const hash = (token: string) => createHash('sha256').update(`calendar:${token}`).digest('hex');
const of = (workspaceId: string, kitchenId: string) =>
  and(eq(edgeCalendar.workspaceId, workspaceId), eq(edgeCalendar.kitchenId, kitchenId));

/** Whether a kitchen has a calendar address, and since when its days stand; null when there is no such kitchen here. */
export async function calendarState(workspaceId: string, kitchenId: string) {
  if ((await versionOf(workspaceId, kitchenId)) === null) return null;
  const [found] = await database()
    .select({ changedAt: edgeCalendar.changedAt })
    .from(edgeCalendar)
    .where(of(workspaceId, kitchenId));
  return { open: found !== undefined, changedAt: found?.changedAt ?? null };
}

/**
 * Gives a kitchen a new calendar address, told once; the one before opens nothing any more. `full` when the workspace has no room, null when there
 * is no such kitchen here.
 */
export async function openCalendar(
  workspaceId: string,
  kitchenId: string,
  document: SharpeningDay[],
): Promise<{ token: string } | 'full' | null> {
  if ((await versionOf(workspaceId, kitchenId)) === null) return null;
  const token = randomBytes(32).toString('base64url');
  return inWorkspace(workspaceId, async (tx) => {
    const values = { workspaceId, kitchenId, tokenHash: hash(token), document, changedAt: new Date() };
    await tx.insert(edgeCalendar).values(values).onConflictDoUpdate({ target: edgeCalendar.kitchenId, set: values });
    return { token };
  });
}

/** Puts the days of an open calendar anew. False where it has no address; `full` when the workspace has no room. */
export async function changeCalendar(
  workspaceId: string,
  kitchenId: string,
  document: SharpeningDay[],
): Promise<boolean | 'full'> {
  if (!isId(kitchenId)) return false;
  return inWorkspace(workspaceId, async (tx) => {
    const changed = await tx
      .update(edgeCalendar)
      .set({ document, changedAt: new Date() })
      .where(of(workspaceId, kitchenId))
      .returning({ id: edgeCalendar.kitchenId });
    return changed.length > 0;
  });
}

/** Revokes a calendar address. False when there was none. */
export async function closeCalendar(workspaceId: string, kitchenId: string): Promise<boolean> {
  if (!isId(kitchenId)) return false;
  const gone = await database()
    .delete(edgeCalendar)
    .where(of(workspaceId, kitchenId))
    .returning({ id: edgeCalendar.kitchenId });
  return gone.length > 0;
}

/** The days behind an address, whoever asks; null when it never was or is revoked, or its kitchen was deleted. */
export async function readCalendar(token: string) {
  if (!TOKEN.test(token)) return null;
  const [found] = await database()
    .select({
      id: edgeCalendar.kitchenId,
      days: edgeCalendar.document,
      changedAt: edgeCalendar.changedAt,
      name: kitchen.name,
      deletedAt: kitchen.deletedAt,
    })
    .from(edgeCalendar)
    .innerJoin(kitchen, eq(kitchen.id, edgeCalendar.kitchenId))
    .where(eq(edgeCalendar.tokenHash, hash(token)));
  return found && found.deletedAt === null ? found : null;
}
