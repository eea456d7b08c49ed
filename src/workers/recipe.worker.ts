import { expose } from 'comlink';
import { z } from '../core/zod';
import { languages, lexicon } from '../../data/foods';
import rawTasks from '../../data/tasks.json';
import { taskSchema } from '../core/cutting/task';
import { FaultyInput, faultLine } from '../core/formats/faults';
import { withTask, wordsOf } from '../core/recipe/corrections';
import type { Corrections } from '../core/recipe/knowledge';
import type { RecipeLine } from '../core/formats/recipeFile';
import type { Recipe } from '../core/formats/recipeFile';
import { readRecipe } from '../core/recipe/recipe';
import { recipesIn } from '../core/recipe/split';

const tasks = new Map(
  z
    .array(taskSchema)
    .parse(rawTasks)
    .map((task) => [task.id, task]),
);
const knowledge = { lexicon, languages, tasks };

/** Runs `work`; a fault of the input becomes its words. */
function orFault<T extends object>(work: () => T): T | { fault: string } {
  try {
    return work();
  } catch (error) {
    if (error instanceof FaultyInput) return { fault: error.faults.map(faultLine).join('; ') };
    throw error;
  }
}

/** Reads recipes away from the page: the lexicon is large and only wanted here. */
const recipeWorker = {
  /** The recipes in one source, or why it holds none. */
  split: (source: string): { sources: string[] } | { fault: string } => orFault(() => ({ sources: recipesIn(source) })),
  /** A recipe as it was understood, or why it could not be read. */
  read: (source: string, corrections: Corrections): { recipe: Recipe } | { fault: string } =>
    orFault(() => ({ recipe: readRecipe(source, { ...knowledge, corrections }) })),
  /** A line with another task, measured for it, and the words by which that is remembered. */
  correct: (line: RecipeLine, task: string | null): { line: RecipeLine; words: string } => ({
    line: withTask(line, task, knowledge),
    words: wordsOf(line.line),
  }),
};
export type RecipeWorker = typeof recipeWorker;

expose(recipeWorker);
