import type { Task } from '../cutting/task';
import { readDocument } from './document';
import { findFood, type Lexicon } from './foods';
import { readLine, type RecipeLine } from './line';
import { orderedIn, type Ordered } from './method';
import { tokens } from './text';

/** A recipe as it was understood: every line read, or listed among the unread. */
export interface Recipe {
  format: 'scabbard.recipe';
  version: 1;
  name: string | null;
  portions: number;
  lines: RecipeLine[];
  unread: string[];
  /** Cuts the method orders of what stands in no line. */
  method?: { step: number; text: string; tasks: RecipeLine['tasks'] }[];
}

/** Portions taken where a recipe does not say. */
export const USUAL_PORTIONS = 4;

/**
 * Reads a recipe for so many portions (its own when `portions` is not given, else {@link USUAL_PORTIONS}); amounts of
 * tasks scale along. Throws FaultyInput when the document is not readable.
 */
export function readRecipe(
  source: string,
  lexicon: Lexicon,
  tasks: ReadonlyMap<string, Task>,
  portions?: number,
): Recipe {
  const document = readDocument(source);
  const own = document.portions ?? USUAL_PORTIONS;
  const wanted = portions ?? own;
  const ordered = orderedIn(document.steps, lexicon);
  const taken = new Set<Ordered>();
  const read = document.lines.map((line) => {
    const as = readLine(line, lexicon, tasks);
    const food = as?.food ? findFood(tokens(as.food), lexicon)?.food : undefined;
    const alike = ordered.filter((each) => each.food === food);
    for (const each of alike) taken.add(each);
    const [first] = alike;
    // a line that names its own cut keeps it: nothing is counted twice
    if (!as || !first || as.cut !== null) return { line, as };
    const again = readLine(`${line}, ${alike.map(({ cut }) => cut).join(', ')}`, lexicon, tasks);
    return { line, as: again && again.food === as.food ? { ...again, line } : as };
  });
  const method = ordered
    .filter((each) => !taken.has(each))
    .flatMap(({ step, text, name, cut }) => {
      const found = readLine(`1 ${name}, ${cut}`, lexicon, tasks)?.tasks ?? [];
      return found.length > 0 ? [{ step, text, tasks: found }] : [];
    });
  return {
    format: 'scabbard.recipe',
    version: 1,
    name: document.name,
    portions: wanted,
    lines: read.flatMap(({ as }) => (as ? [scaled(as, wanted / own)] : [])),
    unread: read.flatMap(({ line, as }) => (as ? [] : [line])),
    ...(method.length > 0 ? { method } : {}),
  };
}

function scaled(line: RecipeLine, by: number): RecipeLine {
  const times = (value: number) => Math.round(value * by * 100) / 100;
  return {
    ...line,
    quantity: line.quantity === null ? null : times(line.quantity),
    tasks: line.tasks.map((task) => ({ ...task, amount: Math.max(0.01, times(task.amount)) })),
  };
}
