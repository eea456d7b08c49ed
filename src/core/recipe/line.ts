import { parseIngredient } from 'parse-ingredient';
import type { RecipeLine } from '../formats/recipeFile';
import type { Task } from '../cutting/task';
import { ALIKE, readCut, WITHOUT_KNIFE } from './cuts';
import { findFood, type Food, type Lexicon } from './foods';
import { plainFigures } from './numbers';
import { sharesOf } from './shares';
import { plain, singular, tokens } from './text';
import { amountOf, measure, sumOf, type Measure } from './units';

const NUMBER_WORDS: Record<string, number> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  dozen: 12,
};
/** In these, food comes cut or needs no cutting. */
const PRESERVED = /\b(can|tin|jar)s?\b|\b(tinned|canned|jarred|frozen|bottled)\b/;
const SIZES =
  /^(extra[- ]large|large|medium|small|big|fat|thick|thin|heaped|generous|good|scant|level|rounded|ripe|fresh|free-range|organic)(-sized)?\s+/;

const SIZED_UNIT =
  /^(\d[\d./ -]*) (?:heaped|heaping|level|rounded|scant|generous|large|small|big|good|whole|medium|fat|thick|thin) (tbsp|tsp|tablespoons?|teaspoons?|cups?|handfuls?|bunch(?:es)?|heads?|bulbs?|cloves?|slices?|sprigs?|knobs?|sticks?|stalks?|pieces?|pinch(?:es)?)\b/i;

/** Tidies what the ingredient parser stumbles over: "about", number words, joined units, a second measure after a slash. */
function tidy(source: string): string {
  let text = plainFigures(source.normalize('NFC'))
    .replace(/^[\s•*·▢☐\-–—]+(?=\D|\d)/u, '')
    .replace(/[‐‑‒–—]/g, '-')
    .replace(/\s+/g, ' ')
    .trim();
  text = text.replace(
    /^(about|around|approx(\.|imately)?|roughly|circa|ca\.?|up to|at least|generous|scant|heaped|just under|just over)\s+/i,
    '',
  );
  text = text
    .replace(/^half (of )?(an?|one) /i, '1/2 ')
    .replace(/^half /i, '1/2 ')
    .replace(/^a (quarter|third) (of )?(an? )?/i, (_, part: string) =>
      part.toLowerCase() === 'third' ? '1/3 ' : '1/4 ',
    );
  text = text
    .replace(/^an? (?=\d)/i, '')
    .replace(/^(a|an) (couple|pair) (of )?/i, '2 ')
    .replace(/^(a )?few /i, '3 ')
    .replace(/^several /i, '4 ');
  text = text.replace(/^(a|one|1|half a|1\/2)? ?dozen /i, (whole) => (/half|1\/2/i.test(whole) ? '6 ' : '12 '));
  text = text.replace(/^([a-z]+)(?= )/i, (word) => {
    const value = NUMBER_WORDS[word.toLowerCase()];
    return value === undefined ? word : String(value);
  });
  // "2-inch piece of ginger"
  text = text.replace(/^(\d[\d./]*)-(inch|in|cm)\b/i, '$1 $2');
  text = text.replace(/^(\d+) (and|&) (an? |1 )?(half|1\/2|½)\b/i, '$1 1/2');
  text = text.replace(/^(\d[\d.,/ ]*)(?:to|or)\s+(\d)/i, '$1-$2');
  text = text.replace(/^(\d+) ?[x×] ?(?=\d)/i, '$1 x ');
  text = text.replace(
    /\b(milli|centi|deci)?lit(?:re|er)s?\b/gi,
    (_, part: string | undefined) => `${part ? part.charAt(0).toLowerCase() : ''}l`,
  );
  text = text
    .replace(/\b(k)?(?:ilo)?gram(?:me)?s?\b/gi, '$1g')
    .replace(/(\d)\s*(g|kg|ml|cl|dl|l|oz|lb|lbs|cm|mm)\b\.?/gi, '$1 $2');
  text = text.replace(/^(handful|pinch|bunch|sprig|splash|drizzle|knob|dash|few drops)( of)? /i, '1 $1 ');
  // "1 heaped tbsp", "1 whole head": the size stands between number and unit
  text = text.replace(SIZED_UNIT, '$1 $2');
  // "Onions - 2, sliced": the number behind the name
  text = text.replace(
    /^([a-z][a-z' ]*?)\s*[-:,]?\s+(\d[\d./ -]*(?:\s?(?:g|kg|ml|l|oz|lb|cups?|tbsp|tsp|cloves?))?)(?=$|[ ,(])/i,
    '$2 $1',
  );
  // one measure is enough: "200 g/7 oz" and "1 kg (2 lb)" say it twice
  text = text.replace(
    /^(\d[\d.,/½¼¾⅓⅔ -]*\s?(?:g|kg|ml|l|oz|lb|lbs|cups?|tbsp|tsp))\s?[/|]\s?\d[\d.,/½¼¾⅓⅔ -]*\s?(?:g|kg|ml|l|fl oz|oz|lb|lbs|cups?|pints?)(?:\s?\d+\s?oz)?\b\.?/i,
    '$1',
  );
  return text;
}

/** A weight in brackets after a count: "1 (400 g) tin", "2 x 150 g fillets". */
function bracketed(text: string): string {
  return text
    .replace(/^(\d+(?:[./]\d+)?) \((?:about |around )?\d[^)]*\) /i, '$1 ')
    .replace(/^(\d+) x (\d[\d.]*)-? ?(g|kg|oz|lb|ml|cm|inch|in)\b\.?/i, '$1');
}

/** "juice of 1 lemon" names the food after the number. */
function partOf(text: string): { text: string; cut: string } | null {
  const match =
    /^(?:the )?(?:(?:finely |freshly )?(?:grated|squeezed) )?((?:juice|zest|rind|peel)(?: and (?:juice|zest|rind))?) (?:of|from) (.*)$/i.exec(
      text,
    );
  return match?.[2] ? { text: tidy(match[2]), cut: /juice/i.test(match[1] ?? '') ? 'juice' : 'zest' } : null;
}

interface Measured {
  quantity: number | null;
  unit: string | null;
  rest: string;
}

const MEASURE = String.raw`\d[\d./ ]*\s?(?:cups?|tablespoons?|tbsps?|teaspoons?|tsps?|ml|l|g|kg|oz|ounces?|lbs?|pounds?|pints?)`;
/** "2 cups + 2 tablespoons flour": two measures of one food. */
const TWO_MEASURES = new RegExp(`^(${MEASURE})\\.? ?(?:\\+|plus|and|&) ?(${MEASURE})\\b\\.? (.*)$`, 'i');

/** A quantity with its unit; two measures of one food are added in the unit of the first. */
function measured(text: string, { counts }: Lexicon): Measured {
  const [, one, other, food] = TWO_MEASURES.exec(text) ?? [];
  if (one && other && food) {
    const [first, second] = [oneMeasure(`${one} ${food}`, counts), oneMeasure(`${other} ${food}`, counts)];
    const quantity = sumOf(first, second);
    if (quantity !== null) return { ...first, quantity };
  }
  return oneMeasure(text, counts);
}

function oneMeasure(text: string, counts: Lexicon['counts']): Measured {
  const [parsed] = parseIngredient(bracketed(text));
  if (!parsed) return { quantity: null, unit: null, rest: text };
  const { quantity, quantity2 } = parsed;
  let unit = parsed.unitOfMeasureID;
  let rest = parsed.description.replace(/^(of|x)\s+/i, '');
  if (unit !== null && /^(small|medium|large)$/.test(unit)) unit = null;
  for (let before = ''; before !== rest;) {
    before = rest;
    rest = rest.replace(/^\([^)]*\)\s*/, '').replace(SIZES, '');
  }
  if (unit === null) {
    const [, first = '', after = ''] = /^([a-z]+)\.?\s+(?:of\s+)?(.*)$/i.exec(rest) ?? [];
    const known = counts.get(singular(plain(first)));
    // "cloves" alone are a spice, "cloves of garlic" are not
    if (known && after && quantity !== null) {
      unit = known;
      rest = after;
    } else if (/^(cm|inch|in|")$/i.test(first)) {
      unit = first.toLowerCase() === 'cm' ? 'centimeter' : 'inch';
      rest = after;
    }
  }
  rest = rest.replace(/^[- ]*(piece|length|knob|thumb)s? (of )?/i, '').replace(/^of\s+/i, '');
  const mean = quantity !== null && quantity2 !== null ? (quantity + quantity2) / 2 : quantity;
  return { quantity: mean, unit, rest };
}

/** The part that names the food: what stands before the first comma, bracket or dash. */
const headOf = (text: string) => text.replace(/\([^)]*\)/g, ' ').split(/[,;]| - |\bplus\b/)[0] ?? text;

const CUTTING =
  /\b(finely|thinly|roughly|coarsely|thickly|freshly|chopped|diced?|sliced|minced|cubed|shredded|crushed|grated|peeled|halved|quartered|julienned|large|small|medium|fresh|ripe|raw|cooked|boneless|skinless|trimmed|beaten|melted|softened|sifted|packed|cold|warm|hot|plus|extra|to taste|to serve|for \w+)\b/g;

/** What a line names, without the words of its cut. */
const nameOf = (rest: string): string => plain(headOf(rest)).replace(CUTTING, ' ').replace(/\s+/g, ' ').trim();

/** Reads a line of ingredients. Null when neither a food nor a quantity could be made of it. */
export function readLine(line: string, lexicon: Lexicon, tasks: ReadonlyMap<string, Task>): RecipeLine | null {
  const tidied = tidy(line);
  if (!/[a-z]/i.test(tidied) || /:\s*$/.test(tidied)) return null;
  const part = partOf(tidied);
  const { quantity, unit, rest } = measured(part?.text ?? tidied, lexicon);
  const found =
    findFood(tokens(headOf(rest)), lexicon) ?? findFood(tokens(rest), lexicon) ?? findFood(tokens(tidied), lexicon);
  const cut = readCut(rest.replace(SOUNDS_CUT, ' '), lexicon.cuts);
  const said = part ? part.cut : cut.said;
  if (!found) {
    const named = nameOf(rest);
    // a cut of something unknown would lose work without a word
    if ((quantity === null && unit === null) || cut.cut !== null || named === '') return null;
    return { line, quantity, unit, food: named, cut: null, tasks: [] };
  }
  const { name } = found;
  const food = asWholeFish(found.food, { quantity, unit, rest }, lexicon);
  const shares = quantity === null || unit === 'gram' || unit === 'kilogram' ? null : sharesOf(tidied, quantity);
  if (shares) return inShares(line, { quantity, unit, food: name }, shares, (part) => readLine(part, lexicon, tasks));
  const plainLine: RecipeLine = { line, quantity, unit, food: name, cut: said, tasks: [] };
  // without a number, or by the spoon, pepper is the spice
  if (name === 'pepper' && (quantity === null || unit === 'teaspoon' || unit === 'tablespoon' || unit === 'pinch'))
    return plainLine;
  const kind = lexicon.classes.get(food.class);
  if (!kind || part || PRESERVED.test(plain(tidied)) || unit === 'can' || unit === 'jar') return plainLine;
  if (isProduct(rest) && food.class !== 'none') return { ...plainLine, food: nameOf(rest), cut: null };
  if (comesCut(rest, unit, food.class) || isSmall(rest, unit, cut.cut)) return plainLine;
  const amount = measure(quantity, unit, food);
  const add = (id: string | null | undefined) => {
    const task = id ? tasks.get(id) : undefined;
    if (!task) return [];
    const stands = standsIn(task, food, lexicon);
    if (!stands) return [{ id: task.id, amount: amountOf(task, bySize(task, food, amount, lexicon), food) }];
    const asPieces: Measure = { grams: amount.grams, pieces: amount.grams / (stands.grams ?? 100) };
    return [{ id: task.id, amount: amountOf(task, asPieces, stands), standsFor: name }];
  };
  if (isFishByWeight(food, rest) && cut.cut === 'whole') return { ...plainLine, tasks: add(kind.default) };
  const whole = cut.cut === null && unit === null && quantity !== null;
  const main = whole && kind.counted ? kind.counted : taskFor(cut, kind);
  const peel = cut.peeled && main !== kind.cuts.peel ? kind.cuts.peel : null;
  const extra = peel === 'root-peel' || peel === 'fruit-peel' ? add(peel) : [];
  return { ...plainLine, tasks: [...add(main), ...extra] };
}

/** Small ones of a kind weigh less than this share of the usual. */
const SMALL_OF_ITS_KIND = 0.5;

/** Small ones of a kind count by their weight: a cherry tomato is no tomato's work. */
function bySize(task: Task, food: Food, amount: Measure, lexicon: Lexicon): Measure {
  const usual = findFood(tokens(task.name), lexicon)?.food;
  const isSmaller =
    usual !== undefined && usual.class === food.class && (food.grams ?? 100) < SMALL_OF_ITS_KIND * (usual.grams ?? 100);
  return isSmaller ? { grams: amount.grams, pieces: amount.grams / (usual.grams ?? 100) } : amount;
}

/** One line cut in several ways: the tasks of its parts together. */
function inShares(
  line: string,
  { quantity, unit, food }: Pick<RecipeLine, 'quantity' | 'unit' | 'food'>,
  shares: NonNullable<ReturnType<typeof sharesOf>>,
  readPart: (part: string) => RecipeLine | null,
): RecipeLine {
  const tasks = new Map<string, RecipeLine['tasks'][number]>();
  for (const { amount, cut } of shares)
    for (const task of readPart(`${amount} ${unit ?? ''} ${food ?? ''}, ${cut}`)?.tasks ?? []) {
      const sum = (tasks.get(task.id)?.amount ?? 0) + task.amount;
      tasks.set(task.id, { ...task, amount: Math.round(sum * 100) / 100 });
    }
  return { line, quantity, unit, food, cut: shares.map(({ cut }) => cut).join(', '), tasks: [...tasks.values()] };
}

/** What a fish is said to weigh, each. */
const WEIGHS = /\b(\d[\d.,]*) ?(kg|g|lbs?)\b/i;
/** A fillet of a big fish weighs less than this; what weighs more is the fish, g. */
const LEAST_WHOLE_G = 700;

const isFishByWeight = ({ class: kind }: Food, rest: string): boolean =>
  (kind === 'wholefish' || kind === 'flatfish') && WEIGHS.test(rest);

/** "1 salmon of 3 kg" is the whole fish, though "salmon" alone is bought filleted. */
function asWholeFish(food: Food, { quantity, unit, rest }: Measured, lexicon: Lexicon): Food {
  if (
    food.class !== 'fishfillet' ||
    quantity === null ||
    unit !== null ||
    /fillet|loin|steak|side|tail|portion/i.test(rest)
  )
    return food;
  const [, number = '', of = ''] = WEIGHS.exec(rest) ?? [];
  const grams = Number(number.replace(',', '.')) * (/^kg$/i.test(of) ? 1000 : /^lb/i.test(of) ? 454 : 1);
  return grams >= LEAST_WHOLE_G ? (lexicon.names.get('whole fish')?.food ?? food) : food;
}

/** Names that only sound like cuts. */
const SOUNDS_CUT =
  /\b((?:new york |ny )strips?|strip (?:steak|loin)s?|split peas?|cracked (?:wheat|pepper)|potato chips?|chocolate chips?|stock cubes?|sugar cubes?|ice cubes?|fish (?:sticks|fingers)|cinnamon sticks?)\b/gi;

/** What is made of a food and no longer cut like it. */
const PRODUCT =
  /\b(relish|starter|powder|flakes?|paste|sauce|ketchup|stock|broth|syrup|jam|jelly|chutney|vinegar|oil|extract|puree|seasoning|mix|mustard|pickles?|salt|crisps?|chips|juice|spread|butter|flour|starch|meal|crumbs?|dressing)$/;

const isProduct = (rest: string): boolean => PRODUCT.test(plain(headOf(rest)).trim());

/** Kinds of food that are sold sliced, chopped, stoned or grated. */
const SOLD_CUT = new Set([
  'nut',
  'olive',
  'dried',
  'hardcheese',
  'softcheese',
  'ham',
  'slicedham',
  'bacon',
  'curedfish',
  'softbread',
  'crusty',
]);
const CUT_BEFORE =
  /^(?:[a-z-]+ )*(?:sliced|slivered|flaked|chopped|diced|cubed|shredded|grated|crumbled|pitted|stoned|crushed|julienned)\b/i;
const PACKED = /\b(bag|packet|bagged|packaged|pre-?(?:cut|sliced|chopped|shredded|diced))\b/i;

/** Whether the food arrives cut: the cut stands before its name where such food is sold so, or it comes in a bag. */
function comesCut(rest: string, unit: string | null, kind: string): boolean {
  const head = headOf(rest);
  // whole nuts are chopped at home, and bought sliced
  if (kind === 'nut' && /\bchopped\b/i.test(head)) return false;
  if (/\blardons?$/i.test(head.trim()) || (kind === 'bacon' && /\bcubes$/i.test(head.trim()))) return true;
  const before = CUT_BEFORE.test(head);
  if (before && /^(?:[a-z-]+ )*crushed\b/i.test(head) && kind !== 'garlic') return true;
  return before && (SOLD_CUT.has(kind) || unit === 'bag' || unit === 'packet' || PACKED.test(rest));
}

/** Small things that go in whole unless a cut is named. */
const SMALL = /\b(leaf|leaves)\b|\b(grape|cherry|baby|new|pearl|cocktail|mini)\b/i;
const isSmall = (rest: string, unit: string | null, cut: string | null): boolean =>
  cut === null &&
  (unit === 'sprig' || (SMALL.test(headOf(rest)) && !/\b(lettuce|cabbage|chard|kale|spinach|collard)\b/i.test(rest)));

/** The food a task is named for, where that is another than the one at hand; null where the task is its own. */
function standsIn(task: Task, food: Food, lexicon: Lexicon): Food | null {
  const named = findFood(tokens(task.name), lexicon);
  if (!named || named.food === food || named.food.class === food.class) return null;
  return STANDS_FOR.has(food.class) ? named.food : null;
}
/** Kinds of food without a task of their own. */
const STANDS_FOR = new Set([
  'banana',
  'radish',
  'daikon',
  'parsnip',
  'asparagus',
  'beanpod',
  'aubergine',
  'lemongrass',
  'kiwi',
]);

/** The task a cut of a food comes to; null where no knife is needed. */
function taskFor(
  { cut, fine }: ReturnType<typeof readCut>,
  kind: { default: string | null; cuts: Record<string, string | null> },
): string | null {
  if (cut === null) return kind.default;
  if (fine && (cut === 'chop' || cut === 'dice' || cut === 'cube') && kind.cuts.brunoise) return kind.cuts.brunoise;
  for (const each of [cut, ...(ALIKE[cut] ?? [])]) {
    const known = kind.cuts[each];
    if (known !== undefined) return known;
  }
  return WITHOUT_KNIFE.has(cut) ? null : kind.default;
}
