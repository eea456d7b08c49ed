import { expose } from 'comlink';
import { reference } from '../../data/reference';
import type { BladeModel } from '../core/blade/schema';
import type { KitchenFile } from '../core/formats/kitchenFile';
import type { Plan } from '../core/formats/planFile';
import { explain, type Explanation } from '../core/fit/score';
import { fetchCatalogue } from '../client/catalogue';
import { Refused } from '../client/http';
import { fetchKitchen, saveKitchen, type StoredKitchen } from '../client/kitchens';
import { QUICK, THOROUGH } from '../core/kit/choose';
import { planFrom, stepsOf } from '../core/kit/plan';
import { Doubt } from '../core/kit/sure';
import { layOut, type Workbench } from '../core/kit/workbench';

let models: BladeModel[] = [];
let bench: Workbench | null = null;
let asked = 0;

/** Lets waiting messages in: a newer question comes before an older one's details. */
const breathe = () => new Promise((resolve) => setTimeout(resolve, 0));

/** A save's outcome: the new version, or why the server refused. */
export type Saved = { version: number } | { refused: number; why: string };

/** What the kitchen page asks for. Of questions the latest wins; older ones come back as null. */
const kitchenWorker = {
  /** Saves over a version. */
  async save(id: string, version: number, kitchen: KitchenFile): Promise<Saved> {
    try {
      return await saveKitchen(id, version, kitchen);
    } catch (error) {
      const refused = error instanceof Refused ? error : new Refused(0, 'The kitchen could not be saved.');
      const faults = refused.faults.map((f) => `${f.path}: ${f.message}`).join('; ');
      return { refused: refused.status, why: faults || refused.message };
    }
  },

  /** The kitchen as the server has it now. */
  fetch: (id: string): Promise<StoredKitchen> => fetchKitchen(id),

  /** Fetches the catalogue and hands it back for drawing. */
  async load(): Promise<BladeModel[]> {
    models = await fetchCatalogue();
    bench = null;
    return models;
  },

  /** A first answer, quickly. */
  quick(file: KitchenFile): { plan: Plan; owned: BladeModel[]; milliseconds: number } {
    asked++;
    const began = performance.now();
    bench = layOut(file, reference, models, undefined, bench);
    const plan = planFrom(bench, { perturbed: 0, effort: QUICK });
    return { plan, owned: bench.owned.map((knife) => knife.blade.blade), milliseconds: performance.now() - began };
  },

  /** The same question searched harder; null when a newer one has come. */
  async thorough(): Promise<Plan | null> {
    const mine = asked;
    await breathe();
    if (!bench || mine !== asked) return null;
    return planFrom(bench, { perturbed: 0, effort: THOROUGH });
  },

  /** How often each step stays under small changes, a share per step; null when a newer question has come. */
  async sure(plan: Plan, runs: number): Promise<number[] | null> {
    const mine = asked;
    if (!bench) return null;
    const doubt = new Doubt(bench, stepsOf(bench, plan));
    for (let run = 0; run < runs; run++) {
      await breathe();
      if (mine !== asked) return null;
      doubt.run();
    }
    return doubt.stayed();
  },

  /** A score taken apart: a catalogue model or an owned knife (by index) at one task. */
  explain(target: { model: string } | { owned: number }, taskId: string): Explanation | null {
    if (!bench) return null;
    const prepared = bench.tasks.find(({ task }) => task.id === taskId);
    const blade =
      'owned' in target
        ? bench.owned[target.owned]?.blade
        : bench.buyable.find((candidate) => candidate.id === target.model)?.blade;
    return prepared && blade ? explain(blade, prepared, bench.cooks) : null;
  },
};
export type KitchenWorker = typeof kitchenWorker;

expose(kitchenWorker);
