import { folded } from '../../text/fold';
import { z } from '../../zod';

/** Names of the kinds in lists, what is sold beside knives, and words of sets. */
const kindWordsSchema = z.strictObject({
  kinds: z.record(z.string(), z.array(z.string()).min(1)),
  others: z.array(z.string()),
  sets: z.array(z.string()),
});

export interface KindWords {
  /** Kind by its words, the longest first. */
  kinds: readonly (readonly [string, string])[];
  others: readonly string[];
  sets: readonly string[];
}

/** Lower case without accents and joining marks, one blank between words, a blank at both ends. */
const plain = (text: string): string =>
  ` ${folded(text)
    .replace(/[’‘`´]/g, "'")
    .replace(/[^\p{L}\d']+/gu, ' ')
    .trim()} `;

/** Reads the words of the kinds. Throws a ZodError for a malformed file. */
export function readKindWords(raw: unknown): KindWords {
  const { kinds, others, sets } = kindWordsSchema.parse(raw);
  const all = Object.entries(kinds).flatMap(([id, names]) => names.map((name) => [plain(name), id] as const));
  return {
    kinds: all.sort(([a], [b]) => b.length - a.length),
    others: others.map(plain),
    sets: sets.map(plain),
  };
}

/** What a text is about: a kind of knife, a set of several, something else, or nothing that is known. */
export type Named = { kind: string } | { no: 'set' | 'other' | 'unknown'; word?: string };

/** Shortest word a compound may end in, letters. */
const SHORTEST_TAIL = 5;

/** Whether a text holds words, or ends a compound in them (Messertasche: Tasche). */
const holds = (said: string, words: string): boolean =>
  said.includes(words) || (words.trim().length >= SHORTEST_TAIL && said.includes(words.trimStart()));

/** What stands beside a knife rather than for something made for it. */
const BESIDE = / (with|mit|incl|inkl|and|und|plus) /;

/** The kind that begins a German compound: "Santokumesser". */
function compound(said: string, kinds: KindWords['kinds']): readonly [string, string] | undefined {
  const parted = said.replace(/(\p{L}{4,})messer /gu, '$1 messer ');
  return parted === said ? undefined : kinds.find(([name]) => parted.includes(name));
}

/** Kinds whose names stand for many: beside another kind's name they only describe it ("gyuto, Japanese chef's knife"). */
const GENERAL = new Set(['chef', 'utility', 'slicer', 'carving']);

/** The kind named in a text and the word that names it: the longest name, a general one only where no other stands beside it. */
function named(said: string, kinds: KindWords['kinds']): readonly [string, string] | undefined {
  const whole = kinds.filter(([name]) => said.includes(name));
  const longest = whole.filter(([name]) => !whole.some(([other]) => other !== name && other.includes(name)));
  return (
    longest.find(([, kind]) => !GENERAL.has(kind)) ??
    longest[0] ??
    kinds.find(([name]) => holds(said, name)) ??
    compound(said, kinds)
  );
}

/** The kind of knife a text names; German compounds end in theirs. */
export function kindIn(text: string, { kinds, others, sets }: KindWords): Named {
  const said = plain(text);
  const set = sets.find((word) => said.includes(word));
  if (set) return { no: 'set', word: set.trim() };
  const kind = named(said, kinds);
  const other = others.find((word) => holds(said, word));
  // "chef's knife with sheath" is a knife, "sheath for a chef's knife" is none
  const isBeside = kind && other && said.indexOf(other.trim()) > said.indexOf(kind[0].trim()) && BESIDE.test(said);
  if (other && !isBeside) return { no: 'other', word: other.trim() };
  return kind ? { kind: kind[1] } : { no: 'unknown' };
}
