import { MAX_WORDS } from '../formats/workspaceFile';
import { findFood } from './foods';
import type { Corrections, RecipeKnowledge } from './knowledge';
import type { RecipeLine } from '../formats/recipeFile';
import { tokens } from './text';
import { amountOf, measure } from './units';

/** Words up to this long are units more often than words, letters. */
const SHORTEST = 2;

/**
 * The words of a line by which a correction is remembered: without figures and short units, so that another amount is the same line.
 *
 * @example wordsOf('500 g kohlrabi leaves, in ribbons') // 'kohlrabi leaf ribbon'
 */
export const wordsOf = (line: string): string =>
  tokens(line)
    .filter((word) => word.length > SHORTEST)
    .join(' ')
    .slice(0, MAX_WORDS);

/** A line with other tasks, as somebody said it: questions and marks about the reading are gone. */
export const asSaid = ({ line, quantity, unit, food, cut }: RecipeLine, tasks: RecipeLine['tasks']): RecipeLine => ({
  line,
  quantity,
  unit,
  food,
  cut,
  tasks,
});

/** A line whose task is another than was read; its amount is measured anew, one where nothing tells it. */
export function withTask(line: RecipeLine, task: string | null, knowledge: RecipeKnowledge): RecipeLine {
  const known = task === null ? undefined : knowledge.tasks.get(task);
  if (!known) return asSaid(line, []);
  const food = line.food === null ? undefined : findFood(tokens(line.food), knowledge.lexicon)?.food;
  const amount = food ? amountOf(known, measure(line.quantity, line.unit, food), food) : (line.quantity ?? 1);
  return asSaid(line, [{ id: known.id, amount: Math.max(0.01, amount) }]);
}

/** A line as it was corrected before; itself where it was not. Null stays null unless a task was said for its words. */
export function corrected(
  line: string,
  as: RecipeLine | null,
  corrections: Corrections,
  knowledge: RecipeKnowledge,
): RecipeLine | null {
  const task = corrections.get(wordsOf(line));
  if (task === undefined) return as;
  const read = as ?? { line, quantity: null, unit: null, food: null, cut: null, tasks: [] };
  return { ...withTask(read, task, knowledge), corrected: true };
}
