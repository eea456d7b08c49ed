// A workspace file is staged while it arrives and takes its place only when all of it was read: all of it or nothing. What stands in the workspace
// already, just as it is in the file, is not added again, so that a second try doubles nothing.
import { randomUUID } from 'node:crypto';
import { and, asc, eq, lt, sql } from 'drizzle-orm';
import { FaultyInput } from '../core/formats/faults';
import type { KitchenFile } from '../core/formats/kitchenFile';
import type { Transaction } from '../db/connect';
import { importPart, kitchen, snapshot, workspaceModel } from '../db/schema';
import { addModels, readOwnNames, type TakenOver } from './catalogue';
import type { OwnNames } from './bodies';
import { addCorrections } from './corrections';
import { database } from './database';
import { checkCount } from './kitchens';
import { WorkspaceReader, type KitchenPart } from './workspaceReader';
import { inWorkspace } from './workspaces';

/** Parts of an import that was cut off are kept this long, ms. */
const FORGOTTEN_AFTER = 24 * 3_600_000;

export interface Imported {
  /** Kitchens that are new here. */
  kitchens: number;
  /** Kitchens that stood here already, just as they are in the file. */
  already: number;
  models: TakenOver;
}

/**
 * Imports a workspace file beside what stands in a workspace. `workspace` gives its id, and makes it where there is none yet. `full` when it does not
 * fit; throws FaultyInput with everything that is wrong, and then nothing is changed.
 */
export async function importWorkspace(
  bytes: AsyncIterable<Uint8Array>,
  current: string,
  workspace: () => Promise<string>,
): Promise<Imported | 'full'> {
  const importId = randomUUID();
  let staged = 0;
  const stage = async (part: KitchenPart) => {
    // once something is wrong nothing of the file will be stored
    if (!reader.isRight) return;
    await stagePart(importId, await workspace(), part);
    staged++;
  };
  const reader = new WorkspaceReader(await readOwnNames(current), stage);
  try {
    for await (const part of bytes) await reader.feed(part);
    await reader.end();
    if (reader.isUnchecked) await checkStaged(importId, reader);
    return await takeOver(await workspace(), importId, reader, staged);
  } finally {
    await database().delete(importPart).where(eq(importPart.importId, importId));
  }
}

async function stagePart(importId: string, workspaceId: string, part: KitchenPart): Promise<void> {
  const { position, beside, kind, name, at, text } = part;
  await database()
    .insert(importPart)
    .values({
      importId,
      workspaceId,
      position,
      beside,
      kind,
      name,
      at: at === undefined ? null : new Date(at),
      document: sql<KitchenFile>`${text}::jsonb`,
    });
}

/** Checks the ids in kitchens that came before the models they may name. */
async function checkStaged(importId: string, reader: WorkspaceReader): Promise<void> {
  const parts = await database()
    .select({ position: importPart.position, beside: importPart.beside })
    .from(importPart)
    .where(eq(importPart.importId, importId))
    .orderBy(asc(importPart.position), asc(importPart.beside));
  for (const part of parts) {
    const [row] = await database()
      .select({ text: sql<string>`${importPart.document}::text` })
      .from(importPart)
      .where(partOf(importId, part));
    await reader.check({ ...part, text: row?.text ?? '{}' });
  }
}

const partOf = (importId: string, { position, beside }: { position: number; beside: number }) =>
  and(eq(importPart.importId, importId), eq(importPart.position, position), eq(importPart.beside, beside));

/** Moves what was staged into the workspace, with models and corrections; kitchens that stand there already are left out. */
function takeOver(
  workspaceId: string,
  importId: string,
  reader: WorkspaceReader,
  staged: number,
): Promise<Imported | 'full'> {
  return inWorkspace(workspaceId, async (tx) => {
    const models = await addModels(tx, workspaceId, reader.models, 'skip');
    if ((await tx.$count(importPart, eq(importPart.importId, importId))) !== staged)
      throw new Error('parts of an import are missing');
    const positions = await newOnes(tx, workspaceId, importId);
    for (const [order, position] of positions.entries())
      await moveKitchen(tx, { workspaceId, importId, position, order, changedAt: reader.changed.get(position) });
    await checkOwnStand(tx, workspaceId, reader.own);
    await checkCount(tx, workspaceId);
    if (reader.corrections.length > 0) await addCorrections(tx, workspaceId, reader.corrections);
    return { kitchens: positions.length, already: (await countStaged(tx, importId)) - positions.length, models };
  });
}

/** The models of the workspace that ids were checked against must stand there still. Throws FaultyInput. */
async function checkOwnStand(tx: Transaction, workspaceId: string, own: OwnNames): Promise<void> {
  if (own.length === 0) return;
  const rows = await tx
    .select({ id: workspaceModel.id })
    .from(workspaceModel)
    .where(eq(workspaceModel.workspaceId, workspaceId));
  const there = new Set(rows.map(({ id }) => id));
  if (own.some(({ id }) => !there.has(id)))
    throw new FaultyInput([{ path: 'models', message: 'were deleted here during the import; import the file again' }]);
}

const countStaged = (tx: Transaction, importId: string) =>
  tx.$count(importPart, and(eq(importPart.importId, importId), eq(importPart.beside, 0)));

/** Positions of the staged kitchens that do not stand in the workspace yet: of equal ones, as many as the file has more. */
async function newOnes(tx: Transaction, workspaceId: string, importId: string): Promise<number[]> {
  const moment = (column: unknown) =>
    sql`coalesce(to_char(${column} at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS'), '')`;
  const { rows: staged } = await tx.execute<{ position: number; digest: string }>(sql`
    select k.position, md5(concat_ws('|', k.document::text, (
      select string_agg(md5(concat_ws('|', s.kind, s.name, ${moment(sql`s.at`)}, s.document::text)), ',' order by s.beside)
      from ${importPart} s where s.import_id = k.import_id and s.position = k.position and s.beside > 0))) as digest
    from ${importPart} k where k.import_id = ${importId} and k.beside = 0 order by k.position`);
  const { rows: standing } = await tx.execute<{ digest: string }>(sql`
    select md5(concat_ws('|', k.document::text, (
      select string_agg(md5(concat_ws('|', s.kind, s.name, ${moment(sql`s.created_at`)}, s.document::text)), ',' order by s.created_at, s.id)
      from ${snapshot} s where s.kitchen_id = k.id))) as digest
    from ${kitchen} k where k.workspace_id = ${workspaceId} and k.deleted_at is null`);
  const there = new Map<string, number>();
  for (const { digest } of standing) there.set(digest, (there.get(digest) ?? 0) + 1);
  return staged.flatMap(({ position, digest }) => {
    const left = there.get(digest) ?? 0;
    if (left > 0) there.set(digest, left - 1);
    return left > 0 ? [] : [position];
  });
}

interface Moving {
  workspaceId: string;
  importId: string;
  position: number;
  /** Place among the kitchens that are moved: the list of kitchens keeps the order of the file. */
  order: number;
  changedAt: Date | undefined;
}

async function moveKitchen(
  tx: Transaction,
  { workspaceId, importId, position, order, changedAt }: Moving,
): Promise<void> {
  const id = randomUUID();
  const when = changedAt?.toISOString() ?? null;
  await tx.execute(sql`
    insert into ${kitchen} (id, workspace_id, name, document, created_at, updated_at)
    select ${id}::uuid, ${workspaceId}::uuid, name, document, now() + ${order} * interval '1 millisecond', coalesce(${when}::timestamptz, now())
    from ${importPart} where import_id = ${importId} and position = ${position} and beside = 0`);
  await tx.execute(sql`
    insert into ${snapshot} (workspace_id, kitchen_id, kind, name, document, created_at)
    select ${workspaceId}::uuid, ${id}::uuid, kind, name, document, coalesce(at, now() + beside * interval '1 millisecond')
    from ${importPart} where import_id = ${importId} and position = ${position} and beside > 0 order by beside`);
}

/** Forgets parts of imports that were cut off long ago. */
export async function purgeImports(now: Date): Promise<void> {
  await database()
    .delete(importPart)
    .where(lt(importPart.createdAt, new Date(now.getTime() - FORGOTTEN_AFTER)));
}
