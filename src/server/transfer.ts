import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { WorkspaceFile } from '../core/formats/workspaceFile';
import { kitchen, snapshot } from '../db/schema';
import { addModels, readOwnModels, type TakenOver } from './catalogue';
import { database } from './database';
import { addCorrections, listCorrections } from './corrections';
import { checkCount } from './kitchens';
import { inWorkspace } from './workspaces';

/** A workspace as the text of a `scabbard.workspace` file, one kitchen after the other: documents pass through as the database writes them. */
export async function* workspaceText(workspaceId: string): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  const models = await readOwnModels(workspaceId);
  yield encoder.encode(`{"format":"scabbard.workspace","version":1,"models":${JSON.stringify(models)},"kitchens":[`);
  const ids = await database()
    .select({ id: kitchen.id })
    .from(kitchen)
    .where(and(eq(kitchen.workspaceId, workspaceId), isNull(kitchen.deletedAt)))
    .orderBy(asc(kitchen.createdAt));
  for (const [i, { id }] of ids.entries())
    yield encoder.encode(`${i > 0 ? ',' : ''}\n${await kitchenText(workspaceId, id)}`);
  yield encoder.encode(`],"corrections":${JSON.stringify(await listCorrections(workspaceId))}}\n`);
}

async function kitchenText(workspaceId: string, id: string): Promise<string> {
  const [stored] = await database()
    .select({ text: sql<string>`${kitchen.document}::text`, at: kitchen.updatedAt })
    .from(kitchen)
    .where(and(eq(kitchen.workspaceId, workspaceId), eq(kitchen.id, id)));
  const beside = await database()
    .select({
      kind: snapshot.kind,
      name: snapshot.name,
      at: snapshot.createdAt,
      text: sql<string>`${snapshot.document}::text`,
    })
    .from(snapshot)
    .where(and(eq(snapshot.workspaceId, workspaceId), eq(snapshot.kitchenId, id)))
    .orderBy(asc(snapshot.createdAt));
  const written = beside.map(
    ({ kind, name, at, text }) =>
      `{"kind":"${kind}","name":${JSON.stringify(name)},"at":"${at.toISOString()}","kitchen":${text}}`,
  );
  const { text = '{}', at = new Date(0) } = stored ?? {};
  return `{"kitchen":${text},"changedAt":"${at.toISOString()}","kept":[${written.join(',')}]}`;
}

/** Takes a workspace file in beside what stands there, all of it or nothing; models of the same id stay as they are. `full` when it does not fit. */
export async function takeOver(
  workspaceId: string,
  { models, kitchens, corrections = [] }: WorkspaceFile,
): Promise<{ kitchens: number; models: TakenOver } | 'full'> {
  return inWorkspace(workspaceId, async (tx) => {
    const taken = await addModels(tx, workspaceId, models, 'skip');
    for (const { kitchen: document, kept: beside, changedAt } of kitchens) {
      const [made] = await tx
        .insert(kitchen)
        .values({
          workspaceId,
          name: document.name ?? 'My kitchen',
          document,
          ...(changedAt ? { updatedAt: new Date(changedAt) } : {}),
        })
        .returning({ id: kitchen.id });
      if (!made) throw new Error('the kitchen was not stored');
      const rows = beside.map(({ kind, name, at, kitchen: file }) => ({
        workspaceId,
        kitchenId: made.id,
        kind,
        name,
        document: file,
        ...(at ? { createdAt: new Date(at) } : {}),
      }));
      if (rows.length > 0) await tx.insert(snapshot).values(rows);
    }
    await checkCount(tx, workspaceId);
    if (corrections.length > 0) await addCorrections(tx, workspaceId, corrections);
    return { kitchens: kitchens.length, models: taken };
  });
}
