import { EDGE } from '../../constants';
import type { Tool } from '../../cutting/dish';
import { taskLoads } from '../../load/load';
import { type EdgeCare, isSharpened } from '../../edge/keenness';
import { workingCooks } from '../../fit/cook';
import type { Kitchen } from '../../kitchen/kitchen';
import { convertMinor, CATALOGUE_CURRENCY } from '../../money/currency';
import type { Reference } from '../../reference';
import type { Making } from '../candidates/making';
import { isDull, type OwnedKnife } from '../candidates/owned';

/** Bones are chopped here though no task says so: a carcass a month. */
const IMPLIED_BONES = { id: 'stock-bones-chop', timesPerWeek: 12 / 52, amount: 1, matters: 1 };

export function withImpliedTasks(kitchen: Kitchen, reference: Reference, assumed: string[]): Kitchen {
  if (!kitchen.habits.bones) return kitchen;
  const bony = taskLoads(kitchen, reference).some(({ task }) => task.motions[0] === 'cleave' && !task.instead);
  if (bony || kitchen.avoids.includes('poultry')) return kitchen;
  assumed.push('Bones are chopped: a carcass for stock each month.');
  return { ...kitchen, tasks: [...kitchen.tasks, IMPLIED_BONES] };
}

/** Children at the board are no further pair of hands at the others' work. */
export function withoutChildren(kitchen: Kitchen): Kitchen {
  const children = kitchen.cooks.length - workingCooks(kitchen.cooks).length;
  return children === 0 ? kitchen : { ...kitchen, cooksAtOnce: Math.max(1, kitchen.cooksAtOnce - children) };
}

/** A thing that comes before any knife: its price is put aside. */
export interface PutAside {
  tool: Tool;
  priceMinor: number;
  why: string;
}

/** A tool at its price here, put aside; null where it is excluded or the money does not reach. */
function asideFor(
  id: string,
  why: string,
  { limits, currency }: Kitchen,
  { tools }: Reference,
  moneyMinor: number,
): PutAside | null {
  const tool = tools.get(id);
  if (!tool || limits.never.includes(id)) return null;
  const priceMinor = convertMinor(tool.priceMinor, CATALOGUE_CURRENCY, currency);
  return priceMinor <= moneyMinor ? { tool, priceMinor, why } : null;
}

/** A glass or stone board gives way to a wooden one before any knife is bought, wherever the money reaches for it (handbook 10.6). */
export function withBoard(kitchen: Kitchen, reference: Reference): { kitchen: Kitchen; board: PutAside | null } {
  if (kitchen.board.material !== 'glass' && kitchen.board.material !== 'stone') return { kitchen, board: null };
  const why = 'Glass and stone ruin every edge within days: wood comes before any knife.';
  const board = asideFor('board', why, kitchen, reference, kitchen.budgetMinor ?? Infinity);
  return board
    ? { kitchen: { ...kitchen, board: { ...kitchen.board, material: 'wood' } }, board }
    : { kitchen, board: null };
}

/** Whether a sharpening stone is among some tools. */
export const ownsStone = (tools: readonly string[]): boolean => tools.some((id) => id.startsWith('stone-'));

/** A first stone, for who sharpens on stones, owns none, and has knives to put right with it (handbook 10.4). */
export function firstStone(
  { kitchen, reference }: Pick<Making, 'kitchen' | 'reference'>,
  owned: readonly OwnedKnife[],
  moneyMinor: number,
): PutAside | null {
  if (kitchen.habits.sharpening !== 'stones' || ownsStone(kitchen.tools)) return null;
  const toDo = owned.filter(
    ({ blade, owned: { condition, keep } }) => keep === 'use' && isDull({ condition }) && isSharpened(blade.blade),
  );
  if (toDo.length === 0) return null;
  const all = toDo.length === 1 ? 'the knife that is dull' : `all ${toDo.length} that are dull, in one session`;
  const why = `You sharpen on stones and own none: with this one you put right ${all}. A medium stone does most of it, coarse only for damage. On a wet cloth, slowly, edge away at rest.`;
  return asideFor('stone-medium', why, kitchen, reference, moneyMinor);
}

/** What the year's service makes of a kitchen's edges, where nobody sharpens. */
export function serviceFor(care: EdgeCare, { habits, tastes }: Kitchen): EdgeCare | null {
  if (habits.sharpening !== 'none' || tastes.sharpening === 'never-lent') return null;
  return { ...care, sharpening: 'professional', visitsPerYear: EDGE.visits.service.value };
}
