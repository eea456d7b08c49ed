import { LOAD, WORTH } from '../../constants';
import type { TaskLoad } from '../../load/load';

/** Weekly work, or work that matters: what is brought out of a struggle before anything is polished (handbook 8.1). */
export const isPressing = ({ task, weight, matters, timesPerYear }: TaskLoad): boolean =>
  weight > 0 && !task.atTable && (matters >= LOAD.pressing.value || timesPerYear >= LOAD.weekly.value);
const pressing = new WeakMap<readonly TaskLoad[], readonly number[]>();

/** The tasks whose rescue is counted, by index: they have columns of their own behind those of the hands. */
export function rescued(loads: readonly TaskLoad[]): readonly number[] {
  const found = pressing.get(loads) ?? loads.flatMap((load, t) => (isPressing(load) ? [t] : []));
  pressing.set(loads, found);
  return found;
}

/** How far a score (0–100) brings weekly work out of a struggle, 0–1. */
export const rescues = (score: number): number =>
  Math.min(1, Math.max(0, (score - WORTH.rescueFrom.value) / (WORTH.rescueTo.value - WORTH.rescueFrom.value)));
