import type { TaskLoad } from '../cutting/load';
import type { Kitchen } from '../kitchen/kitchen';
import type { Demand } from './value';

/** Share of a task done while a second knife is wanted within 0–0.5. `backup` is below the trade's 0.05: at that figure spare copies of cheap knives crowd out wants. */
export const SHARED = { backup: 0.01, rawBesideVegetables: 0.05, perExtraCook: 0.4, most: 0.5 } as const;

const RAW = ['Raw meat and poultry', 'Fish and shellfish'];
/** Work that several cooks do at the same time: everything on the board that is not raw flesh, bread or carving. */
const BOARD = ['Aromatics and herbs', 'Soft and skinned produce', 'Dense produce'];

/** Weights and shared shares of the tasks a plan is made for. Tasks no knife should do weigh nothing. */
export function demandOf(kitchen: Pick<Kitchen, 'cooksAtOnce'>, loads: readonly TaskLoad[]): Demand {
  const weights = Float64Array.from(loads, (load) => load.weight);
  const extra = kitchen.cooksAtOnce > 1 ? SHARED.perExtraCook * (2 - 2 / kitchen.cooksAtOnce) : 0;
  const shared = Float64Array.from(loads, ({ task }) => {
    const besides = RAW.includes(task.group) && task.motions[0] !== 'cleave';
    const alone = besides ? SHARED.rawBesideVegetables : SHARED.backup;
    return Math.min(SHARED.most, BOARD.includes(task.group) ? Math.max(alone, extra) : Math.max(alone, extra / 2));
  });
  return { weights, shared, total: weights.reduce((a, b) => a + b, 0) };
}
