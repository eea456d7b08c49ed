import type { Task } from '../cutting/task';
import { readDocument } from './document';
import type { Lexicon } from './foods';
import { readLine, type RecipeLine } from './line';

/** A recipe as it was understood: every line read, or listed among the unread. */
export interface Recipe {
  format: 'scabbard.recipe';
  version: 1;
  name: string | null;
  portions: number;
  lines: RecipeLine[];
  unread: string[];
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
  const read = document.lines.map((line) => ({ line, as: readLine(line, lexicon, tasks) }));
  return {
    format: 'scabbard.recipe',
    version: 1,
    name: document.name,
    portions: wanted,
    lines: read.flatMap(({ as }) => (as ? [scaled(as, wanted / own)] : [])),
    unread: read.flatMap(({ line, as }) => (as ? [] : [line])),
  };
}

function scaled(line: RecipeLine, by: number): RecipeLine {
  const times = (value: number) => Math.round(value * by * 100) / 100;
  return {
    ...line,
    quantity: line.quantity === null ? null : times(line.quantity),
    tasks: line.tasks.map(({ id, amount }) => ({ id, amount: Math.max(0.01, times(amount)) })),
  };
}
