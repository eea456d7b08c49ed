import { z } from '../zod';
import { tokens } from './text';

/**
 * How one kind of food is cut: the task when no cut is named (`counted`: when it comes whole, by number), and the task of each cut
 * word; null where no knife is needed.
 */
const foodClassSchema = z.strictObject({
  default: z.string().nullable(),
  counted: z.string().optional(),
  cuts: z.record(z.string(), z.string().nullable()),
});
export type FoodClass = z.infer<typeof foodClassSchema>;

/** A food by its names, weight of a piece (g), of a cup (g), how many pieces (`each`) one of it makes, and how many a bunch, head or loaf holds. */
const foodSchema = z.strictObject({
  names: z.array(z.string()).min(1),
  class: z.string(),
  grams: z.number().positive().optional(),
  cup: z.number().positive().optional(),
  each: z.number().positive().optional(),
  holds: z.record(z.string(), z.number().positive()).optional(),
});
export type Food = Omit<z.infer<typeof foodSchema>, 'names'>;

/** The words of English: by which it is known, what is counted (`counts`: each word with the name it is kept under), and cut words by what they mean. */
const englishSchema = z.strictObject({
  id: z.literal('en'),
  name: z.string(),
  common: z.array(z.string()),
  counts: z.record(z.string(), z.string()),
  cuts: z.array(z.tuple([z.string(), z.string()])),
});

const fileSchema = z.strictObject({
  classes: z.record(z.string(), foodClassSchema),
  foods: z.array(foodSchema),
});

/** Foods by their names, and classes by id. */
export interface Lexicon {
  classes: Map<string, FoodClass>;
  /** By the name's words, singular and plain, joined by blanks. */
  names: Map<string, { name: string; food: Food }>;
  /** Words of the longest name. */
  longest: number;
  /** Count words the ingredient parser does not know as units, each with the name it is kept under. */
  counts: Map<string, string>;
  /** Cut words by what they mean, the most telling first. */
  cuts: readonly (readonly [string, RegExp])[];
  /** Words by which English is known, in the singular. */
  common: ReadonlySet<string>;
}

/** Reads the lexicon. Throws a ZodError for a malformed row, an Error for a food of an unknown class. */
export function readLexicon(raw: unknown, rawEnglish: unknown): Lexicon {
  const { classes, foods } = fileSchema.parse(raw);
  const english = englishSchema.parse(rawEnglish);
  const names: Lexicon['names'] = new Map();
  let longest = 1;
  for (const { names: all, ...food } of foods) {
    if (!classes[food.class]) throw new Error(`${all[0] ?? ''}: there is no food class ${food.class}`);
    for (const name of all) {
      const words = tokens(name);
      longest = Math.max(longest, words.length);
      names.set(words.join(' '), { name, food });
    }
  }
  return {
    classes: new Map(Object.entries(classes)),
    names,
    longest,
    counts: new Map(Object.entries(english.counts)),
    cuts: english.cuts.map(([cut, pattern]) => [cut, new RegExp(pattern)]),
    common: new Set([
      ...[...english.common, ...Object.keys(english.counts)].map((word) => tokens(word).join(' ')),
      ...[...names.keys()].flatMap((name) => name.split(' ')),
    ]),
  };
}

/** A food named in some words: where its name lies and what it is. */
export interface Found {
  name: string;
  food: Food;
  from: number;
  to: number;
}

/**
 * The food named in a run of words: the longest name wins, of two as long the later one ("chicken and mushroom pie filling" is rare,
 * "mushroom and chicken stock" is not). Null when none of the words names a food.
 */
export function findFood(words: readonly string[], lexicon: Lexicon): Found | null {
  for (let length = Math.min(lexicon.longest, words.length); length > 0; length--)
    for (let from = words.length - length; from >= 0; from--) {
      const known = lexicon.names.get(words.slice(from, from + length).join(' '));
      if (known) return { ...known, from, to: from + length };
    }
  return null;
}
