import { createHash, randomBytes } from 'node:crypto';
import { and, desc, eq, gt, lt } from 'drizzle-orm';
import { MAX_SHOWN, type ShownPlan } from '../core/formats/shownPlan';
import { kitchen, shownPlan } from '../db/schema';
import { database } from './database';
import { isId, versionOf } from './kitchens';
import { MadeOnce } from './madeOnce';
import { inWorkspace, NoRoom } from './workspaces';

const TOKEN = /^[A-Za-z0-9_-]{43}$/;
const DAY = 86_400_000;
const hash = (token: string) => createHash('sha256').update(`shown:${token}`).digest('hex');
const of = (workspaceId: string, kitchenId: string) =>
  and(eq(shownPlan.workspaceId, workspaceId), eq(shownPlan.kitchenId, kitchenId));

/** The links of a kitchen that still open something, newest first; null when there is no such kitchen here. */
export async function listShown(workspaceId: string, kitchenId: string) {
  if ((await versionOf(workspaceId, kitchenId)) === null) return null;
  return database()
    .select({
      id: shownPlan.id,
      withPrices: shownPlan.withPrices,
      createdAt: shownPlan.createdAt,
      expiresAt: shownPlan.expiresAt,
    })
    .from(shownPlan)
    .where(and(of(workspaceId, kitchenId), gt(shownPlan.expiresAt, new Date())))
    .orderBy(desc(shownPlan.createdAt));
}

/**
 * Shows a plan to whoever has the token that is returned, once; only its hash is kept. `full` when the kitchen has {@link MAX_SHOWN} links or the
 * workspace no room; null when there is no such kitchen here.
 */
export async function showPlan(
  workspaceId: string,
  kitchenId: string,
  document: ShownPlan,
  days: number,
): Promise<{ token: string } | 'full' | null> {
  if ((await versionOf(workspaceId, kitchenId)) === null) return null;
  const token = randomBytes(32).toString('base64url');
  return inWorkspace(workspaceId, async (tx) => {
    await tx.delete(shownPlan).where(and(of(workspaceId, kitchenId), lt(shownPlan.expiresAt, new Date())));
    const { withPrices } = document;
    const expiresAt = new Date(Date.now() + days * DAY);
    await tx
      .insert(shownPlan)
      .values({ workspaceId, kitchenId, tokenHash: hash(token), withPrices, document, expiresAt });
    if ((await tx.$count(shownPlan, of(workspaceId, kitchenId))) > MAX_SHOWN) throw new NoRoom();
    return { token };
  });
}

/** Withdraws a link. False when there was none of that id here. */
export async function withdrawShown(workspaceId: string, kitchenId: string, id: string): Promise<boolean> {
  if (!isId(kitchenId) || !isId(id)) return false;
  const gone = await database()
    .delete(shownPlan)
    .where(and(of(workspaceId, kitchenId), eq(shownPlan.id, id)))
    .returning({ id: shownPlan.id });
  return gone.length > 0;
}

/** Pages of shown plans, by the plan and the language of its reader: the plan of a link never changes. */
export const shownPages = new MadeOnce(32 * 1024 * 1024);

/** What a link shows, whoever asks; null when it never was, is withdrawn or has run out, or its kitchen was deleted. */
export async function readShown(
  token: string,
): Promise<{ id: string; document: ShownPlan; createdAt: Date; expiresAt: Date } | null> {
  if (!TOKEN.test(token)) return null;
  const [found] = await database()
    .select({
      id: shownPlan.id,
      document: shownPlan.document,
      createdAt: shownPlan.createdAt,
      expiresAt: shownPlan.expiresAt,
      deletedAt: kitchen.deletedAt,
    })
    .from(shownPlan)
    .innerJoin(kitchen, eq(kitchen.id, shownPlan.kitchenId))
    .where(and(eq(shownPlan.tokenHash, hash(token)), gt(shownPlan.expiresAt, new Date())));
  return found && found.deletedAt === null ? found : null;
}

/** Removes links that have run out. */
export async function purgeShown(now: Date): Promise<void> {
  await database().delete(shownPlan).where(lt(shownPlan.expiresAt, now));
}
