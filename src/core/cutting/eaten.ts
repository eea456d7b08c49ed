import type { Task } from './task';
import type { Avoidable } from './words';

/** Whether someone who avoids these foods still does the task. */
export function isEaten(task: Pick<Task, 'contains' | 'eitherOf'>, avoids: readonly Avoidable[]): boolean {
  if (task.contains.some((food) => avoids.includes(food))) return false;
  return task.eitherOf.length === 0 || task.eitherOf.some((food) => !avoids.includes(food));
}

const FLESH: ReadonlySet<string> = new Set(['meat', 'poultry', 'fish', 'shellfish']);

/** Whether a task is on meat, poultry, fish or shellfish. */
export const isFlesh = ({ contains, eitherOf }: Pick<Task, 'contains' | 'eitherOf'>): boolean =>
  contains.some((food) => FLESH.has(food)) || (eitherOf.length > 0 && eitherOf.every((food) => FLESH.has(food)));

/** Whether it is raw as well: what is cut cooked stands in a group of its own. */
export const isRawFlesh = (task: Pick<Task, 'contains' | 'eitherOf' | 'group'>): boolean =>
  isFlesh(task) && (task.group === 'Raw meat and poultry' || task.group === 'Fish and shellfish');

/** Whether the face of the slice is the dish: raw fish served raw, paper-thin slices, sheets peeled for show (handbook 10.2). */
export const isFaceTheDish = (task: Pick<Task, 'contains' | 'eitherOf' | 'group' | 'clean' | 'thin'>): boolean =>
  task.clean === 3 && (task.thin === 3 || (task.thin === 2 && isRawFlesh(task) && task.group === 'Fish and shellfish'));
