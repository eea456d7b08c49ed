import { franc } from 'franc-min';
import { z } from '../zod';
import type { Lexicon } from './foods';
import { plain, tokens } from './text';

/** A language as a table of what its words are in English, with what tells it from others. */
const languageSchema = z.strictObject({
  /** ISO 639-1. */
  id: z.string().length(2),
  name: z.string(),
  /** Endings that bend a word without changing what it means. */
  endings: z.array(z.string()),
  /** An unknown word means what its last part means (Gemüsezwiebel: Zwiebel). */
  compounds: z.boolean(),
  /** The verb of an order stands behind what is cut. */
  verbLast: z.boolean(),
  /** Words by which it is known. */
  common: z.array(z.string()),
  /** Units of its own: so many of a known one. */
  measures: z.record(z.string(), z.tuple([z.number().positive(), z.string()])),
  /** Patterns replaced before words are looked up. */
  rewrite: z.array(z.tuple([z.string(), z.string()])),
  /** Units, cuts, sizes and small words. */
  phrases: z.record(z.string(), z.string()),
  foods: z.record(z.string(), z.string()),
});

export interface Language extends Pick<
  z.infer<typeof languageSchema>,
  'id' | 'name' | 'compounds' | 'verbLast' | 'endings'
> {
  rewrite: readonly (readonly [RegExp, string])[];
  measures: readonly (readonly [RegExp, number, string])[];
  /** English by the bent-back words of a phrase, joined by blanks. */
  known: ReadonlyMap<string, string>;
  /** Words of the longest phrase. */
  longest: number;
  /** Food names a compound may end in, the longest first. */
  tails: readonly string[];
}

/** Shortest part an ending leaves, and shortest word a compound may end in, letters. */
const SHORTEST_STEM = 3;
const SHORTEST_TAIL = 4;

const folded = (word: string) => plain(word.replace(/ß/g, 'ss'));
const WORD = /[\p{L}\p{M}]+/gu;

function stem(word: string, endings: readonly string[]): string {
  const plainWord = folded(word);
  const ending = endings.find((each) => plainWord.endsWith(each) && plainWord.length - each.length >= SHORTEST_STEM);
  return ending ? plainWord.slice(0, -ending.length) : plainWord;
}

/** Reads a language file. Throws a ZodError for a malformed one. */
export function readLanguage(raw: unknown): Language {
  const { rewrite, measures, phrases, foods, common, ...file } = languageSchema.parse(raw);
  const key = (phrase: string) => (phrase.match(WORD) ?? []).map((word) => stem(word, file.endings)).join(' ');
  const known = new Map<string, string>();
  for (const word of common) known.set(key(word), word);
  // a phrase of cutting wins over a food of the same stem
  for (const table of [foods, phrases])
    for (const [phrase, english] of Object.entries(table)) known.set(key(phrase), english);
  return {
    ...file,
    rewrite: rewrite.map(([pattern, by]) => [new RegExp(pattern, 'giu'), by]),
    measures: Object.entries(measures).map(([word, [times, unit]]) => [
      new RegExp(`(\\d+(?:[.,]\\d+)?|½)\\s*${word}\\b`, 'giu'),
      times,
      unit,
    ]),
    known,
    longest: Math.max(...[...known.keys()].map((phrase) => phrase.split(' ').length)),
    tails: Object.keys(foods)
      .filter((name) => !name.includes(' ') && name.length >= SHORTEST_TAIL)
      .map(key)
      .sort((a, b) => b.length - a.length),
  };
}

/** What a word means: itself, or the last part of it. */
function meaning(word: string, language: Language): string | undefined {
  const own = language.known.get(word);
  if (own !== undefined || !language.compounds) return own;
  const tail = language.tails.find((each) => word.endsWith(each) && word.length > each.length + 1);
  return tail === undefined ? undefined : language.known.get(tail);
}

/**
 * A line in English, word by word, the longest phrase first; what is not known stays as it stands.
 *
 * @example translated('2 Zwiebeln, fein gehackt', german) // '2 onion, finely chopped'
 */
export function translated(line: string, language: Language): string {
  let source = line.normalize('NFC');
  for (const [pattern, by] of language.rewrite) source = source.replace(pattern, by);
  for (const [pattern, times, unit] of language.measures)
    source = source.replace(pattern, (_, number: string) => {
      const count = number === '½' ? 0.5 : Number(number.replace(',', '.'));
      return `${count * times} ${unit}`;
    });
  const words = [...source.matchAll(WORD)].map((match) => ({
    from: match.index,
    to: match.index + match[0].length,
    stem: stem(match[0], language.endings),
  }));
  let text = '';
  let at = 0;
  for (let i = 0; i < words.length;) {
    const first = words[i];
    if (!first) break;
    const many = phraseAt(words, i, source, language);
    const last = words[i + Math.max(1, many) - 1] ?? first;
    const english =
      many > 1
        ? language.known.get(
            words
              .slice(i, i + many)
              .map((word) => word.stem)
              .join(' '),
          )
        : meaning(first.stem, language);
    text += source.slice(at, first.from) + (english ?? source.slice(first.from, last.to));
    at = last.to;
    i += Math.max(1, many);
  }
  return text + source.slice(at);
}

/** How many words from the i-th on make a known phrase; 0 for none. Only blanks and hyphens may part them. */
function phraseAt(
  words: readonly { from: number; to: number; stem: string }[],
  i: number,
  source: string,
  language: Language,
): number {
  for (let many = Math.min(language.longest, words.length - i); many > 0; many--) {
    const run = words.slice(i, i + many);
    const apart = run.slice(1).some((word, k) => !/^[\s-]+$/.test(source.slice(run[k]?.to, word.from)));
    if (!apart && language.known.has(run.map((word) => word.stem).join(' '))) return many;
  }
  return 0;
}

/** Share of English words from which nothing else is asked. */
const ENGLISH_ENOUGH = 0.35;
/** Words up to this long are units more often than words, letters. */
const SHORTEST_TOLD = 2;
/** Languages that are told apart but not read: ISO 639-3 to 639-1. */
const TOLD: Record<string, string> = {
  fra: 'fr',
  spa: 'es',
  ita: 'it',
  por: 'pt',
  nld: 'nl',
  pol: 'pl',
  swe: 'sv',
  ces: 'cs',
  hun: 'hu',
  tur: 'tr',
  rus: 'ru',
  ukr: 'uk',
  jpn: 'ja',
  cmn: 'zh',
  kor: 'ko',
  arb: 'ar',
  ell: 'el',
  heb: 'he',
  hin: 'hi',
  vie: 'vi',
  ind: 'id',
  ron: 'ro',
};
/** Shortest text whose language is told by its letters, characters. */
const LONG_ENOUGH = 24;

/**
 * The language of some lines: `read` where there is a file for it, else only its ISO 639-1 code; null for English and for what is too short to tell.
 */
export function languageOf(
  lines: readonly string[],
  lexicon: Lexicon,
  languages: readonly Language[],
): { id: string; read: Language | null } | null {
  const text = lines.join('\n');
  const words = (text.match(WORD) ?? []).filter((word) => word.length > SHORTEST_TOLD);
  if (words.length === 0) return null;
  const english = words.filter((word) => lexicon.common.has(tokens(word).join(' '))).length;
  const scored = languages
    .map((language) => ({
      language,
      known: words.filter((word) => meaning(stem(word, language.endings), language) !== undefined).length,
    }))
    .sort((a, b) => b.known - a.known);
  const [best] = scored;
  if (best && best.known > english && best.known >= words.length / 3)
    return { id: best.language.id, read: best.language };
  if (english >= ENGLISH_ENOUGH * words.length || text.length < LONG_ENOUGH) return null;
  const code = TOLD[franc(text, { only: ['eng', 'deu', ...Object.keys(TOLD)], minLength: LONG_ENOUGH })];
  return code ? { id: code, read: null } : null;
}
