import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { BladeModel } from '../blade/schema';
import { taskLoads } from '../load/load';
import type { Task } from '../cutting/task';
import { cookContexts, type CookContext } from '../fit/cook';
import { taskModes, type Mode, type ModeId } from '../fit/modes';
import type { Part } from '../fit/part';
import { bladeTraits, type BladeTraits } from '../fit/traits';
import type { KitchenFile } from '../formats/kitchenFile';
import { completeKitchen } from '../kitchen/kitchen';
import { preparePlanning, type PlanningContext } from '../kit/context/planningContext';
import type { SchoolId } from '../kit/context/schools';

/** Named things of the shipped trade data, for tests. Each throws when there is no such thing. */

const found = <T>(value: T | undefined, what: string): T => {
  if (value === undefined) throw new Error(`no ${what}`);
  return value;
};

export const taskNamed = (id: string): Task => found(reference.tasks.get(id), `task ${id}`);
export const modelNamed = (id: string): BladeModel =>
  found(
    shippedModels.find((m) => m.id === id),
    `model ${id}`,
  );
/** Traits of a shipped model, with some of its figures changed. */
export const traitsOf = (id: string, changes: Partial<BladeModel> = {}): BladeTraits =>
  bladeTraits({ ...modelNamed(id), ...changes }, reference);

/** A kitchen file with what is given and nothing else. */
export const fileOf = (file: Partial<KitchenFile> = {}): KitchenFile => ({
  format: 'scabbard.kitchen',
  version: 1,
  ...file,
});

/** The cooks of such a kitchen, ready for scoring. */
export function cooksOf(file: Partial<KitchenFile> = {}): CookContext[] {
  const { kitchen } = completeKitchen(fileOf(file), reference, shippedModels);
  return cookContexts(kitchen, taskLoads(kitchen, reference));
}

export const cookOf = (file: Partial<KitchenFile> = {}): CookContext => found(cooksOf(file)[0], 'cook');

export const contextOf = (file: Partial<KitchenFile> = {}, school?: SchoolId): PlanningContext =>
  preparePlanning(fileOf(file), reference, shippedModels, school);

/** A way of doing a task; its first way when none is named. */
export const modeOf = (taskId: string, id?: ModeId): Mode =>
  found(
    taskModes(taskNamed(taskId)).find((mode) => id === undefined || mode.id === id),
    `way ${id ?? ''} of ${taskId}`,
  );

/** Value of one part, 0–1, for a blade at a task done in a way. */
export const partValue = (part: Part, blade: BladeTraits, taskId: string, cook = cookOf(), mode = modeOf(taskId)) =>
  part.value(blade, taskNamed(taskId), cook, mode);

/** The sentence that goes with {@link partValue}. */
export const partWhy = (part: Part, blade: BladeTraits, taskId: string, cook = cookOf(), mode = modeOf(taskId)) =>
  part.why(blade, taskNamed(taskId), cook, mode, partValue(part, blade, taskId, cook, mode));
