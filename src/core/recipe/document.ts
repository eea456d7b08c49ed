import { decode } from 'he';
import { parse } from 'node-html-parser';
import { z } from '../zod';
import { FaultyInput } from '../formats/faults';
import { parseJson } from '../formats/json';
import { fromPlain, type ToEnglish } from './plainText';
import { portionsOf } from './portions';

/** What a recipe document holds before its lines are read. */
export interface RecipeText {
  name: string | null;
  portions: number | null;
  lines: string[];
  /** The steps of the method, where they are told. */
  steps: string[];
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
  recipeInstructions: z.unknown().optional(),
});

const clean = (value: string) =>
  decode(value.replace(/<[^>]*>/g, ' '))
    .replace(/\s+/g, ' ')
    .trim();

function linesOf(value: unknown): string[] {
  const all = Array.isArray(value) ? value : typeof value === 'string' ? value.split(/\r?\n/) : [];
  return all.flatMap((each: unknown) => (typeof each === 'string' ? [clean(each)] : [])).filter(Boolean);
}

/** Steps as text, a list of texts, or schema.org's steps within sections. */
function stepsOf(value: unknown, depth = 0): string[] {
  if (depth > 4) return [];
  if (typeof value === 'string')
    return value
      .replace(/<\/(?:p|li|div)>|<br\s*\/?>/gi, '\n')
      .split(/\r?\n/)
      .map(clean)
      .filter(Boolean);
  if (Array.isArray(value)) return value.flatMap((each: unknown) => stepsOf(each, depth + 1));
  const step = stepSchema.safeParse(value).data;
  return step ? stepsOf(step.itemListElement ?? step.text ?? step.name, depth + 1) : [];
}
const stepSchema = z.looseObject({
  text: z.unknown().optional(),
  name: z.unknown().optional(),
  itemListElement: z.unknown().optional(),
});

const isRecipe = (type: unknown): boolean =>
  Array.isArray(type) ? type.some(isRecipe) : typeof type === 'string' && /(^|[/#:])Recipe$/i.test(type);

/** Every Recipe in a JSON-LD value: a lone object, those of an array or an @graph, or nested in either. */
export function recipeNodes(value: unknown, depth = 0): object[] {
  if (depth > 6 || typeof value !== 'object' || value === null) return [];
  if (!Array.isArray(value) && '@type' in value && isRecipe(value['@type'])) return [value];
  return Object.values(value).flatMap((inner) => recipeNodes(inner, depth + 1));
}

/** The first Recipe in a JSON-LD value. */
function findRecipe(value: unknown): RecipeText | null {
  const [first] = recipeNodes(value);
  if (!first) return null;
  const node = recipeNode.parse(first);
  return {
    name: node.name ? clean(node.name) : null,
    portions: portionsOf(node.recipeYield ?? node.yield),
    lines: linesOf(node.recipeIngredient ?? node.ingredients),
    steps: stepsOf(node.recipeInstructions),
  };
}

/** The scripts of linked data in a page, whatever else is broken in it. */
const LINKED_DATA = /<script\b[^>]*ld\+json[^>]*>([\s\S]*?)(?:<\/script|$)/gi;

/** JSON as pages often break it: comments round it, bare line ends within strings, a comma too many. */
const mended = (json: string): string =>
  json
    .replace(/^\s*(?:<!--|\/\*\s*<!\[CDATA\[\s*\*\/|<!\[CDATA\[)|(?:-->|\/\*\s*\]\]>\s*\*\/|\]\]>)\s*$/g, '')
    .replace(/"(?:[^"\\]|\\.)*"/g, (quoted) => quoted.replace(/[\r\n\t]+/g, ' '))
    .replace(/,(\s*[}\]])/g, '$1')
    .replace(/;\s*$/, '')
    .trim();

function jsonOf(source: string): unknown {
  for (const text of [source.trim(), mended(source)])
    try {
      return parseJson(text);
    } catch (error) {
      if (!(error instanceof FaultyInput)) throw error;
    }
  return null;
}

/** A recipe marked up in the page itself, as microdata or RDFa. */
function fromMarkup(source: string): RecipeText | null {
  const page = parse(source);
  const [root] = [
    ...page.querySelectorAll('[itemtype*="schema.org/Recipe"]'),
    ...page.querySelectorAll('[typeof*="Recipe"]'),
  ];
  if (!root) return null;
  const all = (...names: string[]) =>
    names.flatMap((name) => [
      ...root.querySelectorAll(`[itemprop~="${name}"]`),
      ...root.querySelectorAll(`[property~="${name}"]`),
      ...root.querySelectorAll(`[property~="schema:${name}"]`),
    ]);
  const said = (
    element: (typeof page)['childNodes'][number] & { getAttribute?: (name: string) => string | undefined },
  ) => clean(element.getAttribute?.('content') ?? element.innerText);
  const first = (...names: string[]) =>
    all(...names)
      .map(said)
      .find(Boolean) ?? null;
  return {
    name: first('name'),
    portions: portionsOf(first('recipeYield', 'yield')),
    lines: all('recipeIngredient', 'ingredients').map(said).filter(Boolean),
    steps: all('recipeInstructions').flatMap((each) => stepsOf(each.innerHTML)),
  };
}

/** What of a page is about the site, not the recipe. */
const ABOUT_THE_SITE =
  'script, style, noscript, template, nav, header, footer, aside, form, button, svg, select, iframe';
/** Least lines with a number that make a list of ingredients of a page's text. */
const LEAST_COUNTED = 3;

/** A page without marked-up data, read as the text it shows. */
function fromPageText(source: string, toEnglish: ToEnglish): RecipeText | null {
  const page = parse(source);
  const title = clean(page.querySelector('h1')?.innerText ?? page.querySelector('title')?.innerText ?? '');
  for (const each of page.querySelectorAll(ABOUT_THE_SITE)) each.remove();
  const root = page.querySelector('article') ?? page.querySelector('main') ?? page.querySelector('body') ?? page;
  for (const each of root.querySelectorAll('h1')) each.remove();
  const found = fromPlain(decode(root.structuredText), toEnglish);
  const counted = found.lines.filter((line) => /^\W*(?:\d|[½¼¾⅓⅔])/.test(line));
  // a page that does not head its ingredients holds much else: only what counts something is taken from it
  const lines = /^\s*(?:ingredients|zutaten)\b/im.test(root.structuredText) ? found.lines : counted;
  return counted.length < LEAST_COUNTED ? null : { ...found, lines, name: title || found.name };
}

function fromHtml(source: string, toEnglish: ToEnglish): RecipeText {
  for (const [, script = ''] of source.matchAll(LINKED_DATA)) {
    const found = findRecipe(jsonOf(script));
    if (found) return found;
  }
  const marked = fromMarkup(source);
  if (marked && marked.lines.length > 0) return marked;
  const shown = fromPageText(source, toEnglish);
  if (shown) return shown;
  throw new FaultyInput([
    {
      path: 'file',
      message:
        'is a page in which no list of ingredients was found; copy the ingredient lines from it and paste them instead',
    },
  ]);
}

/** Takes a recipe document apart: JSON-LD, an HTML page that holds it, or plain ingredient lines. Throws {@link FaultyInput}. */
export function readDocument(source: string, toEnglish: ToEnglish): RecipeText {
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
  } else found = /^<(?!\d)/.test(trimmed) ? fromHtml(trimmed, toEnglish) : fromPlain(trimmed, toEnglish);
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
