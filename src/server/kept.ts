import { and, desc, eq } from 'drizzle-orm';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { MAX_KEPT } from '../core/formats/workspaceFile';
import { kept } from '../db/schema';
import { database } from './database';
import { isId, versionOf } from './kitchens';
import { inWorkspace, NoRoom } from './workspaces';

const of = (workspaceId: string, kitchenId: string) =>
  and(eq(kept.workspaceId, workspaceId), eq(kept.kitchenId, kitchenId));

/** What is kept beside a kitchen, newest first; null when there is no such kitchen here. */
export async function listKept(workspaceId: string, kitchenId: string) {
  if ((await versionOf(workspaceId, kitchenId)) === null) return null;
  return database()
    .select({ id: kept.id, kind: kept.kind, name: kept.name, createdAt: kept.createdAt, kitchen: kept.document })
    .from(kept)
    .where(of(workspaceId, kitchenId))
    .orderBy(desc(kept.createdAt));
}

/** Keeps a kitchen file beside a kitchen. `full` when there are {@link MAX_KEPT} already; null when there is no such kitchen here. */
export async function keepBeside(
  workspaceId: string,
  kitchenId: string,
  { kind, name, kitchen }: { kind: 'snapshot' | 'scenario'; name: string; kitchen: KitchenFile },
): Promise<'kept' | 'full' | null> {
  if ((await versionOf(workspaceId, kitchenId)) === null) return null;
  return inWorkspace(workspaceId, async (tx) => {
    await tx.insert(kept).values({ workspaceId, kitchenId, kind, name, document: kitchen });
    if ((await tx.$count(kept, of(workspaceId, kitchenId))) > MAX_KEPT) throw new NoRoom();
    return 'kept' as const;
  });
}

/** False when there was nothing of that id here. */
export async function dropKept(workspaceId: string, kitchenId: string, id: string): Promise<boolean> {
  if (!isId(kitchenId) || !isId(id)) return false;
  const gone = await database()
    .delete(kept)
    .where(and(of(workspaceId, kitchenId), eq(kept.id, id)))
    .returning({ id: kept.id });
  return gone.length > 0;
}
