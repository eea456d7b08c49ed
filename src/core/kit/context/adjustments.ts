import { EDGE } from '../../constants';
import { taskLoads } from '../../load/load';
import type { EdgeCare } from '../../edge/keenness';
import { workingCooks } from '../../fit/cook';
import type { Kitchen } from '../../kitchen/kitchen';
import { convertMinor, CATALOGUE_CURRENCY } from '../../money/currency';
import type { Reference } from '../../reference';

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

/** A glass or stone board gives way to a wooden one before any knife is bought, wherever the money reaches for it (handbook 10.6). */
export function withBoard(kitchen: Kitchen, reference: Reference): { kitchen: Kitchen; boardMinor: number } {
  const board = reference.tools.get('board');
  const hard = kitchen.board.material === 'glass' || kitchen.board.material === 'stone';
  if (!hard || !board || kitchen.limits.never.includes(board.id)) return { kitchen, boardMinor: 0 };
  const inKitchen = (minor: number) => convertMinor(minor, CATALOGUE_CURRENCY, kitchen.currency);
  const boardMinor = inKitchen(board.priceMinor);
  if (boardMinor > (kitchen.budgetMinor ?? Infinity)) return { kitchen, boardMinor: 0 };
  return { kitchen: { ...kitchen, board: { ...kitchen.board, material: 'wood' } }, boardMinor };
}

/** What the year's service makes of a kitchen's edges, where nobody sharpens. */
export function serviceFor(care: EdgeCare, { habits, tastes }: Kitchen): EdgeCare | null {
  if (habits.sharpening !== 'none' || tastes.sharpening === 'never-lent') return null;
  return { ...care, sharpening: 'professional', visitsPerYear: EDGE.visits.service.value };
}
