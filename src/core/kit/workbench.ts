import type { BladeModel } from '../blade/schema';
import { taskDone, taskLoads, type TaskLoad } from '../cutting/load';
import { cookContexts, type CookContext } from '../fit/cook';
import { prepareTask, type PreparedTask } from '../fit/score';
import { completeKitchen, type Kitchen } from '../kitchen/kitchen';
import type { KitchenFile } from '../formats/kitchenFile';
import { CATALOGUE_CURRENCY, convertMinor } from '../money/currency';
import type { Reference } from '../reference';
import {
  buyable,
  careSteps,
  isAllRound,
  ownedKnives,
  toolScores,
  toolSteps,
  withoutDominated,
  type Candidate,
  type OwnedKnife,
} from './candidates';
import { bestBox, boxesOf } from './boxes';
import type { Place, Problem } from './choose';
import { demandOf } from './demand';
import { schoolSlots, schoolTools, type SchoolId, type Slot } from './schools';
import { usefulness } from './value';

/** What one more knife costs to keep, store and sharpen, EUR minor units: house judgement, breaks ties only. */
export const KEEP_COST = 3000;

/** A kitchen laid out for planning: everything computed once, shared by the plan, its reasons and its doubts. */
export interface Workbench {
  kitchen: Kitchen;
  assumed: string[];
  reference: Reference;
  loads: TaskLoad[];
  tasks: PreparedTask[];
  cooks: CookContext[];
  owned: OwnedKnife[];
  /** All that may be bought, before the hopeless are dropped: runners-up come from here. */
  buyable: Candidate[];
  /** What the scores rest on, as text: while it stays the same a later bench may take the scores over. */
  scoredFor: string;
  models: readonly BladeModel[];
  problem: Problem;
  /** Required places in words, for saying which could not be filled. */
  school: SchoolId;
}

/** Bones are chopped here though no task says so: a carcass a month. */
const IMPLIED_BONES = { id: 'stock-bones-chop', timesPerWeek: 12 / 52, amount: 1, matters: 1 };

function withImpliedTasks(kitchen: Kitchen, reference: Reference, assumed: string[]): Kitchen {
  if (!kitchen.habits.bones) return kitchen;
  const bony = taskLoads(kitchen, reference).some(({ task }) => task.motions[0] === 'cleave' && !task.instead);
  if (bony || kitchen.avoids.includes('poultry')) return kitchen;
  assumed.push('Bones are chopped: a carcass for stock each month.');
  return { ...kitchen, tasks: [...kitchen.tasks, IMPLIED_BONES] };
}

function mustSlots(kitchen: Kitchen, models: readonly BladeModel[]): Slot[] {
  const modelIds = new Set(models.map((m) => m.id));
  return kitchen.limits.must
    .filter((id) => !kitchen.owned.some((o) => o.type === id || o.model === id))
    .map((id) => ({
      required: true,
      accepts: (c) => c.action === 'buy' && (modelIds.has(id) ? c.id === id : c.type?.id === id),
    }));
}

function placesFor(slots: readonly Slot[], candidates: readonly Candidate[]): Place[] {
  const known = new Map<string, number[]>();
  return slots.map((slot) => {
    const fits = candidates.flatMap((c, i) => (slot.accepts(c) ? [i] : []));
    // equal lists share one array, so that equal places are tried once
    const key = fits.join();
    const shared = known.get(key) ?? fits;
    known.set(key, shared);
    return { fits: shared, required: slot.required };
  });
}

/** Every task of the trade as this kitchen does it, ready for scoring. */
export const allTasks = ({ kitchen, reference }: Pick<Workbench, 'kitchen' | 'reference'>): PreparedTask[] =>
  [...reference.tasks.values()].map((task) => prepareTask(taskDone(task, kitchen.habits)));

/** General knives that are there whatever is chosen: fit for use, or demanded by name. */
function generalsSure(
  kitchen: Kitchen,
  owned: readonly OwnedKnife[],
  models: readonly BladeModel[],
  { types }: Pick<Reference, 'types'>,
): number {
  const demanded = kitchen.limits.must.map(
    (id) => types.get(id) ?? types.get(models.find((m) => m.id === id)?.type ?? ''),
  );
  const usable = owned.filter((o) => o.owned.condition !== 'worn-out').map((o) => o.type);
  return [...usable, ...demanded].filter(isAllRound).length;
}

/** Keeps what the limits ask for by name even where something else beats it. */
function reduced(
  candidates: Candidate[],
  slots: readonly Slot[],
  school: SchoolId,
  { volumes }: Pick<Reference, 'volumes'>,
): Candidate[] {
  if (school !== 'free') return candidates;
  const off = new Map(volumes.map((volume) => [volume.maker, volume.off]));
  const lowest = ({ blade, priceMinor }: Candidate) => priceMinor * (1 - (off.get(blade?.blade.maker ?? '') ?? 0));
  const kept = new Set(withoutDominated(candidates, lowest));
  const named = slots.filter((slot) => slot.required);
  return candidates.filter((c) => kept.has(c) || named.some((slot) => slot.accepts(c)));
}

/** Everything the scores and prices of the buyable models depend on. */
function basisOf(kitchen: Kitchen, cooks: readonly CookContext[], loads: readonly TaskLoad[]): string {
  const { must, never, steel, handle, maker } = kitchen.limits;
  const work = loads.map(({ task }) => task.id);
  return JSON.stringify([cooks, work, must, never, steel, handle, maker, kitchen.currency, kitchen.portions]);
}

/**
 * Lays a kitchen out for planning. `before`, an earlier bench, lends its scores where nothing they rest on has changed, as when only
 * the money has. Throws FaultyInput when the file names something unknown.
 */
export function layOut(
  file: KitchenFile,
  reference: Reference,
  models: readonly BladeModel[],
  schoolId?: SchoolId,
  before?: Workbench | null,
): Workbench {
  const completed = completeKitchen(file, reference, models);
  const { assumed } = completed;
  const kitchen = withImpliedTasks(completed.kitchen, reference, assumed);
  const school = schoolId ?? kitchen.limits.school;
  const loads = taskLoads(kitchen, reference);
  const cooks = cookContexts(kitchen, loads);
  const tasks = loads.map(({ task }) => prepareTask(task));
  const owned = ownedKnives(kitchen, models, reference, tasks, cooks);
  const scoredFor = basisOf(kitchen, cooks, loads);
  const all =
    before?.scoredFor === scoredFor && before.models === models
      ? before.buyable
      : buyable(kitchen, loads, models, reference, tasks, cooks);
  const named = mustSlots(kitchen, models);
  const open = schoolSlots(
    school,
    kitchen.limits.maxKnives,
    kitchen.limits.second,
    generalsSure(kitchen, owned, models, reference),
  );
  const wanted = [...named, ...open.slice(0, Math.max(0, open.length - named.length))];
  const tools = toolSteps(kitchen, loads, reference).filter(
    (c) => school === 'free' || schoolTools(school).includes(c.id),
  );
  const care = careSteps(kitchen, owned, tasks, cooks);
  const demand = demandOf(kitchen, loads);
  const given = kitchen.tools.map((id) => toolScores(id, loads).map(usefulness));
  const budgetMinor = kitchen.budgetMinor ?? Infinity;
  const inBox =
    school === 'boxed-set'
      ? bestBox(
          boxesOf({ kitchen, models, reference, tasks, cooks }),
          demand,
          [...owned.map((o) => o.rows), ...given],
          budgetMinor,
        )
      : [];
  const slots: Slot[] =
    school === 'boxed-set' ? inBox.map((piece) => ({ required: true, accepts: (c) => c === piece })) : wanted;
  const knives = school === 'boxed-set' ? inBox : reduced(all, slots, school, reference);
  const candidates = [...knives, ...care, ...tools];
  const extras: Slot[] = [...care, ...tools].map((extra) => ({ required: false, accepts: (c) => c === extra }));
  return {
    kitchen,
    assumed,
    reference,
    loads,
    tasks,
    cooks,
    owned,
    buyable: all,
    scoredFor,
    models,
    school,
    problem: {
      demand,
      owned,
      given,
      candidates,
      places: placesFor([...slots, ...extras], candidates),
      budgetMinor,
      keepMinor: convertMinor(KEEP_COST, CATALOGUE_CURRENCY, kitchen.currency),
    },
  };
}
