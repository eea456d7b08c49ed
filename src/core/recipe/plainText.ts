import { portionsOf } from './portions';

/** What a recipe in plain text holds before its lines are read. */
export interface PlainRecipe {
  name: string | null;
  portions: number | null;
  lines: string[];
  steps: string[];
}

/** How the lines of a text are said in English, once its language is known. */
export type ToEnglish = (lines: readonly string[]) => (line: string) => string;

const SERVES =
  /^(?:serves|servings?|portions?|makes|yields?|for (?=\d+(?: people| persons| portions)?\s*[.:]?$))\b\s*:?/i;
const SERVINGS = /^\d+\s+(?:servings|portions|people)\b/i;
/** What stands over the ingredients and over the method. */
const INGREDIENTS =
  /^(?:#+\s*)?(?:ingredients?|you(?:['’]ll| will)? need|what you(?:['’]ll| will)? need|shopping list|you need)(?:\s*\([^)]*\)|\s+for .{1,30})?\s*:?$/i;
const METHOD =
  /^(?:#+\s*)?(?:method|instructions?|directions?|preparation|steps|how to (?:make|cook|prepare)(?: it)?|to make|procedure)\s*:?$/i;
/** What stands over notes, figures and other things that are neither. */
const NOTES =
  /^(?:#+\s*)?(?:notes?|tips?|nutrition(?:al)?(?: info\w*| facts)?|equipment|storage|variations?|comments?|prep time.*|cook(?:ing)? time.*|total time.*|difficulty.*)\s*:?(?:\s*\d.*)?$/i;

/** Verbs a step of a method begins with. */
const DOES =
  /^(?:first|then|next|now|meanwhile|finally|in (?:a|the|another)|on a|using|while|once|when|after|add|arrange|bake|beat|blanch|blend|boil|braise|bring|brown|brush|carve|check|chill|chop|coat|combine|cook|cool|core|cover|crack|crumble|crush|cube|cut|deglaze|dice|discard|divide|drain|dress|drizzle|drop|dry|finish|flip|fold|fry|garnish|gently|give|grate|grease|grill|grind|halve|heat|joint|julienne|keep|knead|ladle|lay|layer|leave|let|lift|lower|make|marinate|mash|measure|melt|mince|mix|parboil|pat|peel|pick|place|poach|pour|prepare|preheat|press|prick|pull|puree|put|quarter|reduce|refrigerate|remove|reserve|rest|return|rinse|roast|roll|rub|sauté|saute|scatter|scoop|score|scrape|seal|sear|season|separate|serve|set|shape|shred|sieve|sift|simmer|skim|slice|soak|soften|spoon|spread|sprinkle|squeeze|stack|steam|stew|stir|strain|strip|stuff|sweat|take|taste|tear|thicken|tip|toast|top|toss|transfer|trim|turn|warm|wash|whisk|wipe|wrap)\b/i;

/** A line that begins with a number, a fraction, a number word or a bullet, as ingredients do. */
const COUNTED =
  /^[\s•*·▢☐\-–—]*(?:\d|[½¼¾⅓⅔⅛]|(?:a|an|one|two|three|four|five|six|seven|eight|nine|ten|half|few|some)\s)/i;
const NUMBERED_STEP = /^(?:step\s*)?\d{1,2}\s*[.):]\s+(?=\p{L})/iu;

/** A numbered line is a step where it does something: "1. Heat the oil", not "1. onion". */
const asStep = (english: string): string | null => {
  const said = english.replace(NUMBERED_STEP, '').trim();
  const does = DOES.test(said) && said.split(/\s+/).length > 2;
  const told = /[.!]$/.test(said) || / (?:the|it|them|until|into|over|with) /i.test(said);
  return does && told ? said : null;
};
/** Talk about the dish: whole sentences that count nothing. */
const isTalk = (english: string): boolean =>
  !COUNTED.test(english) &&
  english.split(/\s+/).length >= 8 &&
  /[.!?]["”’)]?$/.test(english.trim()) &&
  asStep(english) === null;

/** The name of a recipe: its first line, where it counts nothing and more than ingredients comes after it. */
function nameAmong(
  lines: readonly string[],
  blankAfterFirst: boolean,
  isOther: (line: string) => boolean,
): string | null {
  const [first, second] = lines;
  if (first === undefined || second === undefined) return null;
  if (COUNTED.test(first) || /[,;:]|\d|[.!]$/.test(first) || first.split(/\s+/).length > 9) return null;
  const isTitled = blankAfterFirst || isOther(second);
  const counted = lines.slice(1).filter((line) => COUNTED.test(line)).length;
  const inCapitals = (first.match(/(?:^|\s)\p{Lu}/gu) ?? []).length >= 2;
  // among lines that all count, a first one of several words that does not is their heading
  return isTitled || (inCapitals && counted >= 2 && counted >= 0.6 * (lines.length - 1)) ? first : null;
}

/**
 * A recipe as people paste it: a name, talk, "serves 4", ingredients and a method, with headings or without. Talk is not read; a line that tells a step
 * belongs to the method; everything else is a line of ingredients.
 */
export function fromPlain(source: string, toEnglish: ToEnglish): PlainRecipe {
  const [, heading = null, body = source] = /^#+[ \t]+(.+)\r?\n([\s\S]*)$/.exec(source) ?? [];
  const rows = body.split(/\r?\n/).map((line) =>
    line
      .replace(/<[^>]*>/g, ' ')
      .replace(/\s+/g, ' ')
      .trim(),
  );
  const inEnglish = toEnglish(rows);
  const english = new Map(rows.map((line) => [line, inEnglish(line)]));
  const said = (line: string) => english.get(line) ?? line;
  const full = rows.filter(Boolean);
  const serves = (line: string) => SERVES.test(said(line)) || SERVINGS.test(said(line));
  const isHeading = (line: string) => [INGREDIENTS, METHOD, NOTES].some((pattern) => pattern.test(said(line)));
  const name =
    heading?.trim() ??
    nameAmong(
      full,
      rows[rows.indexOf(full[0] ?? '') + 1] === '',
      (line) => serves(line) || isHeading(line) || isTalk(said(line)),
    );
  const recipe: PlainRecipe = { name, portions: null, lines: [], steps: [] };
  let part: 'before' | 'ingredients' | 'method' | 'notes' = full.some((line) => INGREDIENTS.test(said(line)))
    ? 'before'
    : 'ingredients';
  for (const [i, line] of full.entries()) {
    const words = said(line);
    if (i === 0 && line === name) continue;
    if (INGREDIENTS.test(words)) part = 'ingredients';
    else if (METHOD.test(words)) part = 'method';
    else if (NOTES.test(words)) part = part === 'method' ? 'notes' : part;
    else if (serves(line) && part !== 'method') recipe.portions ??= portionsOf(words.replace(SERVES, ''));
    else if (part === 'method') recipe.steps.push(line.replace(NUMBERED_STEP, ''));
    else if (part === 'ingredients' && !isTalk(words)) {
      const step = asStep(words);
      if (step === null) recipe.lines.push(line);
      else recipe.steps.push(line.replace(NUMBERED_STEP, ''));
    }
  }
  return recipe;
}
