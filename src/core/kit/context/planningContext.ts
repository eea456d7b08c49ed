import type { BladeModel } from '../../blade/schema';
import { LOAD, WORTH } from '../../constants';
import { taskDone, type TaskLoad, taskLoads } from '../../cutting/load';
import { type CookContext, cookContexts } from '../../fit/cook';
import { type PreparedTask, prepareTask } from '../../fit/score';
import { completeKitchen, type Kitchen } from '../../kitchen/kitchen';
import type { KitchenFile } from '../../formats/kitchenFile';
import type { Reference } from '../../reference';
import { soldHere } from '../candidates/sold';
import { isBuyable } from '../candidates/allowed';
import { besideOwned, type Counts } from '../candidates/besideOwned';
import { careSteps } from '../candidates/care';
import { type OwnedKnife, ownedKnives } from '../candidates/owned';
import { toolRows, toolScores, toolSteps } from '../candidates/tools';
import type { Making, Sold } from '../candidates/making';
import type { Candidate } from '../candidates/candidate';
import { boxesOf } from '../candidates/sets';
import { bestBox } from '../search/bestSet';
import { chooseKit, ROUGH } from '../search/choose';
import type { Problem } from '../search/problem';
import { demandOf, isSameDemand } from '../demand/demand';
import { isSchoolTool, type SchoolId, schoolSlots, type Slot } from './schools';
import { scoringOf } from '../candidates/scoring';
import { moneyScale, rescueWorth } from '../search/worth';
import { coverageOfKit, kitOf } from '../search/coverage';
import { serviceFor, withBoard, withImpliedTasks, withoutChildren } from './adjustments';
import { generalsSure, mustSlots, placesFor, reduced } from './places';

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

/** Every task of the trade as this kitchen does it, ready for scoring. */
export const allTasks = ({ kitchen, reference }: Pick<Workbench, 'kitchen' | 'reference'>): PreparedTask[] =>
  [...reference.tasks.values()].map((task) => prepareTask(taskDone(task, kitchen)));

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
