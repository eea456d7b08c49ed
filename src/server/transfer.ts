import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { kitchen, snapshot } from '../db/schema';
import { readOwnModels } from './catalogue';
import { database } from './database';
import { listCorrections } from './corrections';

/** A workspace as the text of a `scabbard.workspace` file, one kitchen after the other: documents pass through as the database writes them. */
export async function* workspaceText(workspaceId: string): AsyncGenerator<Uint8Array> {
  const encoder = new TextEncoder();
  const models = await readOwnModels(workspaceId);
  yield encoder.encode(`{"format":"scabbard.workspace","version":1,"models":${JSON.stringify(models)},"kitchens":[`);
  const ids = await database()
    .select({ id: kitchen.id })
    .from(kitchen)
    .where(and(eq(kitchen.workspaceId, workspaceId), isNull(kitchen.deletedAt)))
    .orderBy(asc(kitchen.createdAt), asc(kitchen.id));
  let between = '';
  for (const { id } of ids) {
    const text = await kitchenText(workspaceId, id);
    if (text === null) continue;
    yield encoder.encode(`${between}\n${text}`);
    between = ',';
  }
  yield encoder.encode(`],"corrections":${JSON.stringify(await listCorrections(workspaceId))}}\n`);
}

/** A kitchen and what is kept beside it; null where it was deleted meanwhile. */
async function kitchenText(workspaceId: string, id: string): Promise<string | null> {
  const [stored] = await database()
    .select({ text: sql<string>`${kitchen.document}::text`, at: kitchen.updatedAt })
    .from(kitchen)
    .where(and(eq(kitchen.workspaceId, workspaceId), eq(kitchen.id, id), isNull(kitchen.deletedAt)));
  if (!stored) return null;
  const beside = await database()
    .select({
      kind: snapshot.kind,
      name: snapshot.name,
      at: snapshot.createdAt,
      text: sql<string>`${snapshot.document}::text`,
    })
    .from(snapshot)
    .where(and(eq(snapshot.workspaceId, workspaceId), eq(snapshot.kitchenId, id)))
    .orderBy(asc(snapshot.createdAt), asc(snapshot.id));
  const written = beside.map(
    ({ kind, name, at, text }) =>
      `{"kind":"${kind}","name":${JSON.stringify(name)},"at":"${at.toISOString()}","kitchen":${text}}`,
  );
  const { text, at } = stored;
  return `{"kitchen":${text},"changedAt":"${at.toISOString()}","kept":[${written.join(',')}]}`;
}
