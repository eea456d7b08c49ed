import { findFood, type Food, type Lexicon } from './foods';
import { tokens } from './text';

/** Cutting verbs as recipes order them, with the word a line of ingredients would use. */
const VERBS: readonly [RegExp, string][] = [
  [/\b(?:finely|very finely) (?:chop|dice)\b/i, 'finely chopped'],
  [/\bthinly slice\b/i, 'thinly sliced'],
  [/\bslice\b/i, 'sliced'],
  [/\bdice\b/i, 'diced'],
  [/\bmince\b/i, 'minced'],
  [/\bchop\b/i, 'chopped'],
  [/\bshred\b/i, 'shredded'],
  [/\bjulienne\b/i, 'julienned'],
  [/\bcube\b/i, 'cubed'],
  [/\bquarter\b/i, 'quartered'],
  [/\bhalve\b/i, 'halved'],
  [/\bcarve\b/i, 'carved'],
  [/\bfillet\b/i, 'filleted'],
  [/\bspatchcock\b/i, 'spatchcocked'],
  [/\bbutterfly\b/i, 'butterflied'],
  [/\bscore\b/i, 'scored'],
  [/\bcrush\b/i, 'crushed'],
  [/\bpeel\b/i, 'peeled'],
  [/\btrim\b/i, 'trimmed'],
  [/\bgrate\b/i, 'grated'],
  [/\bmash\b/i, 'mashed'],
  [/\btear\b/i, 'torn'],
  [/\bcrumble\b/i, 'crumbled'],
  [/\bcut\b/i, 'cut'],
];

/** How "cut … into 3 cm cubes" is said of an ingredient. */
const INTO =
  /\b(?:in|into|to) (?:[\w-]+ ){0,4}?(cubes?|dice|strips|slices|chunks|wedges|rings|rounds|coins|half[- ]moons|matchsticks|batons|sticks|florets|halves|half|quarters|pieces|ribbons|segments|steaks|portions)\b/i;
const AS: Record<string, string> = {
  cube: 'cubed',
  cubes: 'cubed',
  dice: 'diced',
  strips: 'in strips',
  slices: 'sliced',
  'half-moons': 'sliced',
  'half moons': 'sliced',
  rounds: 'in rounds',
  coins: 'in rounds',
  rings: 'in rings',
  half: 'halved',
  halves: 'halved',
  quarters: 'quartered',
  pieces: 'in chunks',
  matchsticks: 'in matchsticks',
};

/** A cut ordered by a step: of which food, in the words of an ingredient line. */
export interface Ordered {
  step: number;
  text: string;
  food: Food;
  name: string;
  cut: string;
}

/** Cuts that are served or unmade again: "cut the heat", "slice and serve" of what is done are kept, figures of speech are not. */
const NO_CUT = /\bcut (?:the )?(?:heat|off the heat|down|back|out|through)\b|\bdice with\b/i;

/** Verbs that open a further order after a comma or an "and". */
const ORDER =
  '(?:finely |thinly )?(?:slice|dice|mince|chop|shred|cut|halve|quarter|peel|crush|trim|carve|grate|mash|tear)\\b';
const BETWEEN = new RegExp(
  [
    String.raw`(?<=[.!?;])\s+`,
    String.raw`\s*;\s*`,
    String.raw`,?\s+(?:and then|then|while|before|after)\s+`,
    String.raw`,\s+(?=(?:and )?${ORDER})`,
    String.raw`\s+and\s+(?=${ORDER})`,
  ].join('|'),
  'i',
);

/** Parts of a sentence that may each order something. */
const clauses = (text: string) => text.split(BETWEEN);

function verbIn(clause: string): { cut: string; at: number; end: number } | null {
  let best: { cut: string; at: number; end: number } | null = null;
  for (const [pattern, cut] of VERBS) {
    const found = pattern.exec(clause);
    if (found && (best === null || found.index < best.at))
      best = { cut, at: found.index, end: found.index + found[0].length };
  }
  return best;
}

/** The foods named in some words, each once, in order. */
function foodsIn(words: string, lexicon: Lexicon): { food: Food; name: string }[] {
  const found: { food: Food; name: string }[] = [];
  for (const part of words.split(/,|\band\b|\bor\b|\bwith\b/i)) {
    const known = findFood(tokens(part), lexicon);
    if (known && !found.some(({ food }) => food === known.food)) found.push(known);
  }
  return found;
}

/** Where what an order is about ends: how, where and until when it is done, and the next thing done with it. */
const END =
  /\b(?:until|for|over|on|onto|from|off|to|with|(?:and|then) (?:\w+ly )?(?:stir|add|mix|fry|toss|fold|cook|put|place|set|combine|serve|drain|rinse|wash|season|sprinkle|scatter|boil|roast|bake|soften|sweat|heat|whisk|reserve|keep|discard|remove|rub|pat|arrange|return|transfer|tip|brown|marinate|soak|steam|grill))\b/i;

/** A cut that names no food and means the one last named: "slice across the grain", "dice it". */
const MEANS_LAST = /^\s*(?:it|them|across|thinly|thickly|against|into|in|[.!]?\s*$)/i;

interface Named {
  food: Food;
  name: string;
}

/**
 * The cuts a method orders, step by step: "cut the lamb into 3 cm cubes", "mince the garlic"; where a cut names no food ("slice across the grain")
 * the one last named is meant, or the one the next order names ("peel and dice the potatoes"). `verbLast`: what is cut stands before the verb.
 */
export function orderedIn(steps: readonly string[], lexicon: Lexicon, verbLast = false): Ordered[] {
  return steps.flatMap((text, i) => ordersOf(text, lexicon, verbLast).map((order) => ({ step: i + 1, ...order })));
}

function ordersOf(text: string, lexicon: Lexicon, verbLast: boolean): Omit<Ordered, 'step'>[] {
  const ordered: Omit<Ordered, 'step'>[] = [];
  let last: Named[] = [];
  let waiting: { text: string; cut: string }[] = [];
  const give = (cut: string, clause: string, foods: readonly Named[]) => {
    if (cut !== 'cut') for (const each of foods) ordered.push({ text: clause, cut, ...each });
  };
  for (const clause of clauses(text)) {
    const verb = NO_CUT.test(clause) ? null : verbIn(clause);
    const into = INTO.exec(clause);
    const object = verb ? (clause.slice(verb.end, into?.index).split(END)[0] ?? '') : clause;
    const before = verb && verbLast ? foodsIn(clause.slice(0, verb.at), lexicon) : [];
    const named = before.length > 0 ? before : foodsIn(object, lexicon);
    if (verb) {
      const shape = into?.[1]?.toLowerCase();
      const cut = shape ? (AS[shape] ?? `in ${shape}`) : verb.cut;
      if (named.length === 0 && !verbLast && object.trim() === '' && !shape) waiting.push({ text: clause.trim(), cut });
      else {
        for (const each of waiting) give(each.cut, each.text, named);
        waiting = [];
        give(cut, clause.trim(), named.length > 0 ? named : MEANS_LAST.test(object) ? last : []);
      }
    }
    if (named.length > 0) last = named;
  }
  for (const each of waiting) give(each.cut, each.text, last);
  return ordered;
}
