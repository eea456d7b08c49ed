// Kitchens may name models of their workspace: such a model stays as long as something names it.
import { and, eq, inArray, isNotNull, ne, or, sql } from 'drizzle-orm';
import type { BladeModel } from '../core/blade/schema';
import { FaultyInput } from '../core/formats/faults';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { namedModels } from '../core/kitchen/ids';
import { shippedModels } from '../../data/models';
import { reference } from '../../data/reference';
import type { Transaction } from '../db/connect';
import { kitchen, snapshot, workspaceModel } from '../db/schema';

const shipped = { ids: new Set(shippedModels.map(({ id }) => id)), makers: new Set(shippedModels.map((m) => m.maker)) };
/** Whether an id is one of the trade's, and not a model of a workspace. */
const isShipped = (id: string) => shipped.ids.has(id) || reference.types.has(id) || reference.tools.has(id);
const maker = sql<string>`${workspaceModel.model} ->> 'maker'`;

/**
 * Checks inside a change of a workspace that the models a kitchen names, which were there when it was read, are there still. Throws FaultyInput
 * with each that is gone.
 */
export async function checkModelsStand(tx: Transaction, workspaceId: string, file: KitchenFile): Promise<void> {
  const named = namedModels(file);
  const models = named.models.filter((id) => !isShipped(id));
  const isOwnMaker = named.maker !== null && !shipped.makers.has(named.maker);
  if (models.length === 0 && !isOwnMaker) return;
  const there = await tx
    .select({ id: workspaceModel.id, maker })
    .from(workspaceModel)
    .where(
      and(
        eq(workspaceModel.workspaceId, workspaceId),
        or(inArray(workspaceModel.id, models.length > 0 ? models : ['']), eq(maker, named.maker ?? '')),
      ),
    );
  const ids = new Set(there.map(({ id }) => id));
  const gone = models.filter((id) => !ids.has(id));
  if (isOwnMaker && !there.some((row) => row.maker === named.maker)) gone.push(named.maker ?? '');
  if (gone.length > 0)
    throw new FaultyInput(
      gone.map((id) => ({ path: 'kitchen', message: `names ${id}, which was deleted meanwhile; choose another` })),
    );
}

/** What names a model of a workspace, in words: kitchens, deleted ones too, and what is kept beside them. */
export async function usersOf(tx: Transaction, workspaceId: string, model: BladeModel): Promise<string[]> {
  const others = await tx.$count(
    workspaceModel,
    and(eq(workspaceModel.workspaceId, workspaceId), eq(maker, model.maker), ne(workspaceModel.id, model.id)),
  );
  const isLastOfMaker = others === 0 && !shipped.makers.has(model.maker);
  const names = (document: typeof kitchen.document | typeof snapshot.document) =>
    or(
      sql`strpos(${document}::text, ${JSON.stringify(model.id)}) > 0`,
      isLastOfMaker ? sql`${document} #>> '{limits,maker}' = ${model.maker}` : undefined,
    );
  const kitchens = await tx
    .select({ name: kitchen.name, isDeleted: isNotNull(kitchen.deletedAt) })
    .from(kitchen)
    .where(and(eq(kitchen.workspaceId, workspaceId), names(kitchen.document)));
  const kept = await tx
    .select({ name: snapshot.name, kind: snapshot.kind, of: kitchen.name })
    .from(snapshot)
    .innerJoin(kitchen, eq(kitchen.id, snapshot.kitchenId))
    .where(and(eq(snapshot.workspaceId, workspaceId), names(snapshot.document)));
  return [
    ...kitchens.map(({ name, isDeleted }) => (isDeleted ? `${name} (deleted, but still kept)` : name)),
    ...kept.map(({ name, kind, of }) => `the ${kind} ${name} of ${of}`),
  ];
}
