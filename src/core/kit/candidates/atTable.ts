import type { Making } from './making';
import { rescued } from '../demand/rescue';
import type { Scored } from './scoring';

/** A table knife is one a seat or none, and nothing else sits at a table of several. */
export function atTable(blade: Scored, isTable: boolean, { loads, kitchen }: Making): Scored {
  if (isTable || kitchen.seats <= 1) return blade;
  const pressing = rescued(loads);
  const people = blade.usefulness.length - pressing.length;
  loads.forEach(({ task }, t) => {
    if (!task.atTable) return;
    blade.scores[t] = 0;
    for (let column = t; column < people; column += loads.length) blade.usefulness[column] = 0;
    const rescue = pressing.indexOf(t);
    if (rescue >= 0) blade.usefulness[people + rescue] = 0;
  });
  return blade;
}
