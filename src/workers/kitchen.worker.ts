import { expose } from 'comlink';
import { z } from 'zod';
import { reference } from '../../data/reference';
import type { BladeModel } from '../core/blade/schema';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { kitchenFileSchema } from '../core/formats/kitchenFile';
import type { Plan } from '../core/formats/planFile';
import { characterOf, matchMatrix, rankBlades, type MatchMatrix, type whatMakesWorse } from '../core/fit/match';
import { bladeNotes } from '../core/fit/notes';
import { explain, prepareTask, score, type Explanation } from '../core/fit/score';
import { bladeTraits, type BladeTraits } from '../core/fit/traits';
import type { LengthBand } from '../core/fit/wantedLength';
import { fetchCatalogue } from '../client/catalogue';
import { Refused } from '../client/http';
import { fetchKitchen, saveKitchen, type StoredKitchen } from '../client/kitchens';
import { QUICK, THOROUGH } from '../core/kit/choose';
import { planFrom, stepsOf } from '../core/kit/plan';
import type { Drawer } from '../core/kit/drawer';
import { readDrawer } from '../core/kit/drawer';
import { takenAway } from '../core/cutting/load';
import { typicalBlade } from '../core/kit/typicalBlade';
import { Doubt } from '../core/kit/sure';
import { layOut, type Workbench } from '../core/kit/workbench';

/** Most blades named in a task's ranking. */
const RANKED = 8;

let models: BladeModel[] = [];
let bench: Workbench | null = null;
let asked = 0;

/** Lets waiting messages in: a newer question comes before an older one's details. */
const breathe = () => new Promise((resolve) => setTimeout(resolve, 0));

/** A blade by catalogue model or by its place among the owned knives. */
export type Target = { model: string } | { owned: number };

function bladeOf(target: Target): BladeTraits | null {
  if ('owned' in target) return bench?.owned[target.owned]?.blade ?? null;
  const model = models.find((m) => m.id === target.model);
  return model ? bladeTraits(model, reference) : null;
}

/** What is owned first, then the catalogue. */
function allBlades(of: Workbench): BladeTraits[] {
  return [...of.owned.map((o) => o.blade), ...models.map((m) => bladeTraits(m, reference))];
}

/** The match of a whole kitchen, with the names its screen needs. */
export interface MatchTable extends MatchMatrix {
  rows: { id: string; name: string; group: string; minutesPerWeek: number }[];
  columns: { blade: BladeModel; owned: number | null; place: 'drawer' | 'kit' | 'catalogue'; role: string }[];
}

export interface Ranked {
  blade: BladeModel;
  explanation: Explanation;
  heldBack: ReturnType<typeof whatMakesWorse>;
}

export interface Character extends ReturnType<typeof characterOf> {
  blade: BladeModel;
  notes: string[];
  palmBreadthMm: number;
  knuckleRoomMm: number;
  lengthWanted: LengthBand;
  scores: { task: string; score: number; weight: number }[];
}

export interface Cutting {
  minutesPerWeek: number;
  loads: {
    task: string;
    group: string;
    minutesPerWeek: number;
    timesPerYear: number;
    occasional: boolean;
    matters: number;
    /** Share of the plan's weight, 0–1. */
    share: number;
    from: { name: string; minutes: number }[];
  }[];
  away: ReturnType<typeof takenAway>;
}
export interface KnownDish {
  id: string;
  name: string;
  cuisines: string[];
  contains: string[];
  tasks: string[];
}
export interface KnownTask {
  id: string;
  name: string;
  group: string;
  unit: string;
  minutes: number;
}

/** A save's outcome: the new version, or why the server refused. */
export type Saved = { version: number } | { refused: number; why: string };

const historySchema = z.object({
  past: z.array(kitchenFileSchema).max(100),
  present: kitchenFileSchema,
  future: z.array(kitchenFileSchema).max(100),
});

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

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

  /** What was done and undone on an earlier page, when it ended with this kitchen; null otherwise. */
  history(text: string, present: KitchenFile): { past: KitchenFile[]; future: KitchenFile[] } | null {
    const read = historySchema.safeParse(parsed(text));
    if (!read.success || JSON.stringify(read.data.present) !== JSON.stringify(kitchenFileSchema.parse(present)))
      return null;
    return { past: read.data.past, future: read.data.future };
  },

  /** Fetches the catalogue and hands it back for drawing. */
  async load(): Promise<BladeModel[]> {
    models = (await fetchCatalogue()).models;
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
  explain(target: Target, taskId: string): Explanation | null {
    const task = reference.tasks.get(taskId);
    const blade = bladeOf(target);
    return bench && task && blade ? explain(blade, prepareTask(task), bench.cooks) : null;
  },

  /** Every blade at every task of the trade: what is owned first, then the catalogue. */
  match(file: KitchenFile): MatchTable {
    asked++;
    bench = layOut(file, reference, models, undefined, bench);
    const { cooks, loads, owned } = bench;
    const load = new Map(loads.map((l) => [l.task.id, l]));
    const tasks = [...reference.tasks.values()];
    const blades = allBlades(bench);
    const steps = planFrom(bench, { perturbed: 0, effort: QUICK }).steps;
    const kit = new Set(steps.flatMap((s) => (s.action === 'buy' && s.model ? [s.model] : [])));
    const matrix = matchMatrix(
      blades,
      tasks.map((task) => prepareTask(task)),
      cooks,
      tasks.map((task) => load.get(task.id)?.weight ?? 0),
    );
    return {
      ...matrix,
      rows: tasks.map((task) => ({
        id: task.id,
        name: task.name,
        group: task.group,
        minutesPerWeek: load.get(task.id)?.minutesPerWeek ?? 0,
      })),
      columns: blades.map(({ blade }, i) => ({
        blade,
        owned: i < owned.length ? i : null,
        place: i < owned.length ? 'drawer' : kit.has(blade.id) ? 'kit' : 'catalogue',
        role: reference.types.get(blade.type)?.role ?? 'other',
      })),
    };
  },

  /** Middling blades of some types at some lengths, for drawing. */
  typical(wanted: { type: string; lengthMm?: number }[]): BladeModel[] {
    return wanted.flatMap(({ type: id, lengthMm }) => {
      const type = reference.types.get(id);
      return type ? [typicalBlade(type, lengthMm === undefined ? {} : { lengthMm }, 'right')] : [];
    });
  },

  /** What the cooking comes to in cutting: minutes by task, each traced to its dishes, and what is not eaten took away. */
  cutting(file: KitchenFile): Cutting {
    bench = layOut(file, reference, models, undefined, bench);
    const { kitchen, loads } = bench;
    const own = new Map(kitchen.ownDishes.map((dish) => [dish.id, dish.name]));
    const sourceName = (id: string) =>
      id === 'direct' ? 'said directly' : (own.get(id) ?? reference.dishes.get(id)?.name ?? id);
    const weights = loads.reduce((sum, { weight }) => sum + weight, 0);
    return {
      minutesPerWeek: loads.reduce((sum, load) => sum + load.minutesPerWeek, 0),
      loads: loads.map(({ task, minutesPerWeek, timesPerYear, occasional, matters, weight, from }) => ({
        task: task.id,
        group: task.group,
        minutesPerWeek,
        timesPerYear,
        occasional,
        matters,
        share: weights > 0 ? weight / weights : 0,
        from: from.map(({ source, minutesPerWeek: minutes }) => ({ name: sourceName(source), minutes })),
      })),
      away: takenAway(kitchen, reference),
    };
  },

  /** The shipped dishes by name, for searching. */
  dishes(): KnownDish[] {
    return [...reference.dishes.values()].map(({ id, name, cuisines, contains, tasks }) => ({
      id,
      name,
      cuisines: cuisines.map((c) => reference.cuisines.get(c)?.name ?? c),
      contains,
      tasks: tasks.map((t) => t.id),
    }));
  },

  /** The tasks with their units, in the order of the table. */
  tasks(): KnownTask[] {
    return [...reference.tasks.values()].map(({ id, name, group, unit, minutes }) => ({
      id,
      name,
      group,
      unit,
      minutes,
    }));
  },

  /** The drawer, knife by knife. */
  drawer(file: KitchenFile): Drawer {
    bench = layOut(file, reference, models, undefined, bench);
    return readDrawer(bench);
  },

  /** A task's best blades, each with what holds it back against the best. */
  rank(taskId: string): Ranked[] {
    const task = reference.tasks.get(taskId);
    if (!bench || !task) return [];
    return rankBlades(prepareTask(task), allBlades(bench), bench.cooks, RANKED).map(
      ({ blade, explanation, heldBack }) => ({
        blade: blade.blade,
        explanation,
        heldBack,
      }),
    );
  },

  /** What a blade is made for and must never do here, its figures for this cook, and its shape on the board. */
  character(target: Target): Character | null {
    const blade = bladeOf(target);
    const cook = bench?.cooks[0];
    if (!bench || !blade || !cook) return null;
    const loads = new Map(bench.loads.map((l) => [l.task.id, l]));
    const tasks = [...reference.tasks.values()].map((task) => prepareTask(task));
    return {
      blade: blade.blade,
      ...characterOf(blade, tasks, bench.cooks, loads),
      notes: bladeNotes(blade, bench.kitchen),
      palmBreadthMm: cook.cook.palmBreadthMm,
      knuckleRoomMm: blade.knuckleRoomMm(cook.cook.palmBreadthMm),
      lengthWanted: cook.length,
      scores: tasks.map((task) => ({
        task: task.task.id,
        score: score(blade, task, bench?.cooks ?? []),
        weight: loads.get(task.task.id)?.weight ?? 0,
      })),
    };
  },
};
export type KitchenWorker = typeof kitchenWorker;

expose(kitchenWorker);
