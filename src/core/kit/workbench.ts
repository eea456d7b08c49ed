import type { BladeModel } from '../blade/schema';
import { EDGE, LOAD, UPKEEP, WORTH } from '../constants';
import { taskDone, taskLoads, type TaskLoad } from '../cutting/load';
import type { EdgeCare } from '../edge/keenness';
import { cookContexts, workingCooks, type CookContext } from '../fit/cook';
import { prepareTask, type PreparedTask } from '../fit/score';
import { completeKitchen, type Kitchen } from '../kitchen/kitchen';
import type { KitchenFile } from '../formats/kitchenFile';
import { CATALOGUE_CURRENCY, convertMinor } from '../money/currency';
import type { Reference } from '../reference';
import {
  besideOwned,
  careSteps,
  isBuyable,
  ownedKnives,
  soldHere,
  toolRows,
  toolScores,
  toolSteps,
  withoutDominated,
  type Candidate,
  type Counts,
  type Making,
  type OwnedKnife,
  type Sold,
} from './candidates';
import { isAllRound } from './kinds';
import { bestBox, boxesOf } from './boxes';
import { chooseKit, ROUGH, type Choice, type Chosen, type Place, type Problem } from './choose';
import { demandOf, isSameDemand } from './demand';
import { isSchoolTool, schoolSlots, type SchoolId, type Slot } from './schools';
import { scoringOf } from './scored';
import { KitValue, loadKit } from './value';
import { moneyScale, rescueWorth, type MoneyScale } from './worth';

/** A kitchen laid out for planning: everything computed once, shared by the plan, its reasons and its doubts. */
export interface Workbench extends Making, Sold {
  assumed: string[];
  cooks: CookContext[];
  owned: OwnedKnife[];
  /** All that may be bought, before the hopeless are dropped: runners-up come from here. */
  buyable: Candidate[];
  /** What the scores rest on, as text: while it stays the same a later bench may take the scores over. */
  scoredFor: string;
  problem: Problem;
  /** What a new knife counts beside a sound owned one of its kind: as little as gives up no more polish than {@link WORTH} allows. */
  counts: Counts;
  /** Polish given up for keeping what is owned, coverage. */
  polishGivenUp: number;
  school: SchoolId;
  /** What a wooden board in place of glass or stone costs, put aside before any knife; 0 where none is bought. */
  boardMinor: number;
  /** Kit of the last proof of this kitchen, by candidate, to start from. */
  seed?: readonly string[];
  /** The same kitchen with a sharpening service bought along, where nobody sharpens. */
  serviced: Workbench | null;
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
  [...reference.tasks.values()].map((task) => prepareTask(taskDone(task, kitchen)));

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
  scale: MoneyScale,
): Candidate[] {
  if (school !== 'free') return candidates;
  const off = new Map(volumes.map((volume) => [volume.maker, volume.off]));
  const lowest = ({ blade, priceMinor }: Candidate) => priceMinor * (1 - (off.get(blade?.blade.maker ?? '') ?? 0));
  const kept = new Set(withoutDominated(candidates, scale, lowest));
  const named = slots.filter((slot) => slot.required);
  return candidates.filter((c) => kept.has(c) || named.some((slot) => slot.accepts(c)));
}

/** Everything the scores and prices of the buyable models depend on. */
function basisOf(kitchen: Kitchen, cooks: readonly CookContext[], loads: readonly TaskLoad[]): string {
  const { must, never, steel, handle, maker } = kitchen.limits;
  const work = loads.map(({ task, minutesPerWeek, timesPerYear, matters }) => [
    task.id,
    minutesPerWeek,
    timesPerYear >= LOAD.weekly.value,
    matters >= LOAD.pressing.value,
    kitchen.sizes.get(task.id),
  ]);
  const { habits, tastes, currency, seats, cooksAtOnce } = kitchen;
  return JSON.stringify([cooks, work, must, never, steel, handle, maker, currency, seats, habits, tastes, cooksAtOnce]);
}

/** Children at the board are no further pair of hands at the others' work. */
function withoutChildren(kitchen: Kitchen): Kitchen {
  const children = kitchen.cooks.length - workingCooks(kitchen.cooks).length;
  return children === 0 ? kitchen : { ...kitchen, cooksAtOnce: Math.max(1, kitchen.cooksAtOnce - children) };
}

/** A glass or stone board gives way to a wooden one before any knife is bought, where the money leaves something for a knife (handbook 8.5). */
function withBoard(kitchen: Kitchen, reference: Reference): { kitchen: Kitchen; boardMinor: number } {
  const board = reference.tools.get('board');
  const hard = kitchen.board.material === 'glass' || kitchen.board.material === 'stone';
  if (!hard || !board || kitchen.limits.never.includes(board.id)) return { kitchen, boardMinor: 0 };
  const inKitchen = (minor: number) => convertMinor(minor, CATALOGUE_CURRENCY, kitchen.currency);
  const boardMinor = inKitchen(board.priceMinor);
  const leaves = (kitchen.budgetMinor ?? Infinity) - boardMinor;
  if (leaves < inKitchen(100 * UPKEEP.boardLeavesEur.value)) return { kitchen, boardMinor: 0 };
  return { kitchen: { ...kitchen, board: { ...kitchen.board, material: 'wood' } }, boardMinor };
}

/** What the year's service makes of a kitchen's edges, where nobody sharpens. */
function serviceFor(care: EdgeCare, habits: Kitchen['habits']): EdgeCare | null {
  if (habits.sharpening !== 'none') return null;
  return { ...care, sharpening: 'professional', visitsPerYear: EDGE.visits.service.value };
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
  const { kitchen, boardMinor } = withBoard(
    withImpliedTasks(withoutChildren(completed.kitchen), reference, assumed),
    reference,
  );
  const school = schoolId ?? kitchen.limits.school;
  const loads = taskLoads(kitchen, reference);
  const cooks = cookContexts(kitchen, loads);
  const making: Making = { ...scoringOf(kitchen, loads, cooks), kitchen, models, reference, service: null };
  const service = serviceFor(making.care, kitchen.habits);
  const lay = (of: Making, known?: Workbench | null) => layOutFor(of, { assumed, cooks, school, boardMinor }, known);
  const plain = lay(making, before);
  return service ? { ...plain, serviced: lay({ ...making, service }, before?.serviced) } : plain;
}

function layOutFor(
  making: Making,
  { assumed, cooks, school, boardMinor }: Pick<Workbench, 'assumed' | 'cooks' | 'school' | 'boardMinor'>,
  before?: Workbench | null,
): Workbench {
  const { kitchen, loads, models, reference, hands } = making;
  const scale = moneyScale(kitchen);
  const owned = ownedKnives(making);
  const scoredFor = basisOf(kitchen, cooks, loads);
  const known = before?.scoredFor === scoredFor && before.models === models ? before : null;
  const sold = known?.sold ?? soldHere(making);
  const wares = sold.filter((c) => isBuyable(c, making));
  const named = mustSlots(kitchen, models);
  const open = schoolSlots(
    school,
    kitchen.limits.maxKnives,
    kitchen.limits.second,
    generalsSure(kitchen, owned, models, reference),
  );
  const wanted = [...named, ...open.slice(0, Math.max(0, open.length - named.length))];
  const tools = toolSteps(making).filter((c) => school === 'free' || isSchoolTool(school, c, loads));
  const care = careSteps(making, owned);
  const asked = demandOf(kitchen, loads, hands, cooks.length, rescueWorth(kitchen));
  // an equal demand is kept as it is, with what has been worked out of it
  const demand = known && isSameDemand(known.problem.demand, asked) ? known.problem.demand : asked;
  const cutlery = new Float64Array(loads.map(({ task }) => (task.atTable ? WORTH.cutlery.value : 0)));
  const given = [cutlery, ...kitchen.tools.map((id) => toolScores(id, loads))].map((row) => toolRows(row, making));
  const budgetMinor = (kitchen.budgetMinor ?? Infinity) - boardMinor;
  const bench = {
    ...making,
    assumed,
    cooks,
    owned,
    sold,
    buyable: wares,
    scoredFor,
    school,
    boardMinor,
    serviced: null,
  };
  const bestOfBoxes = () => {
    const allowed = boxesOf(bench).filter(({ pieces }) => pieces.length <= kitchen.limits.maxKnives);
    return bestBox(allowed, demand, [...owned.map((o) => o.rows), ...given], budgetMinor, scale);
  };
  const inBox = school === 'boxed-set' ? bestOfBoxes() : [];
  const slots: Slot[] =
    school === 'boxed-set' ? inBox.map((piece) => ({ required: true, accepts: (c) => c === piece })) : wanted;
  const problemOf = (knives: Candidate[]): Problem => {
    const candidates = [...knives, ...care, ...tools];
    const extras: Slot[] = [...care, ...tools].map((extra) => ({ required: false, accepts: (c) => c === extra }));
    return {
      demand,
      owned,
      given,
      candidates,
      places: placesFor([...slots, ...extras], candidates),
      budgetMinor,
      scale,
    };
  };
  if (school === 'boxed-set') return { ...bench, problem: problemOf(inBox), counts: 'everything', polishGivenUp: 0 };
  const countedAs = (counts: Counts) => {
    const buyable = besideOwned(wares, owned, loads, counts);
    const problem = problemOf(reduced(buyable, slots, school, reference, scale));
    return { ...bench, buyable, counts, problem, polishGivenUp: 0 };
  };
  const strict = countedAs('rescue');
  if (!strict.buyable.some((c) => c.counted !== c.rows)) return strict;
  const all = countedAs('everything');
  const coverage = ({ problem }: { problem: Problem }) =>
    coverageOfKit(problem, kitOf(problem, chooseKit(problem, ROUGH).choice));
  const most = coverage(all);
  for (const each of [strict, countedAs('done well')]) {
    const polishGivenUp = Math.max(0, most - coverage(each));
    if (polishGivenUp <= WORTH.polishGivenUp.value) return { ...each, polishGivenUp };
  }
  return all;
}

/** The candidates of a choice. */
export const kitOf = ({ candidates }: Pick<Problem, 'candidates'>, choice: Choice): Candidate[] =>
  [...choice].flatMap((index) => (index >= 0 ? (candidates[index] ?? []) : []));

/** What is owned and some steps truly cover, 0–1: with all they do, and without what rescued work weighs in the choice. */
export function coverageOfKit(
  { demand, owned, given }: Pick<Problem, 'demand' | 'owned' | 'given'>,
  steps: readonly Candidate[],
  rowsOf: (step: Candidate) => Float64Array = (step) => step.rows,
): number {
  return Math.min(1, loadKit(new KitValue(demand), { owned, given }, steps, rowsOf).value(false));
}

/** Prices of a point beside which a kit must not fall back, as shares of the kitchen's own: those of less money. */
const LESS_MONEY = [0.75, 0.5] as const;

/**
 * A dearer point never covers less: where the least a step must add makes the kit of a lower price of a point, within the same limits, cover
 * more, that one is taken (handbook 8.1: where anything but money would lower coverage, coverage decides).
 */
export function coverageDecides({ problem, kitchen }: Workbench, chosen: Chosen): Chosen {
  if (kitchen.budgetMinor === null) return chosen;
  let best = chosen;
  const kit = kitOf(problem, chosen.choice);
  const seed = kit.map((c) => c.id);
  let covered = coverageOfKit(problem, kit);
  for (const share of LESS_MONEY) {
    const scale = { ...problem.scale, pointMinor: problem.scale.pointMinor * share };
    const { choice } = chooseKit({ ...problem, scale }, ROUGH, undefined, seed);
    const covers = coverageOfKit(problem, kitOf(problem, choice));
    if (covers > covered + 1e-9) {
      covered = covers;
      best = { ...chosen, choice };
    }
  }
  return best;
}
