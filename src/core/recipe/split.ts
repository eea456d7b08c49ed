import { FaultyInput } from '../formats/faults';
import { parseJson } from '../formats/json';
import { recipeNodes } from './document';

/** Most recipes read from one source. */
export const MAX_RECIPES = 200;

/** A line that parts recipes in a pasted list. */
const BETWEEN = /^\s*(?:-{3,}|={3,}|\*{3,}|_{3,}|#{3,})\s*$/m;

/**
 * The recipes in one source: every Recipe of a JSON document, the parts of a text that lines of dashes part, else the source itself. Throws
 * {@link FaultyInput} beyond {@link MAX_RECIPES}.
 */
export function recipesIn(source: string): string[] {
  const trimmed = source.replace(/^\uFEFF/, '').trim();
  const parts = /^[[{]/.test(trimmed)
    ? recipeNodes(parseJson(trimmed)).map((node) => JSON.stringify(node))
    : /^<(?!\d)/.test(trimmed)
      ? []
      : trimmed.split(BETWEEN).map((part) => part.trim());
  const found = parts.filter(Boolean);
  if (found.length > MAX_RECIPES)
    throw new FaultyInput([
      { path: 'file', message: `holds ${found.length} recipes; at most ${MAX_RECIPES} are read at once` },
    ]);
  return found.length > 0 ? found : [source];
}
