import { decode } from 'he';
import { parse } from 'node-html-parser';
import { z } from '../zod';
import { FaultyInput } from '../formats/faults';
import { parseJson } from '../formats/json';

/** What a recipe document holds before its lines are read. */
export interface RecipeText {
  name: string | null;
  portions: number | null;
  lines: string[];
}

/** Largest recipe read, characters. */
export const MAX_RECIPE = 2 * 1024 * 1024;
/** Most lines read of one recipe. */
export const MAX_LINES = 400;

const text = z.union([z.string(), z.number()]).transform(String);
const recipeNode = z.looseObject({
  name: text.optional().catch(undefined),
  recipeYield: z.unknown().optional(),
  yield: z.unknown().optional(),
  recipeIngredient: z.unknown().optional(),
  ingredients: z.unknown().optional(),
});

const clean = (value: string) =>
  decode(value.replace(/<[^>]*>/g, ' '))
    .replace(/\s+/g, ' ')
    .trim();

/** "4", 4, ["4", "4 servings"] or "Serves 4–6": the first number, 1–500. */
function portionsOf(value: unknown): number | null {
  const words = (Array.isArray(value) ? value : [value]).map((each) =>
    typeof each === 'string' || typeof each === 'number' ? String(each) : '',
  );
  for (const word of words) {
    const number = Number(/\d+(\.\d+)?/.exec(word)?.[0] ?? NaN);
    if (number >= 1 && number <= 500) return number;
  }
  return null;
}

function linesOf(value: unknown): string[] {
  const all = Array.isArray(value) ? value : typeof value === 'string' ? value.split(/\r?\n/) : [];
  return all.flatMap((each: unknown) => (typeof each === 'string' ? [clean(each)] : [])).filter(Boolean);
}

const isRecipe = (type: unknown): boolean =>
  Array.isArray(type) ? type.some(isRecipe) : typeof type === 'string' && /(^|[/#:])Recipe$/i.test(type);

/** The first Recipe in a JSON-LD value: a lone object, an array, an @graph, or nested in either. */
function findRecipe(value: unknown, depth = 0): RecipeText | null {
  if (depth > 6 || typeof value !== 'object' || value === null) return null;
  if (!Array.isArray(value) && '@type' in value && isRecipe(value['@type'])) {
    const node = recipeNode.parse(value);
    return {
      name: node.name ? clean(node.name) : null,
      portions: portionsOf(node.recipeYield ?? node.yield),
      lines: linesOf(node.recipeIngredient ?? node.ingredients),
    };
  }
  for (const inner of Object.values(value)) {
    const found = findRecipe(inner, depth + 1);
    if (found) return found;
  }
  return null;
}

function fromHtml(source: string): RecipeText {
  const scripts = parse(source, { blockTextElements: { script: true } }).querySelectorAll('script');
  for (const script of scripts) {
    if (!/ld\+json/i.test(script.getAttribute('type') ?? '')) continue;
    try {
      const found = findRecipe(parseJson(script.rawText.trim()));
      if (found) return found;
    } catch (error) {
      if (!(error instanceof FaultyInput)) throw error;
    }
  }
  throw new FaultyInput([
    { path: 'file', message: 'is a page without a schema.org Recipe in it; paste the ingredient lines instead' },
  ]);
}

/** Plain lines: a first line without a quantity that is followed by others is not taken for a name; every line is read. */
function fromPlain(source: string): RecipeText {
  const serves = /\b(?:serves|servings?|portions?|makes|for)\s*:?\s*(\d+)/i.exec(
    source.split(/\r?\n/).find((l) => /^(serves|servings?|portions?|makes)\b/i.test(l.trim())) ?? '',
  );
  return {
    name: null,
    portions: serves ? portionsOf(serves[1]) : null,
    lines: source
      .split(/\r?\n/)
      .map(clean)
      .filter((line) => line !== '' && !/^(serves|servings?|portions?|makes)\b[^a-z]*\d+[^a-z]*$/i.test(line)),
  };
}

/** Takes a recipe document apart: JSON-LD, an HTML page that holds it, or plain ingredient lines. Throws {@link FaultyInput}. */
export function readDocument(source: string): RecipeText {
  if (source.length > MAX_RECIPE)
    throw new FaultyInput([{ path: 'file', message: 'is larger than 2 MB; a recipe is smaller than that' }]);
  const trimmed = source.replace(/^\uFEFF/, '').trim();
  if (trimmed === '')
    throw new FaultyInput([{ path: 'file', message: 'is empty; paste the ingredient lines of a recipe' }]);
  let found: RecipeText;
  if (/^[[{]/.test(trimmed)) {
    const recipe = findRecipe(parseJson(trimmed));
    if (!recipe)
      throw new FaultyInput([
        { path: 'file', message: 'is JSON without a schema.org Recipe ("@type": "Recipe") in it' },
      ]);
    found = recipe;
  } else found = /^<(?!\d)/.test(trimmed) ? fromHtml(trimmed) : fromPlain(trimmed);
  if (found.lines.length === 0)
    throw new FaultyInput([
      { path: 'recipeIngredient', message: 'is empty; a recipe needs at least one ingredient line' },
    ]);
  if (found.lines.length > MAX_LINES)
    throw new FaultyInput([
      { path: 'recipeIngredient', message: `has ${found.lines.length} lines; at most ${MAX_LINES} are read` },
    ]);
  return found;
}
