import { plain } from './text';

/** Cuts that stand in for one another where a food does not know the one that is named, nearest first. */
export const ALIKE: Record<string, readonly string[]> = {
  ring: ['slice'],
  ribbon: ['slice', 'shred'],
  shred: ['slice'],
  wedge: ['quarter', 'slice', 'chop'],
  quarter: ['halve', 'wedge', 'chop'],
  halve: ['quarter', 'slice', 'chop'],
  chunk: ['cube', 'dice', 'chop'],
  cube: ['dice', 'chunk', 'chop'],
  dice: ['cube', 'chop'],
  chop: ['dice', 'slice'],
  mince: ['brunoise', 'chop', 'dice'],
  brunoise: ['dice', 'chop'],
  julienne: ['stick', 'strip', 'slice'],
  stick: ['julienne', 'strip', 'slice'],
  strip: ['slice', 'stick', 'julienne'],
  portion: ['slice'],
  sheer: ['slice'],
  roll: ['chunk', 'slice'],
};

/** Words that say that no knife, or none worth counting, is used. */
export const WITHOUT_KNIFE = new Set(['grate', 'zest', 'juice', 'tear', 'pick', 'whole', 'separate']);

/** Cuts that a fine one turns into a brunoise where the food knows one. */
const FINE = /\b(finely|very fine(ly)?|fine|small)\b[^,;]*\b(chopped|diced?|cubed)\b/;

/** What a line says about cutting. */
export interface Cut {
  /** Canonical word, or null when no cut is named. */
  cut: string | null;
  /** The words as they stand in the line. */
  said: string | null;
  fine: boolean;
  /** Peeling is asked for beside another cut. */
  peeled: boolean;
}

/** Reads the cut words of a line; `cuts` the words by what they mean, the most telling first: "peeled, halved and thinly sliced" is about slices. */
export function readCut(text: string, cuts: readonly (readonly [string, RegExp])[]): Cut {
  const words = plain(text);
  const hit = cuts.map(([cut, pattern]) => ({ cut, match: pattern.exec(words) })).find(({ match }) => match !== null);
  return {
    cut: hit?.cut ?? null,
    said: hit?.match?.[0] ?? null,
    fine: FINE.test(words),
    peeled: /\bpeeled\b/.test(words),
  };
}
