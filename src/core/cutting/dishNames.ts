import { distance } from 'fastest-levenshtein';
import { folded } from '../text/fold';

/** A dish as it can be found: its name, and what else it is called. */
export interface NamedDish {
  id: string;
  name: string;
  also?: readonly string[] | undefined;
}

/** Words that say nothing of what a dish is. */
const SAYS_NOTHING = new Set(
  (
    'a an and the of in on with from for my our mum mums grandmas homemade home made quick easy simple classic best fresh hot leftover leftovers ' +
    'some big little proper style family mit und von aus auf dem der die das ein eine oma omas schnelle schneller einfache hausgemachte à la le les de du des al alla con e y'
  ).split(' '),
);

/** What comes behind one of these is served beside the dish, or is only part of it. */
const BESIDE = /\s(?:with|mit|in|on|auf|from|aux?|con)\s/i;

/** Words of a name, and how much each counts: what is only beside the dish counts half. */
function wordsOf(text: string): { words: string[]; counts: number[] } {
  const at = BESIDE.exec(text)?.index ?? text.length;
  const [dish, beside] = [tellingWords(text.slice(0, at)), tellingWords(text.slice(at))];
  return { words: [...dish, ...beside], counts: [...dish.map(() => 1), ...beside.map(() => 0.5)] };
}

/** Words in plain letters, in the singular, without those that say nothing. */
function tellingWords(text: string): string[] {
  const plain = folded(text)
    .replace(/['’‘`´]/g, '')
    .replace(/&/g, ' and ');
  const all = plain.match(/[\p{L}\d]+/gu) ?? [];
  const telling = all.filter((word) => !SAYS_NOTHING.has(word));
  return (telling.length > 0 ? telling : all).map((word) =>
    /[^s]s$/.test(word) && word.length > 3 ? word.slice(0, -1) : word,
  );
}

/** How alike two words are, 0–1: the same, begun alike while it is typed, or a slip of the pen. */
function alike(typed: string, known: string): number {
  if (typed === known) return 1;
  if (typed.length >= 3 && known.startsWith(typed)) return 0.6 + (0.35 * typed.length) / known.length;
  const slips = typed.length >= 8 ? 2 : typed.length >= 5 ? 1 : 0;
  // a slip seldom falls on the first letter
  if (slips === 0 || typed.charAt(0) !== known.charAt(0) || Math.abs(typed.length - known.length) > slips) return 0;
  return distance(typed, known) <= slips ? 0.85 : 0;
}

interface Entry<T> {
  dish: T;
  name: string;
  words: string[];
  weights: number[];
  total: number;
  /** The dish's own name goes before what else it is called. */
  own: boolean;
}

/** A dish that was found, and how well its name fits: 1 is the same name. */
export interface FoundDish<T> {
  dish: T;
  /** The name it was found by. */
  called: string;
  fits: number;
}

/** What counts as found where somebody chooses from a list, and where the best is taken unseen. */
export const FITS = { listed: 0.45, taken: 0.62, same: 0.93, apart: 0.06 };

/**
 * Finds dishes by what people call them: any of their names, roughly spelt. Rare words tell more than common ones: "caesar" finds the salad, "clear soup"
 * does not find every soup.
 *
 * @example dishFinder(dishes)('chiken tikka masalla')[0].dish.name // 'Home chicken curry'
 */
export function dishFinder<T extends NamedDish>(
  dishes: readonly T[],
): (asked: string, most?: number) => FoundDish<T>[] {
  const named = dishes.flatMap((dish) =>
    [dish.name, ...(dish.also ?? [])].map((name, i) => ({ dish, name, ...wordsOf(name), own: i === 0 })),
  );
  const times = new Map<string, number>();
  for (const { words } of named) for (const word of new Set(words)) times.set(word, (times.get(word) ?? 0) + 1);
  const weightOf = (word: string) =>
    Math.log(1 + named.length / (times.get(word) ?? 0.5)) * Math.min(1, word.length / 4);
  const entries: Entry<T>[] = named.map((each) => {
    const weights = each.words.map((word, i) => weightOf(word) * (each.counts[i] ?? 1));
    return { ...each, weights, total: weights.reduce((sum, w) => sum + w, 0) };
  });
  return (asked, most = 8) => {
    const { words: typed, counts } = wordsOf(asked);
    const typedWeights = typed.map((word, i) => weightOf(word) * (counts[i] ?? 1));
    const typedTotal = typedWeights.reduce((sum, w) => sum + w, 0);
    const best = new Map<T, FoundDish<T>>();
    for (const entry of entries) {
      const fits = fit(typed, typedWeights, typedTotal, entry) + (entry.own ? 0.001 : 0);
      if (fits > Math.max(FITS.listed, best.get(entry.dish)?.fits ?? 0))
        best.set(entry.dish, { dish: entry.dish, called: entry.name, fits });
    }
    return [...best.values()].sort((a, b) => b.fits - a.fits || a.dish.name.localeCompare(b.dish.name)).slice(0, most);
  };
}

/** How well what was typed fits a name: the telling part of each that the other has too. */
function fit(
  typed: readonly string[],
  typedWeights: readonly number[],
  typedTotal: number,
  { words, weights, total }: Entry<unknown>,
): number {
  if (typed.length === 0) return 0;
  const used = new Set<number>();
  let [shared, met] = [0, 0];
  typed.forEach((word, i) => {
    let [at, closeness] = [-1, 0];
    words.forEach((known, k) => {
      const likeness = used.has(k) ? 0 : alike(word, known);
      if (likeness > closeness) [at, closeness] = [k, likeness];
    });
    if (at < 0) return;
    used.add(at);
    shared += closeness * (weights[at] ?? 0);
    // a slip weighs as the word that was meant
    const [asked, meant] = [typedWeights[i] ?? 0, weights[at] ?? 0];
    met += closeness * Math.min(asked, meant) + Math.max(0, asked - meant);
  });
  const [ofTyped, ofName] = [met / Math.max(1e-9, typedTotal), shared / Math.max(1e-9, total)];
  return 0.6 * ofTyped + 0.4 * ofName;
}

/** The one dish a text names; null where none fits well, or where several do as "chicken" fits. */
export function theDish<T>(found: readonly FoundDish<T>[]): T | null {
  const [best, next] = found;
  if (!best || best.fits < FITS.taken) return null;
  const isAlone = best.fits >= FITS.same || best.fits - (next?.fits ?? 0) >= FITS.apart;
  return isAlone ? best.dish : null;
}
