import { and, asc, eq, sql } from 'drizzle-orm';
import { MAX_CORRECTIONS } from '../core/formats/workspaceFile';
import type { Transaction } from '../db/connect';
import { recipeCorrection } from '../db/schema';
import { database } from './database';
import { inWorkspace, NoRoom } from './workspaces';

export interface Correction {
  words: string;
  task: string | null;
}

/** What a workspace said of lines of recipes, by their words. */
export const listCorrections = (workspaceId: string): Promise<Correction[]> =>
  database()
    .select({ words: recipeCorrection.words, task: recipeCorrection.task })
    .from(recipeCorrection)
    .where(eq(recipeCorrection.workspaceId, workspaceId))
    .orderBy(asc(recipeCorrection.words));

/** Writes corrections within a change of their workspace; of the same words the new one counts. Throws {@link NoRoom} beyond {@link MAX_CORRECTIONS}. */
export async function addCorrections(tx: Transaction, workspaceId: string, corrections: readonly Correction[]) {
  await tx
    .insert(recipeCorrection)
    .values(corrections.map((each) => ({ workspaceId, ...each })))
    .onConflictDoUpdate({
      target: [recipeCorrection.workspaceId, recipeCorrection.words],
      set: { task: sql`excluded.task` },
    });
  if ((await tx.$count(recipeCorrection, eq(recipeCorrection.workspaceId, workspaceId))) > MAX_CORRECTIONS)
    throw new NoRoom();
}

/** Remembers a correction; `full` when there are {@link MAX_CORRECTIONS} others. */
export const remember = (workspaceId: string, correction: Correction): Promise<'full' | 'remembered'> =>
  inWorkspace(workspaceId, async (tx) => {
    await addCorrections(tx, workspaceId, [correction]);
    return 'remembered' as const;
  });

/** Forgets what was said of these words. */
export async function forget(workspaceId: string, words: string): Promise<void> {
  await database()
    .delete(recipeCorrection)
    .where(and(eq(recipeCorrection.workspaceId, workspaceId), eq(recipeCorrection.words, words)));
}
