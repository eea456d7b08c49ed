import { and, desc, eq } from 'drizzle-orm';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { MAX_SNAPSHOTS } from '../core/formats/workspaceFile';
import { snapshot } from '../db/schema';
import { database } from './database';
import { isId, versionOf } from './kitchens';
import { checkModelsStand } from './usedModels';
import { inWorkspace, NoRoom } from './workspaces';

const of = (workspaceId: string, kitchenId: string) =>
  and(eq(snapshot.workspaceId, workspaceId), eq(snapshot.kitchenId, kitchenId));

/** What is kept beside a kitchen, newest first; null when there is no such kitchen here. */
export async function listSnapshots(workspaceId: string, kitchenId: string) {
  if ((await versionOf(workspaceId, kitchenId)) === null) return null;
  return database()
    .select({
      id: snapshot.id,
      kind: snapshot.kind,
      name: snapshot.name,
      createdAt: snapshot.createdAt,
      kitchen: snapshot.document,
    })
    .from(snapshot)
    .where(of(workspaceId, kitchenId))
    .orderBy(desc(snapshot.createdAt));
}

/** Keeps a kitchen file beside a kitchen. `full` when there are {@link MAX_SNAPSHOTS} already; null when there is no such kitchen here. */
export async function addSnapshot(
  workspaceId: string,
  kitchenId: string,
  { kind, name, kitchen }: { kind: 'snapshot' | 'scenario'; name: string; kitchen: KitchenFile },
): Promise<'added' | 'full' | null> {
  if ((await versionOf(workspaceId, kitchenId)) === null) return null;
  return inWorkspace(workspaceId, async (tx) => {
    await checkModelsStand(tx, workspaceId, kitchen);
    await tx.insert(snapshot).values({ workspaceId, kitchenId, kind, name, document: kitchen });
    if ((await tx.$count(snapshot, of(workspaceId, kitchenId))) > MAX_SNAPSHOTS) throw new NoRoom();
    return 'added' as const;
  });
}

/** False when there was nothing of that id here. */
export async function deleteSnapshot(workspaceId: string, kitchenId: string, id: string): Promise<boolean> {
  if (!isId(kitchenId) || !isId(id)) return false;
  const gone = await database()
    .delete(snapshot)
    .where(and(of(workspaceId, kitchenId), eq(snapshot.id, id)))
    .returning({ id: snapshot.id });
  return gone.length > 0;
}
