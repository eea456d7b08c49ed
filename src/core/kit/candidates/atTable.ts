import type { Task } from '../../cutting/task';
import type { Making } from './making';
import { rescued } from '../demand/rescue';
import type { Scored } from './scoring';

/** Takes from a blade whatever it is at some tasks. */
function without(blade: Scored, isBarred: (task: Task) => boolean, { loads }: Pick<Making, 'loads'>): Scored {
  const pressing = rescued(loads);
  const people = blade.usefulness.length - pressing.length;
  loads.forEach(({ task }, t) => {
    if (!isBarred(task)) return;
    blade.scores[t] = 0;
    for (let column = t; column < people; column += loads.length) blade.usefulness[column] = 0;
    const rescue = pressing.indexOf(t);
    if (rescue >= 0) blade.usefulness[people + rescue] = 0;
  });
  return blade;
}

const isAtTable = ({ atTable }: Task) => atTable === true;

/** A table knife is one a seat or none: no other knife sits at a table of several. */
export const onTheBoard = (blade: Scored, making: Pick<Making, 'loads' | 'kitchen'>): Scored =>
  making.kitchen.seats > 1 ? without(blade, isAtTable, making) : blade;

/** What is bought for the table is counted at the table alone: it is no knife of the kitchen. */
export const onlyAtTable = (blade: Scored, making: Pick<Making, 'loads'>): Scored =>
  without(blade, (task) => !isAtTable(task), making);
