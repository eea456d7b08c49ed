import type { Recipe, RecipeLine } from '../formats/recipeFile';
import { corrected } from './corrections';
import type { RecipeKnowledge } from './knowledge';
import { readDocument } from './document';
import { findFood, type Food, type Lexicon } from './foods';
import { languageOf, translated, type Language } from './language';
import { readLine } from './line';
import { orderedIn, type Ordered } from './method';
import { tokens } from './text';
import { measure } from './units';

/** Portions taken where a recipe does not say. */
export const USUAL_PORTIONS = 4;

/** More than this of one food for one portion is asked about: grams, and pieces of what weighs more than a few grams. */
const MOST = { grams: 3000, pieces: 60, small: 3 };

/**
 * Reads a recipe for so many portions (its own when `portions` is not given, else {@link USUAL_PORTIONS}); amounts of
 * tasks scale along. Another language is read through its table of words, or told where there is none. Throws FaultyInput when the document is not
 * readable.
 */
export function readRecipe(source: string, knowledge: RecipeKnowledge, portions?: number): Recipe {
  const { lexicon, tasks, languages, corrections = new Map<string, string | null>() } = knowledge;
  const document = readDocument(source, (lines) => inEnglish(languageOf(lines, lexicon, languages)?.read));
  const language = languageOf(document.lines, lexicon, languages);
  const own = document.portions ?? USUAL_PORTIONS;
  const wanted = portions ?? own;
  const recipe = {
    format: 'scabbard.recipe' as const,
    version: 1 as const,
    name: document.name,
    portions: wanted,
    ...(language ? { language: language.id } : {}),
  };
  if (language && !language.read)
    return {
      ...recipe,
      ...readAs(
        document.lines.map((line) => ({ line, as: corrected(line, null, corrections, knowledge) })),
        (as) => as,
      ),
    };
  const english = inEnglish(language?.read);
  const ordered = orderedIn(document.steps.map(english), lexicon, language?.read?.verbLast);
  const lines = document.lines.map((line) => {
    const said = english(line);
    const as = readLine(said, lexicon, tasks);
    return { line, said, as, food: as ? foodOf(as, lexicon) : undefined };
  });
  const foods = new Set(lines.map(({ food }) => food));
  const taken = new Set<Ordered>();
  const read = lines.map(({ line, said, as, food }) => {
    const orders = ordered.filter((each) => meantBy(each, as, food, foods));
    for (const each of orders) taken.add(each);
    const cut = as && withOrders(said, as, orders, knowledge);
    return { line, as: corrected(line, cut, corrections, knowledge) };
  });
  const method = ordered
    .filter((each) => !taken.has(each))
    .flatMap(({ step, text, name, cut }) => {
      const found = readLine(`${countIn(text, name)} ${name}, ${cut}`, lexicon, tasks)?.tasks ?? [];
      return found.length > 0
        ? [{ step, text: language ? (document.steps[step - 1] ?? text) : text, tasks: found }]
        : [];
    });
  const heading = headingOf(document.name, read);
  return {
    ...recipe,
    name: heading ?? recipe.name,
    ...readAs(heading === null ? read : read.slice(1), (as) =>
      asked(scaled(as, wanted / own), wanted, foodOf(as, lexicon)),
    ),
    ...(method.length > 0 ? { method } : {}),
  };
}

/** A first line that was not understood and counts nothing is the name of a recipe that has none. */
function headingOf(
  name: string | null,
  [first, ...rest]: readonly { line: string; as: RecipeLine | null }[],
): string | null {
  const names = first?.as === null && !/\d|:$|^\W*for (?:the|an?) /i.test(first.line);
  return name === null && names && rest.length > 1 ? first.line : null;
}

/** How many of a food a step names: "slice 2 carrots"; one where it does not say. */
const countIn = (text: string, name: string): string =>
  new RegExp(
    String.raw`\b(\d+(?:[./]\d+)?|two|three|four|five|six|eight|ten|twelve)\s+(?:[a-z-]+\s+)?${name}`,
    'i',
  ).exec(text)?.[1] ?? '1';

/** What was read apart from what was not. */
const readAs = (all: readonly { line: string; as: RecipeLine | null }[], tell: (as: RecipeLine) => RecipeLine) => ({
  lines: all.flatMap(({ line, as }) => (as ? [tell({ ...as, line })] : [])),
  unread: all.flatMap(({ line, as }) => (as ? [] : [line])),
});

const inEnglish =
  (language: Language | null | undefined) =>
  (line: string): string =>
    language ? translated(line, language) : line;

const foodOf = (line: RecipeLine, lexicon: Lexicon): Food | undefined =>
  line.food === null ? undefined : findFood(tokens(line.food), lexicon)?.food;

/** Whether an order of the method is about a line: its food, or one named in short ("the chicken" of a whole chicken) that stands in no line. */
const meantBy = (order: Ordered, as: RecipeLine | null, food: Food | undefined, foods: ReadonlySet<Food | undefined>) =>
  order.food === food ||
  (food !== undefined &&
    food.class !== 'none' &&
    !foods.has(order.food) &&
    tokens(order.name).every((word) => tokens(as?.food ?? '').includes(word)));

/** A line with the cuts the method orders of it; one that names its own cut keeps it: nothing is counted twice. */
function withOrders(
  line: string,
  as: RecipeLine,
  orders: readonly Ordered[],
  { lexicon, tasks }: RecipeKnowledge,
): RecipeLine {
  if (orders.length === 0 || (as.cut !== null && as.cut !== 'whole')) return as;
  const again = readLine(`${line}, ${orders.map(({ cut }) => cut).join(', ')}`, lexicon, tasks);
  return again && again.food === as.food ? again : as;
}

function scaled(line: RecipeLine, by: number): RecipeLine {
  const times = (value: number) => Math.round(value * by * 100) / 100;
  return {
    ...line,
    quantity: line.quantity === null ? null : times(line.quantity),
    tasks: line.tasks.map((task) => ({ ...task, amount: Math.max(0.01, times(task.amount)) })),
  };
}

/** A line whose amount no kitchen has carries a question. */
function asked(line: RecipeLine, portions: number, food: Food | undefined): RecipeLine {
  if (line.quantity === null || !food) return line;
  const { grams, pieces } = measure(line.quantity, line.unit, food);
  const many = pieces / portions > MOST.pieces && grams / Math.max(pieces, 1) > MOST.small;
  const much = grams / portions > MOST.grams;
  if (!many && !much) return line;
  return { ...line, ask: `${line.quantity} ${line.unit ?? line.food ?? ''} for ${portions}: is that right?` };
}
