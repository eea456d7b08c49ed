import { Refused } from '../client/http';
import { fetchVersion, saveKitchen } from '../client/saving';
import type { NewSnapshot, Snapshot } from '../client/snapshots';
import type { StoredKitchen } from '../client/kitchens';
import type { KitchenFile } from '../core/formats/kitchenFile';
import type { takeUp } from './takeUp';

/** A save's outcome: the new version, or why the server refused. */
export type Saved = { version: number } | { refused: number; why: string };

/** What reads kitchens that come in is loaded when the first comes. */
const reading = () => import('./reading');

/** What a page asks of the server through the worker: saving, fetching, and what is kept beside a kitchen. */
export const session = {
  /** Saves over a version, or over what the page before left on its way; `left` is its note of that. */
  async save(id: string, version: number, kitchen: KitchenFile, left: string): Promise<Saved> {
    try {
      const saved = await saveKitchen(id, version, kitchen).catch(async (error: unknown) => {
        if (!(error instanceof Refused) || error.status !== 409 || !left) throw error;
        const { fetchKitchen, standing } = await reading();
        const theirs = await fetchKitchen(id);
        if (standing(left, theirs) === 'foreign') throw error;
        return saveKitchen(id, theirs.version, kitchen);
      });
      return { version: saved };
    } catch (error) {
      const refused = error instanceof Refused ? error : new Refused(0, 'The kitchen could not be saved.');
      const faults = refused.faults.map((f) => `${f.path}: ${f.message}`).join('; ');
      return { refused: refused.status, why: faults || refused.message };
    }
  },

  /** The kitchen as the server has it now. */
  fetch: async (id: string): Promise<StoredKitchen> => (await reading()).fetchKitchen(id),
  /** The version it has there. */
  version: (id: string): Promise<number> => fetchVersion(id),

  /** Snapshots and scenarios kept beside a kitchen. */
  addSnapshot: async (id: string, as: NewSnapshot): Promise<void> => (await reading()).addSnapshot(id, as),
  listSnapshots: async (id: string): Promise<Snapshot[]> => (await reading()).listSnapshots(id),
  deleteSnapshot: async (id: string, snapshot: string): Promise<void> => (await reading()).deleteSnapshot(id, snapshot),

  takeUp: async (...left: Parameters<typeof takeUp>) => (await reading()).takeUp(...left),
};
