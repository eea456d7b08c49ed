import type { Task } from './task';
import type { Avoidable } from './words';

/** Whether someone who avoids these foods still does the task. */
export function isEaten(task: Pick<Task, 'contains' | 'eitherOf'>, avoids: readonly Avoidable[]): boolean {
  if (task.contains.some((food) => avoids.includes(food))) return false;
  return task.eitherOf.length === 0 || task.eitherOf.some((food) => !avoids.includes(food));
}

const FLESH: ReadonlySet<string> = new Set(['meat', 'poultry', 'fish', 'shellfish']);

/** Whether a task is on meat, poultry, fish or shellfish. */
export const isFlesh = ({ contains }: Pick<Task, 'contains'>): boolean => contains.some((food) => FLESH.has(food));

/** Whether it is raw as well: what is cut cooked stands in a group of its own. */
export const isRawFlesh = (task: Pick<Task, 'contains' | 'group'>): boolean =>
  isFlesh(task) && (task.group === 'Raw meat and poultry' || task.group === 'Fish and shellfish');
