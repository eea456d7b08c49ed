import { dropKept, keepBeside, listKept, type Kept, type NewlyKept } from '../client/kept';
import { Refused } from '../client/http';
import { fetchKitchen, fetchVersion, saveKitchen, type StoredKitchen } from '../client/kitchens';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { standing, takeUp } from './takeUp';

/** A save's outcome: the new version, or why the server refused. */
export type Saved = { version: number } | { refused: number; why: string };

/** What a page asks of the server through the worker: saving, fetching, and what is kept beside a kitchen. */
export const session = {
  /** Saves over a version, or over what the page before left on its way; `left` is its note of that. */
  async save(id: string, version: number, kitchen: KitchenFile, left: string): Promise<Saved> {
    try {
      return await saveKitchen(id, version, kitchen).catch(async (error: unknown) => {
        if (!(error instanceof Refused) || error.status !== 409 || !left) throw error;
        const theirs = await fetchKitchen(id);
        if (standing(left, theirs) === 'foreign') throw error;
        return saveKitchen(id, theirs.version, kitchen);
      });
    } catch (error) {
      const refused = error instanceof Refused ? error : new Refused(0, 'The kitchen could not be saved.');
      const faults = refused.faults.map((f) => `${f.path}: ${f.message}`).join('; ');
      return { refused: refused.status, why: faults || refused.message };
    }
  },

  /** The kitchen as the server has it now. */
  fetch: (id: string): Promise<StoredKitchen> => fetchKitchen(id),
  /** The version it has there. */
  version: (id: string): Promise<number> => fetchVersion(id),

  /** Snapshots and scenarios kept beside a kitchen. */
  keep: (id: string, as: NewlyKept): Promise<void> => keepBeside(id, as),
  listKept: (id: string): Promise<Kept[]> => listKept(id),
  dropKept: (id: string, kept: string): Promise<void> => dropKept(id, kept),

  takeUp,
};
