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
const ORDER = '(?:finely |thinly )?(?:slice|dice|mince|chop|shred|cut|halve|quarter|peel|crush|trim|carve)\\b';
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

/**
 * The cuts a method orders, step by step: "cut the lamb into 3 cm cubes", "mince the garlic"; where a cut names no food ("slice across the grain")
 * the one last named is meant.
 */
export function orderedIn(steps: readonly string[], lexicon: Lexicon): Ordered[] {
  const ordered: Ordered[] = [];
  steps.forEach((text, i) => {
    let last: { food: Food; name: string }[] = [];
    for (const clause of clauses(text)) {
      const verb = NO_CUT.test(clause) ? null : verbIn(clause);
      if (!verb) {
        const named = foodsIn(clause, lexicon);
        if (named.length > 0) last = named;
        continue;
      }
      const into = INTO.exec(clause);
      const shape = into?.[1]?.toLowerCase();
      const object = clause.slice(verb.end, into?.index).split(/\b(?:until|for|over|on|onto|from|off|to)\b/i)[0] ?? '';
      const named = foodsIn(object, lexicon);
      const foods =
        named.length > 0 ? named : /^\s*(?:it|them|across|thinly|thickly|against|into|in|$)/i.test(object) ? last : [];
      const cut = shape ? (AS[shape] ?? `in ${shape}`) : verb.cut;
      if (cut !== 'cut')
        for (const { food, name } of foods) ordered.push({ step: i + 1, text: clause.trim(), food, name, cut });
      if (named.length > 0) last = named;
    }
  });
  return ordered;
}
