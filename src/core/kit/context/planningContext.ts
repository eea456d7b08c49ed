import type { BladeModel } from '../../blade/schema';
import { GUIDANCE, LOAD, WORTH } from '../../constants';
import { taskDone, type TaskLoad, taskLoads } from '../../load/load';
import { type CookContext, cookContexts, sameCook } from '../../fit/cook';
import { type PreparedTask, prepareTask } from '../../fit/score';
import { measuredScores } from '../../fit/measured';
import { bladeTraits } from '../../fit/traits';
import type { TriedKnife } from '../../formats/trialsFile';
import { completeKitchen, type Kitchen } from '../../kitchen/kitchen';
import type { KitchenFile } from '../../formats/kitchenFile';
import type { Reference } from '../../reference';
import { knivesForSale } from '../candidates/sold';
import { isBuyable } from '../candidates/allowed';
import { countedBeside, type Counts } from '../candidates/besideOwned';
import { careSteps } from '../candidates/care';
import { bladesOwned, type OwnedKnife, ownedKnives } from '../candidates/owned';
import { toolRows, toolScores, toolSteps } from '../candidates/tools';
import { learnFromUse, type LearnedUse } from '../candidates/learnedUse';
import type { Making, Sold } from '../candidates/making';
import type { Candidate } from '../candidates/candidate';
import { euroIn } from '../../money/currency';
import { setsForSale } from '../candidates/sets';
import { bestSet } from '../search/bestSet';
import type { Problem } from '../search/problem';
import { demandOf } from '../demand/demand';
import {
  affords,
  firstGeneral,
  isSchoolTool,
  pairPlaces,
  type SchoolId,
  schoolPlaces,
  type PlaceRule,
} from './schools';
import { scoringOf } from '../candidates/scoring';
import { moneyScale, rescueWorth } from '../search/worth';
import { firstStone, type PutAside, serviceFor, withBoard, withImpliedTasks, withoutChildren } from './adjustments';
import { type CountedAs, keepingOwned } from './keepingOwned';
import { type Money, moneyOf } from './money';
import { withoutDearPieces } from './schoolPieces';
import {
  besideNamed,
  cutsFlesh,
  demandedPlaces,
  generalsSure,
  kindsAtMost,
  piecesAtMost,
  placesFor,
  reduced,
} from './places';

/** A kitchen laid out for planning: everything computed once, shared by the plan, its reasons and its doubts. */
export interface PlanningContext extends Making, Sold {
  assumed: string[];
  cooks: CookContext[];
  owned: OwnedKnife[];
  /** All that may be bought, before the hopeless are dropped: runners-up come from here. */
  buyable: Candidate[];
  /** What the scores rest on, as text: while it stays the same a later context may take the scores over. */
  scoredFor: string;
  problem: Problem;
  /** What a new knife counts beside a sound owned one of its kind: as little as gives up no more polish than {@link WORTH} allows. */
  counts: Counts;
  /** Polish given up for keeping what is owned, coverage. */
  polishGivenUp: number;
  school: SchoolId;
  /** What comes before any knife: a wooden board in place of glass or stone, the first stone of who sharpens. Its price is not in the budget of the problem. */
  putAside: readonly PutAside[];
  /** The wooden board among them. */
  board: PutAside | null;
  /** How many pieces that the school asks for wait until there is more money. */
  postponed: number;
  /** Kit of the last proof of this kitchen, by candidate, to start from. */
  seed?: readonly string[];
  /** What the uses in the diary taught; null where they teach nothing. */
  learned: LearnedUse | null;
  /** The same kitchen with a sharpening service bought along, where nobody sharpens. */
  serviced: PlanningContext | null;
}

/** The cooks with what they measured on food. */
export function withTrials(
  kitchen: Kitchen,
  cooks: readonly CookContext[],
  reference: Reference,
  models: readonly BladeModel[],
): CookContext[] {
  if (cooks.every(({ cook }) => cook.trials.length === 0)) return [...cooks];
  const drawer = bladesOwned(kitchen, reference, models);
  const bladeOf = ({ model, owned }: TriedKnife) =>
    owned === undefined ? traitsNamed(model, kitchen, reference, models) : drawer[owned]?.blade;
  const taskOf = (id: string) => {
    const task = reference.tasks.get(id);
    return task && prepareTask(taskDone(task, kitchen));
  };
  return cooks.map((cook) => ({
    ...cook,
    measured: measuredScores(cook.cook.trials, cook, bladeOf, taskOf),
  }));
}

function traitsNamed(id: string | undefined, kitchen: Kitchen, reference: Reference, models: readonly BladeModel[]) {
  const blade = models.find((model) => model.id === id);
  return blade && bladeTraits(blade, reference, kitchen.habits.roughUse);
}

/** Every task of the trade as this kitchen does it, ready for scoring. */
export const allTasks = ({ kitchen, reference }: Pick<PlanningContext, 'kitchen' | 'reference'>): PreparedTask[] =>
  [...reference.tasks.values()].map((task) => prepareTask(taskDone(task, kitchen)));

/** Everything the scores and prices of the buyable models depend on. */
function basisOf(kitchen: Kitchen, cooks: readonly CookContext[], loads: readonly TaskLoad[]): string {
  const { must, never, steel, handle, maker, list } = kitchen.limits;
  const work = loads.map(({ task, minutesPerWeek, timesPerYear, matters }) => [
    task.id,
    minutesPerWeek,
    timesPerYear >= LOAD.weekly.value,
    matters >= LOAD.pressing.value,
    kitchen.sizes.get(task.id),
  ]);
  const { habits, tastes, wishes, currency, seats, cooksAtOnce } = kitchen;
  const rest = [currency, seats, habits, tastes, wishes, cooksAtOnce];
  return JSON.stringify([cooks, work, must, never, steel, handle, maker, list, ...rest]);
}

/**
 * Lays a kitchen out for planning. `before`, an earlier context, lends its scores where nothing they rest on has changed, as when only
 * the money has. Throws FaultyInput when the file names something unknown.
 */
export function preparePlanning(
  file: KitchenFile,
  reference: Reference,
  models: readonly BladeModel[],
  schoolId?: SchoolId,
  before?: PlanningContext | null,
): PlanningContext {
  const completed = completeKitchen(file, reference, models);
  const { assumed } = completed;
  const { kitchen, board } = withBoard(
    withImpliedTasks(withoutChildren(completed.kitchen), reference, assumed),
    reference,
  );
  const school = schoolId ?? kitchen.limits.school;
  const laidOut = (of: Kitchen, loads: readonly TaskLoad[]) => {
    const cooks = withTrials(of, cookContexts(of, loads), reference, models).map(sameCook);
    const making: Making = { ...scoringOf(of, loads, cooks), kitchen: of, models, reference, service: null };
    return { cooks, making };
  };
  const reckoned = laidOut(kitchen, taskLoads(kitchen, reference));
  const learned = learnFromUse(reckoned.making);
  const { cooks, making } = learned ? laidOut(movedAsLearned(kitchen, learned), learned.loads) : reckoned;
  const service = serviceFor(making.care, kitchen);
  const lay = (of: Making, known?: PlanningContext | null) =>
    contextFor(of, { assumed, cooks, school, board, learned }, known);
  const plain = lay(making, before);
  return service ? { ...plain, serviced: lay({ ...making, service }, before?.serviced) } : plain;
}

/** What stays of an earlier context: everything its scores rest on is the same. */
function keptOf(
  before: PlanningContext | null | undefined,
  scoredFor: string,
  { models }: Making,
): PlanningContext | null {
  return before?.scoredFor === scoredFor && before.models === models ? before : null;
}

const knownBuyable = new WeakMap<readonly Candidate[], Candidate[]>();

/** Of what is for sale that for which there is work, worked out once. */
function buyableOf(sold: readonly Candidate[], making: Making): Candidate[] {
  const buyable = knownBuyable.get(sold) ?? sold.filter((c) => isBuyable(c, making));
  knownBuyable.set(sold, buyable);
  return buyable;
}

/** Tools and cutlery that are there whatever is chosen, as they serve. */
function givenRows(making: Making): Float64Array[] {
  const { kitchen, loads } = making;
  const cutlery = new Float64Array(loads.map(({ task }) => (task.atTable ? WORTH.cutlery.value : 0)));
  return [cutlery, ...kitchen.tools.map((id) => toolScores(id, loads))].map((row) => toolRows(row, making));
}

/** The places of the kit: what is demanded by name, then what the school lays out, a first general knife among it where flesh is cut. */
function kitPlaces(
  { kitchen, models, reference, loads }: Making,
  owned: readonly OwnedKnife[],
  school: SchoolId,
  affordsAll: (rules: readonly PlaceRule[]) => boolean,
): PlaceRule[] {
  const { second } = kitchen.limits;
  const most = { kinds: kitchen.limits.maxKnives, pieces: piecesAtMost(kitchen) };
  const named = demandedPlaces(kitchen, models);
  const generals = generalsSure(kitchen, owned, models, reference);
  const isPair = school === 'free' && kitchen.tastes.pair === 'spared-and-abused';
  const laid = isPair ? pairPlaces(most.pieces) : schoolPlaces(school, most, second, generals);
  const chops = kitchen.cooks.some(({ motions }) => motions.chop >= GUIDANCE.chopsFrom.value);
  const wantsGeneral = school === 'free' && second === null && !isPair && generals === 0 && !chops && cutsFlesh(loads);
  const open = wantsGeneral && affordsAll([...named, firstGeneral]) ? [firstGeneral, ...laid.slice(1)] : laid;
  return besideNamed(named, open, kitchen);
}

const isExactly = (one: Candidate, required: boolean): PlaceRule => ({ required, accepts: (c) => c === one });

/** Sums at which it is looked whether less money keeps less of what is owned, EUR. */
const KEEPING_SUMS_EUR = [100, 170, 290, 500, 850, 1000, 1450, 2500];

type Common = Pick<PlanningContext, 'assumed' | 'cooks' | 'school' | 'board' | 'learned'>;

/** A kitchen whose cooks move a knife as their diary tells. */
const movedAsLearned = (kitchen: Kitchen, { motions }: LearnedUse): Kitchen => ({
  ...kitchen,
  cooks: kitchen.cooks.map((cook, i) => ({ ...cook, motions: motions[i]?.now ?? cook.motions })),
});

function contextFor(making: Making, common: Common, before?: PlanningContext | null): PlanningContext {
  const { kitchen, loads, reference, hands, models } = making;
  const { school, cooks, board } = common;
  const scale = moneyScale(kitchen);
  const owned = ownedKnives(making);
  const scoredFor = basisOf(kitchen, cooks, loads);
  const known = keptOf(before, scoredFor, making);
  const sold = known?.sold ?? knivesForSale(making);
  const buyable = buyableOf(sold, making);
  const tools = toolSteps(making, owned).filter((c) => school === 'free' || isSchoolTool(school, c, loads));
  const beside = [...careSteps(making, owned), ...tools];
  const demand = demandOf(kitchen, loads, hands, cooks.length, rescueWorth(kitchen));
  const given = givenRows(making);
  const money = (kitchen.budgetMinor ?? Infinity) - (board?.priceMinor ?? 0);
  const stone = firstStone(making, owned, money);
  const putAside = [board, stone].filter((each) => each !== null);
  const budgetMinor = money - (stone?.priceMinor ?? 0);
  const context = { ...making, ...common, putAside, owned, sold, buyable, scoredFor, serviced: null, postponed: 0 };
  const problemOf = (knives: Candidate[], rules: readonly PlaceRule[], there: Money): Problem => {
    const candidates = [...knives, ...beside];
    const extras = beside.map((_, i) => ({ fits: [knives.length + i], required: false }));
    const places = [...placesFor(rules, candidates), ...extras];
    return { demand, owned, given, candidates, places, ...there, ...kindsAtMost(kitchen, rules, school) };
  };
  const now: Money = { budgetMinor, scale };
  if (school === 'boxed-set') {
    const allowed = setsForSale(context).filter(({ pieces }) => pieces.length <= kitchen.limits.maxKnives);
    const pieces = bestSet(allowed, demand, [...owned.map((o) => o.usefulness), ...given], budgetMinor, scale);
    const whole = pieces.map((piece) => isExactly(piece, true));
    const problem = problemOf(pieces, whole, now);
    return { ...context, problem, counts: 'everything', polishGivenUp: 0 };
  }
  const layFor = (there: Money): CountedAs<PlanningContext> => {
    const rules = kitPlaces(making, owned, school, (each) => affords(each, buyable, there.budgetMinor));
    return (counts, only) => {
      const counted = countedBeside(buyable, owned, making, counts);
      const knives = only
        ? counted.filter(({ id }) => only.has(id))
        : reduced(counted, rules, school, reference, there.scale);
      const problem = problemOf(knives, rules, there);
      return { ...context, buyable: counted, counts, problem, polishGivenUp: 0 };
    };
  };
  const less = () => lessMoney(kitchen, putAside).map(layFor);
  const laid = keepingOwned(layFor(now), less);
  const hasPieces = school !== 'free' || kitchen.tastes.pair === 'spared-and-abused';
  return hasPieces ? { ...laid, ...withoutDearPieces(laid.problem, demandedPlaces(kitchen, models).length) } : laid;
}

/**
 * The same kitchen with one model at another price (minor units, what is asked for the knife alone), and what is chosen beside it looked through
 * again.
 */
export function atPrice(context: PlanningContext, id: string, priceMinor: number): PlanningContext {
  const sold = context.sold.map((c) =>
    c.id === id ? { ...c, priceMinor: priceMinor + (c.serviceMinor ?? 0) + (c.regrindMinor ?? 0) } : c,
  );
  const { assumed, cooks, school, board, learned } = context;
  const at = contextFor(context, { assumed, cooks, school, board, learned }, { ...context, sold });
  return context.serviced ? { ...at, serviced: atPrice(context.serviced, id, priceMinor) } : at;
}

/** Round sums below the money there is, each with the scale that belongs to it. */
function lessMoney(kitchen: Kitchen, putAside: readonly PutAside[]): Money[] {
  const aside = putAside.reduce((sum, { priceMinor }) => sum + priceMinor, 0);
  return KEEPING_SUMS_EUR.map((eur) => euroIn(eur, kitchen.currency))
    .filter((sum) => sum > aside && sum < (kitchen.budgetMinor ?? Infinity))
    .map((sum) => moneyOf(kitchen, sum, aside));
}
