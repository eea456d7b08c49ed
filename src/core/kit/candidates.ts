import type { BladeModel, BladeType } from '../blade/schema';
import type { TaskLoad } from '../cutting/load';
import type { Tool } from '../cutting/dish';
import type { CookContext } from '../fit/cook';
import type { PreparedTask } from '../fit/score';
import { conditionFactor, score } from '../fit/score';
import { bladeTraits, type BladeTraits } from '../fit/traits';
import type { Kitchen, Owned } from '../kitchen/kitchen';
import { CATALOGUE_CURRENCY, convertMinor } from '../money/currency';
import type { Reference } from '../reference';
import { typicalBlade } from './typicalBlade';
import { usefulness } from './value';

/** Something a plan may do: buy a knife, put an owned one right, or get a tool. One row of scores per kitchen task. */
export interface Candidate {
  id: string;
  action: 'buy' | 'sharpen' | 'repair' | 'tool';
  type: BladeType | null;
  blade: BladeTraits | null;
  tool: Tool | null;
  /** Index into the owned knives that this step puts right. */
  owned: number | null;
  priceMinor: number;
  /** The offer its price rests on, in a sentence. */
  offer?: string;
  /** It comes in a set or not at all: nothing can take its place alone. */
  inSet?: boolean;
  scores: Float64Array;
  rows: Float64Array;
}

/** An owned knife as it is today. */
export interface OwnedKnife {
  owned: Owned;
  type: BladeType;
  blade: BladeTraits;
  scores: Float64Array;
  rows: Float64Array;
}

/** The kind of work a candidate is for. General and vegetable knives stand in for each other; tools stand for themselves. */
export function kindOfWork({ type, id }: Candidate): string {
  const role = type?.role ?? id;
  return role === 'vegetable' ? 'general' : role;
}

/** A knife that cuts on the board like a general knife: it is the one whose length the hand and the board decide. */
export const isAllRound = (type: Pick<BladeType, 'role'> | null | undefined): boolean =>
  type?.role === 'general' || type?.role === 'vegetable';

/** What a knife costs to put right, EUR minor units per event: trade practice, estimates. */
export const SHARPENING_COST = {
  professional: 800,
  stones: 300,
  'pull-through': 200,
  none: 800,
  repair: 1800,
} as const;

/** Usefulness of scores, task by task. A plain loop, as this is most of a first answer. */
function toRows(scores: Float64Array): Float64Array {
  const rows = new Float64Array(scores.length);
  for (let t = 0; t < rows.length; t++) rows[t] = usefulness(scores[t] ?? 0);
  return rows;
}

function scoresOf(blade: BladeTraits, tasks: readonly PreparedTask[], cooks: readonly CookContext[]): Float64Array {
  const scores = new Float64Array(tasks.length);
  let t = 0;
  for (const task of tasks) scores[t++] = score(blade, task, cooks);
  return scores;
}

/** Handle styles each stated taste allows. */
const HANDLES: Record<string, readonly string[]> = {
  western: ['western'],
  japanese: ['octagon', 'oval', 'd-shape'],
  moulded: ['moulded'],
  metal: ['metal'],
};

/** Whether the kitchen's limits allow buying this model. */
export function isAllowed(model: BladeModel, limits: Kitchen['limits']): boolean {
  if (limits.never.includes(model.type) || limits.never.includes(model.id)) return false;
  if (limits.must.includes(model.id)) return true;
  if (limits.maker && model.maker !== limits.maker) return false;
  if (limits.steel && model.steel !== limits.steel) return false;
  return !limits.handle || (HANDLES[limits.handle] ?? []).includes(model.handleStyle);
}

/**
 * Whether a kitchen has the work a role is for: specialist blades are chosen by which animal or fish is really taken apart
 * (handbook 1.5), a slicer by what is sliced long, a bread knife by bread. General, vegetable and small knives always are.
 */
function hasWorkFor(type: BladeType, loads: readonly TaskLoad[]): boolean {
  const does = (test: (task: TaskLoad['task']) => boolean) => loads.some(({ task }) => test(task));
  switch (type.role) {
    case 'fish':
      return does((t) => t.group === 'Fish and shellfish');
    case 'butchery':
      return does(
        (t) => t.group === 'Raw meat and poultry' || t.motions[0] === 'cleave' || t.group === 'Fish and shellfish',
      );
    case 'slicer':
      return does((t) => t.group === 'Cooked meat' || t.group === 'Fish and shellfish' || (t.long && t.clean === 3));
    case 'serrated':
      // teeth are chosen for crust: a long serrated knife is a bread knife, and needs bread
      return type.id !== 'bread' || does((t) => t.contains.includes('bread'));
    case 'table':
      return does((t) => t.atTable === true);
    case 'other':
      return does((t) => t.withChild === true || t.motions[0] === 'pry');
    default:
      return true;
  }
}

/** Models as knives to be bought, in order of id, whether or not this kitchen has work for them. Table knives are bought one a seat. */
export function forSale(
  kitchen: Kitchen,
  models: readonly BladeModel[],
  reference: Reference,
  tasks: readonly PreparedTask[],
  cooks: readonly CookContext[],
): Candidate[] {
  return models
    .filter((model) => isAllowed(model, kitchen.limits))
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .flatMap((model) => {
      const type = reference.types.get(model.type);
      if (!type) return [];
      const blade = bladeTraits(model, reference);
      const scores = scoresOf(blade, tasks, cooks);
      const each = convertMinor(model.priceMinor, model.currency, kitchen.currency);
      return [
        {
          id: model.id,
          action: 'buy' as const,
          type,
          blade,
          tool: null,
          owned: null,
          priceMinor: type.role === 'table' ? each * Math.ceil(kitchen.portions) : each,
          scores,
          rows: toRows(scores),
        },
      ];
    });
}

/** Knives worth buying here: of the models for sale those with work to do, and what the limits ask for by name. */
export function buyable(
  kitchen: Kitchen,
  loads: readonly TaskLoad[],
  models: readonly BladeModel[],
  reference: Reference,
  tasks: readonly PreparedTask[],
  cooks: readonly CookContext[],
): Candidate[] {
  const { must } = kitchen.limits;
  const wanted = models.filter((model) => {
    const type = reference.types.get(model.type);
    return type && (must.includes(model.type) || must.includes(model.id) || hasWorkFor(type, loads));
  });
  return forSale(kitchen, wanted, reference, tasks, cooks);
}

/** The owned knives as they are. An owned model that left the catalogue is taken for a typical blade of its type. */
export function ownedKnives(
  kitchen: Kitchen,
  models: readonly BladeModel[],
  reference: Reference,
  tasks: readonly PreparedTask[],
  cooks: readonly CookContext[],
): OwnedKnife[] {
  const hand = kitchen.cooks.every((cook) => cook.handed === 'left') ? 'left' : 'right';
  return kitchen.owned.flatMap((owned) => {
    const model = models.find((m) => m.id === owned.model);
    const type = reference.types.get(owned.type ?? model?.type ?? '');
    if (!type) return [];
    const blade = bladeTraits(model ?? typicalBlade(type, owned, hand), reference);
    const scores = scoresOf(blade, tasks, cooks).map((s) => s * conditionFactor(owned.condition));
    return [{ owned, type, blade, scores, rows: toRows(scores) }];
  });
}

/** Putting owned knives right: sharpening what is dull, repairing what is chipped. Worn-out knives are past it. */
export function careSteps(
  kitchen: Kitchen,
  owned: readonly OwnedKnife[],
  tasks: readonly PreparedTask[],
  cooks: readonly CookContext[],
): Candidate[] {
  return owned.flatMap((knife, index) => {
    const { condition } = knife.owned;
    if (condition === 'keen' || condition === 'worn-out') return [];
    const action = condition === 'chipped' ? ('repair' as const) : ('sharpen' as const);
    const event = SHARPENING_COST[action === 'repair' ? 'repair' : kitchen.habits.sharpening];
    const serrated = knife.blade.serrated;
    if (serrated || knife.blade.steel.easeOfSharpening === 0) return [];
    const scores = scoresOf(knife.blade, tasks, cooks);
    return [
      {
        id: `${action}-${index}`,
        action,
        type: knife.type,
        blade: knife.blade,
        tool: null,
        owned: index,
        priceMinor: convertMinor(event, CATALOGUE_CURRENCY, kitchen.currency),
        scores,
        rows: toRows(scores),
      },
    ];
  });
}

/** Scores of a tool on the kitchen's tasks, 0–100. */
export function toolScores(toolId: string, loads: readonly TaskLoad[]): Float64Array {
  return Float64Array.from(loads, ({ task }) => 100 * (task.tools[toolId] ?? 0));
}

/** Tools that stand in for a blade in this kitchen and are not owned yet. */
export function toolSteps(kitchen: Kitchen, loads: readonly TaskLoad[], reference: Reference): Candidate[] {
  return [...reference.tools.values()]
    .filter((tool) => !kitchen.tools.includes(tool.id) && !kitchen.limits.never.includes(tool.id))
    .flatMap((tool) => {
      const scores = toolScores(tool.id, loads);
      if (!scores.some((s) => s > 0)) return [];
      return [
        {
          id: tool.id,
          action: 'tool' as const,
          type: null,
          blade: null,
          tool,
          owned: null,
          priceMinor: convertMinor(tool.priceMinor, CATALOGUE_CURRENCY, kitchen.currency),
          scores,
          rows: toRows(scores),
        },
      ];
    });
}

/**
 * Drops what can never be the better choice: a candidate that another equals or beats at every task for no more money.
 * Of two equals the one first by id stays, so that the order of the catalogue changes nothing. A second copy of the better one
 * is always allowed, so nothing is lost. `lowest` is the least a candidate may come to cost with an offer.
 */
export function withoutDominated(
  candidates: readonly Candidate[],
  lowest = (c: Candidate): number => c.priceMinor,
): Candidate[] {
  const least = new Map(candidates.map((c) => [c, lowest(c)]));
  const beats = (a: Candidate, b: Candidate): boolean => {
    const price = least.get(b) ?? b.priceMinor;
    if (a.priceMinor > price) return false;
    let strictly = a.priceMinor < price;
    for (let t = 0; t < a.rows.length; t++) {
      const x = a.rows[t] ?? 0;
      const y = b.rows[t] ?? 0;
      if (x < y) return false;
      if (x > y) strictly = true;
    }
    return strictly || a.id < b.id;
  };
  return candidates.filter((b) => !candidates.some((a) => a !== b && beats(a, b)));
}
