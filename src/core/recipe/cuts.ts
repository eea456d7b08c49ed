import { plain } from './text';

/** Cut words by what they mean, the most telling first: a line that says "peeled, halved and thinly sliced" is about slices. */
const CUTS: readonly [string, RegExp][] = [
  ['julienne', /\b(julienne[ds]?|match-?sticks?)\b/],
  ['brunoise', /\b(brunoise[ds]?|tiny (dice|cubes)|finely cubed)\b/],
  ['sheer', /\b(sheer|paper[- ]thin|usuzukuri)\b/],
  ['sheet', /\b(into (a )?(long )?sheets?|katsuramuki)\b/],
  ['floret', /\b(florets?|broken into)\b/],
  ['segment', /\b(segment(ed|s)?|suprem(ed|es?))\b/],
  ['ribbon', /\b(ribbons?|chiffonade)\b/],
  ['kernel', /\b(kernels? (cut|stripped|removed)|cut (off|from) the cob|kernels)\b/],
  ['spatchcock', /\bspatchcock(ed)?\b/],
  ['butterfly', /\bbutterfl(y|ied)\b/],
  ['joint', /\b(jointed|cut into (\w+ )?(joints|serving pieces)|cut up|broken down|into (8|10|eight|ten) pieces)\b/],
  ['devein', /\bde-?veined\b/],
  ['shuck', /\b(shucked|opened)\b/],
  ['hull', /\bhulled\b/],
  ['score', /\bscored\b/],
  ['crack', /\bcracked\b/],
  ['roll', /\b(roll[- ]cut|oblique)\b/],
  ['shred', /\bshredded\b/],
  ['mince', /\b(minced|very finely chopped)\b/],
  ['dice', /\b(diced?|small cubes)\b/],
  ['cube', /\b(cubed?|cubes)\b/],
  ['strip', /\b(strips?|strips)\b/],
  ['stick', /\b(sticks|batons?|fries|chips|fingers)\b/],
  ['wedge', /\b(wedges?|triangles?)\b/],
  ['tear', /\b(torn|ripped|crumbled|flaked|mashed|pureed|blended)\b/],
  [
    'chunk',
    /\b(chunks?|(bite[- ]sized?|large|small|even|\d+ ?(cm|mm|inch|in|")|equal) pieces|chunky|lengths|into pieces)\b/,
  ],
  ['ring', /\b(rings|rounds|coins|discs|disks)\b/],
  ['slice', /\b(slice[ds]?|slivered|slivers|shaved|sliced)\b/],
  ['chop', /\b(chopped|chop)\b/],
  ['fillet', /\bfilleted\b/],
  ['portion', /\b(portions?|portioned)\b/],
  ['carve', /\bcarved\b/],
  ['quarter', /\b(quartered|quarters)\b/],
  ['halve', /\b(halved|halves|cut in half|split in half)\b/],
  ['split', /\bsplit\b/],
  ['bone', /\b(to be boned|bone removed|boned out)\b/],
  ['skin', /\b(skin removed|to be skinned|skinned)\b/],
  ['gut', /\bgutted\b/],
  ['scale', /\bscaled\b/],
  ['clean', /\bcleaned\b/],
  ['head', /\b(heads? (off|removed))\b/],
  ['grate', /\b(grated|zested|microplaned|spirali[sz]ed)\b/],
  ['zest', /\b(zest)\b/],
  ['juice', /\b(juiced?|squeezed)\b/],
  ['pick', /\bpicked\b/],
  ['crush', /\b(crushed|bruised|smashed|bashed|pressed)\b/],
  ['stone', /\b(stoned|pitted|destoned|de-stoned)\b/],
  ['core', /\bcored\b/],
  ['seed', /\b(de-?seeded|seeded|seeds removed)\b/],
  ['trim', /\b(trimmed|topped and tailed|stems? removed|stalks? removed|tough ends removed|ends removed)\b/],
  ['shell', /\bshelled\b/],
  ['peel', /\b(peeled|skins? removed)\b/],
  ['separate', /\b(individual|separated|between the bones)\b/],
  ['whole', /\b(left whole|kept whole|whole|studded)\b/],
];

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

/** Reads the cut words of a line. */
export function readCut(text: string): Cut {
  const words = plain(text);
  const hit = CUTS.map(([cut, pattern]) => ({ cut, match: pattern.exec(words) })).find(({ match }) => match !== null);
  return {
    cut: hit?.cut ?? null,
    said: hit?.match?.[0] ?? null,
    fine: FINE.test(words),
    peeled: /\bpeeled\b/.test(words),
  };
}
