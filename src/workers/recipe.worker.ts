import { expose } from 'comlink';
import { z } from '../core/zod';
import { languages, lexicon } from '../../data/foods';
import rawTasks from '../../data/tasks.json';
import { taskSchema } from '../core/cutting/task';
import { FaultyInput, faultLine } from '../core/formats/faults';
import type { Recipe } from '../core/recipe/recipe';
import { readRecipe } from '../core/recipe/recipe';

const tasks = new Map(
  z
    .array(taskSchema)
    .parse(rawTasks)
    .map((task) => [task.id, task]),
);

/** Reads recipes away from the page: the lexicon is large and only wanted here. */
const recipeWorker = {
  /** A recipe as it was understood, or why it could not be read. */
  read(source: string): { recipe: Recipe } | { fault: string } {
    try {
      return { recipe: readRecipe(source, { lexicon, languages, tasks }) };
    } catch (error) {
      if (error instanceof FaultyInput) return { fault: error.faults.map(faultLine).join('; ') };
      throw error;
    }
  },
};
export type RecipeWorker = typeof recipeWorker;

expose(recipeWorker);
