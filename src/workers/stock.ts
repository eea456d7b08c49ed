import { reference } from '../../data/reference';
import type { BladeModel } from '../core/blade/schema';
import { takenAway } from '../core/load/load';
import { characterOf, matchMatrix, type MatchMatrix, rankBlades } from '../core/fit/match';
import { whatMakesWorse } from '../core/fit/whatMakesWorse';
import { byWishes, type Wished } from '../core/fit/wishes';
import { isMeasured } from '../core/fit/measuredScore';
import { bladeNotes } from '../core/fit/notes';
import { explain, type Explanation } from '../core/fit/explain';
import { bladeTraits, type BladeTraits } from '../core/fit/traits';
import type { KitchenFile } from '../core/formats/kitchenFile';
import type { LengthBand } from '../core/formats/planFile';
import { type Drawer, readDrawer } from '../core/kit/drawer/drawer';
import { firstPlan } from '../core/kit/plan/planKitchen';
import { edgeHere } from '../core/kit/candidates/scoring';
import { usefulness } from '../core/kit/demand/usefulness';
import { typicalBlade } from '../core/kit/candidates/typicalBlade';
import { allTasks, type PlanningContext } from '../core/kit/context/planningContext';

/** What the views of the cutting, the drawer and the match ask of a kitchen laid out; loaded by the worker when first asked. */

/** Most blades named in a task's ranking. */
const RANKED = 8;

/** What is owned first, then the catalogue. */
function allBlades(of: PlanningContext): BladeTraits[] {
  return [
    ...of.owned.map((o) => o.blade),
    ...of.models.map((m) => bladeTraits(m, reference, of.kitchen.habits.roughUse)),
  ];
}

/** The match of a whole kitchen, with the names its screen needs. */
export interface MatchTable extends MatchMatrix {
  rows: { id: string; name: string; group: string; minutesPerWeek: number }[];
  /** 1 where a cook tried the blade at the task. */
  measured: Uint8Array;
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
  /** What else it is called. */
  also?: string[] | undefined;
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

/** Every blade at every task of the trade: what is owned first, then the catalogue. */
export function matchOf(context: PlanningContext): MatchTable {
  const { cooks, loads, owned } = context;
  const load = new Map(loads.map((l) => [l.task.id, l]));
  const tasks = [...reference.tasks.values()];
  const blades = allBlades(context);
  const { steps } = firstPlan(context).plan;
  const kit = new Set(steps.flatMap((s) => (s.action === 'buy' && s.model ? [s.model] : [])));
  const weights = tasks.map((task) => load.get(task.id)?.weight ?? 0);
  const edges = blades.map((blade) => edgeHere(blade, context));
  const matrix = matchMatrix({ tasks: allTasks(context), cooks, weights }, blades, edges, usefulness);
  return {
    ...matrix,
    measured: Uint8Array.from(
      blades.flatMap((blade) => tasks.map((task) => (isMeasured(cooks, blade, task.id) ? 1 : 0))),
    ),
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
}

/** Middling blades of some types at some lengths, for drawing. */
export function typicalBlades(wanted: { type: string; lengthMm?: number }[]): BladeModel[] {
  return wanted.flatMap(({ type: id, lengthMm }) => {
    const type = reference.types.get(id);
    return type ? [typicalBlade(type, lengthMm === undefined ? {} : { lengthMm }, 'right')] : [];
  });
}

/** What the cooking comes to in cutting: minutes by task, each traced to its dishes, and what is not eaten took away. */
export function cuttingOf(context: PlanningContext): Cutting {
  const { kitchen, loads } = context;
  const own = new Map(kitchen.ownDishes.map((dish) => [dish.id, dish.name]));
  const sourceName = (id: string) =>
    id === 'direct'
      ? 'said directly'
      : id === 'usual'
        ? 'cut beside the dishes'
        : (own.get(id) ?? reference.dishes.get(id)?.name ?? id);
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
}

/** The shipped dishes by name, for searching. */
export function knownDishes(): KnownDish[] {
  return [...reference.dishes.values()].map(({ id, name, also, cuisines, contains, tasks }) => ({
    id,
    name,
    also,
    cuisines: cuisines.map((c) => reference.cuisines.get(c)?.name ?? c),
    contains,
    tasks: tasks.map((t) => t.id),
  }));
}

/** The tasks with their units, in the order of the table. */
export function knownTasks(): KnownTask[] {
  return [...reference.tasks.values()].map(({ id, name, group, unit, minutes }) => ({
    id,
    name,
    group,
    unit,
    minutes,
  }));
}

/** The drawer, knife by knife. */
export function drawerOf(context: PlanningContext): Drawer {
  return readDrawer(context);
}

/** A task's best blades, each with what holds it back against the best. */
export function rankedAt(context: PlanningContext, taskId: string): Ranked[] {
  const task = allTasks(context).find((each) => each.task.id === taskId);
  if (!task) return [];
  return rankBlades(task, allBlades(context), context.cooks, RANKED, (blade) => edgeHere(blade, context)).map(
    ({ blade, explanation, heldBack }) => ({
      blade: blade.blade,
      explanation,
      heldBack,
    }),
  );
}

/** What a blade is made for and must never do here, its figures for this cook, and its shape on the board. */
export function characterIn(context: PlanningContext, blade: BladeTraits): Character | null {
  const [cook] = context.cooks;
  if (!cook) return null;
  const loads = new Map(context.loads.map((l) => [l.task.id, l]));
  const tasks = allTasks(context);
  return {
    blade: blade.blade,
    ...characterOf(blade, tasks, context.cooks, loads, edgeHere(blade, context)),
    notes: bladeNotes(blade, context.kitchen),
    palmBreadthMm: cook.cook.palmBreadthMm,
    knuckleRoomMm: blade.knuckleRoomMm(cook.cook.palmBreadthMm, cook.cook.grip),
    lengthWanted: cook.length,
    scores: tasks.map((task) => ({
      task: task.task.id,
      score: explain(blade, task, context.cooks, edgeHere(blade, context)).score,
      weight: loads.get(task.task.id)?.weight ?? 0,
    })),
  };
}

/** A model against the cook's wishes, with what it alone does well of the kitchen's cutting, 0–1. */
export interface WishedModel extends Pick<Wished, 'share' | 'each'> {
  blade: BladeModel;
  covers: number;
}

/** Every model by the wishes of a kitchen, the one that goes furthest first. */
export function wishedIn(of: PlanningContext, wishes: NonNullable<KitchenFile['wishes']>): WishedModel[] {
  const blades = of.models.map((m) => bladeTraits(m, reference, of.kitchen.habits.roughUse));
  const weights = of.loads.map(({ weight }) => weight);
  const edges = blades.map((blade) => edgeHere(blade, of));
  const { worth } = matchMatrix({ tasks: of.tasks, cooks: of.cooks, weights }, blades, edges, usefulness);
  const covers = new Map(blades.map((blade, i) => [blade, worth[i] ?? 0]));
  return byWishes(wishes, blades).map(({ blade, share, each }) => ({
    blade: blade.blade,
    share,
    each,
    covers: covers.get(blade) ?? 0,
  }));
}
