import { BLADE_BOUNDS } from '../../blade/bounds';
import type { BladeModel, BladeType } from '../../blade/schema';
import { kindIn, type KindWords } from './kinds';
import { type Label, type LabelRead, NOTHING_READ } from './label';
import { lengthsSaid, piecesOf, type LengthOf, type NamedLength } from './lengthsSaid';
import { quantitiesIn, tidied, type Quantity } from './quantities';
import { steelSaid } from './steelSaid';

/** What reading rests on: the kinds' names, and each kind's usual lengths and angles. */
export interface LabelKnowledge {
  words: KindWords;
  types: ReadonlyMap<string, BladeType>;
}

const HANDLE_WORDS: readonly [RegExp, BladeModel['handleStyle']][] = [
  [/octagon|achteck/i, 'octagon'],
  [/d[- ]shape|d-form/i, 'd-shape'],
  [/\boval\b/i, 'oval'],
  [/mou?lded|polymer|plastic handle|rubber|kunststoff/i, 'moulded'],
  [/(?:steel|metal) handle|edelstahlgriff|metallgriff/i, 'metal'],
  [/rivet|niete|western handle|full tang|voller erl/i, 'western'],
];
const BEVEL_WORDS: readonly [RegExp, BladeModel['bevel']][] = [
  [/single[- ]bevel|single[- ]edged|one[- ]sided|chisel[- ]grind|chisel[- ]ground|einseitig/i, 'single'],
  [/(?:70|60|80|90)\s?\/\s?(?:30|40|20|10)|asymmetric|uneven bevel|asymmetrisch/i, 'uneven'],
  [/double[- ]bevel|50\s?\/\s?50|both sides|beidseitig|v-edge|v-schliff/i, 'double'],
];
const HAND_WORDS: readonly [RegExp, BladeModel['handed']][] = [
  [/not (?:\w+ )?for left|nicht für linksh|right[- ]hand(?:ed|ers?)? only/i, 'right'],
  [
    /ambidext|both hands|either hand|(?:right|left)[- ]?(?:hand(?:ed|ers?)?)?(?: and | or | & |\/)(?:right|left)|beidhänd|(?:rechts|links)-? und (?:rechts|links)h/i,
    'either',
  ],
  [/left[- ]?hand|for (?:the )?left\b|lefty|lefties|linkshänd|linkshand|für links\b/i, 'left'],
  [/right[- ]?hand|for (?:the )?right\b|rechtshänd|rechtshand/i, 'right'],
];
const wordIn = <T>(text: string, words: readonly [RegExp, T][]): T | null =>
  words.find(([pattern]) => pattern.test(text))?.[1] ?? null;

/** How far beyond a kind's usual lengths and angles a figure may lie and still be one. */
const LEEWAY = 1.12;
/** A handle and bolster: what an overall length has more than its edge, mm. */
const HANDLE_MM = [90, 150] as const;
/** Bounds of an edge angle a side where the kind is not known, degrees. */
const ANGLES = [8, 24] as const;

const fits = (value: number, [low, high]: readonly [number, number], leeway = LEEWAY) =>
  value >= low / leeway && value <= high * leeway;
const rounded = (value: number) => Math.round(value * 100) / 100;
const within = (value: number | undefined, [low, high]: readonly [number, number]) =>
  value !== undefined && value >= low && value <= high ? value : null;

/** A figure that was read, was left open, or is not there. */
type Found = { value: number | null; asked?: true };
const one = (values: readonly number[]): Found => {
  const apart = [...new Set(values.map(rounded))];
  return apart.length > 1 ? { value: null, asked: true } : { value: apart[0] ?? null };
};

/** The edge: named as such; else a length without a name, or named only "length", unless it may as well be the whole knife's. */
function edgeOf(lengths: readonly NamedLength[], type: BladeType | undefined): Found {
  const of = (wanted: LengthOf | null) =>
    lengths.filter((each) => each.of === wanted).map(({ figure }) => figure.value);
  const [blades, loose] = [of('blade'), [...of(null), ...of('length')]];
  const inBounds = (value: number) => within(value, BLADE_BOUNDS.lengthMm) !== null;
  const named = blades.filter(inBounds);
  if (named.length > 0) return one(type && named.length > 1 ? named.filter((mm) => fits(mm, type.lengthMm)) : named);
  const candidates = loose.filter((value) => inBounds(value) && value >= 55);
  if (!type) return of('length').some(inBounds) ? openUnlessOverall(candidates, of('overall')) : one(candidates);
  const likely = candidates.filter((mm) => fits(mm, type.lengthMm));
  const isWhole = (mm: number) => HANDLE_MM.some((handle) => fits(mm - handle, type.lengthMm));
  const unsure = likely.filter((mm) => of('length').includes(mm) && isWhole(mm) && of('overall').length === 0);
  if (likely.length === 1 && unsure.length === 1) return { value: null, asked: true };
  if (likely.length > 0) return one(likely);
  // a length no such knife has is still the one that is printed, unless it is a whole knife's
  const odd = candidates.filter((mm) => !isWhole(mm));
  return one(odd);
}

/** A "length" of a knife whose kind is not known: the edge's where the label gives the whole knife's length too. */
const openUnlessOverall = (candidates: readonly number[], overall: readonly number[]): Found =>
  overall.length > 0 ? one(candidates) : candidates.length > 0 ? { value: null, asked: true } : { value: null };

const A_SIDE = /(?:per|a|each|je|pro) (?:side|seite|face)|\/\s?side|beidseitig|both sides|je schneide|2\s?[x×]\s?$/i;
const INCLUSIVE = /inclusive|included|\btotal|gesamt|insgesamt|combined|zusammen/i;

/** The edge's angle a side: an inclusive one is halved; without a word for it, the reading that such a knife can have. */
function angleOf(angles: readonly Quantity[], text: string, type: BladeType | undefined): Found {
  const around = (q: Quantity) => text.slice(Math.max(0, q.from - 26), q.to + 22);
  const sides = angles.filter(
    (q) => A_SIDE.test(text.slice(q.from, q.to + 22)) || /2\s?[x×]\s?$/.test(text.slice(0, q.from)),
  );
  if (sides.length > 0) return one(sides.map(({ value }) => value));
  const [first, second] = angles;
  if (first && second && first.value === second.value && /^\s?\/\s?$/.test(text.slice(first.to, second.from)))
    return { value: first.value };
  const open = angles.map((q): Found => {
    if (INCLUSIVE.test(around(q))) return { value: q.value / 2 };
    const usual = type?.edgeAngleDeg ?? ANGLES;
    const [asSide, asWhole] = [fits(q.value, usual, 1.25), fits(q.value / 2, usual, 1.25)];
    // nobody grinds a kitchen knife to half of what is already a fine angle a side
    if (asSide && (!asWhole || q.value < 24)) return { value: q.value };
    return asWhole && !asSide ? { value: q.value / 2 } : { value: null, asked: true };
  });
  return open.find(({ asked }) => asked) ?? one(open.flatMap(({ value }) => value ?? []));
}

/** An old price, a discount and what posting costs are not what is asked. */
const NOT_ASKED_BEFORE =
  /(?:\bwas|statt|uvp|rrp|msrp|instead of|old price|before|vorher|früher|list price|listenpreis|save|spare[n]?|gespart|\+|zzgl\.?|plus|postage|shipping|versand|porto|delivery|free (?:delivery|shipping) (?:from|over)|ab|over)\W{0,4}$/iu;
const NOT_ASKED_BEHIND =
  /^\W{0,3}(?:off|rabatt|gespart|saved|discount|versand|shipping|postage|porto|delivery|cheaper|billiger)/iu;

function priceOf(amounts: readonly Quantity[], text: string): { found: Found; currency: string | null } {
  const asked = amounts.filter(
    ({ from, to }) =>
      !NOT_ASKED_BEFORE.test(text.slice(Math.max(0, from - 30), from)) &&
      !NOT_ASKED_BEHIND.test(text.slice(to, to + 20)),
  );
  const now = asked.filter(({ from }) =>
    /(?:now|nur|jetzt|only|sale|angebot|today)\W{0,4}$/iu.test(text.slice(Math.max(0, from - 12), from)),
  );
  const kept = now.length > 0 ? now : asked;
  return {
    found: one(kept.map(({ value }) => value)),
    currency: kept.find((q) => q.currency)?.currency ?? null,
  };
}

/** The weight of the knife; what its box weighs is set aside. */
function weightOf(weights: readonly Quantity[], text: string, pieces: readonly { from: number; to: number }[]): Found {
  const ofKnife = weights.filter((q) => {
    const piece = pieces.find(({ from, to }) => q.from >= from && q.from < to);
    return !/pack(?:aging|age|ed)|verpack|\bbox\b|karton|shipping|versand/i.test(text.slice(piece?.from, piece?.to));
  });
  const found = one(ofKnife.map(({ value }) => Math.round(value)));
  return { ...found, value: found.value === null ? null : within(found.value, BLADE_BOUNDS.weightG) };
}

/** The first piece that names a kind of knife or something else tells what is sold; what is said later is said of it. */
function subjectOf(text: string, words: KindWords): { knife: boolean; type: string | null } {
  const pieces = text.split(/[\n;•·|.]\s|\n|,(?!\d)/u);
  // "boning knife, flexible": what stands behind may make the kind more exact
  const moreExactly = (kind: string, piece: string, next = '') => {
    const both = kindIn(`${piece} ${next}`, words);
    return 'kind' in both && !('kind' in kindIn(next, words)) ? both.kind : kind;
  };
  for (const [i, piece] of pieces.entries()) {
    const named = kindIn(piece, words);
    if ('kind' in named) return { knife: true, type: moreExactly(named.kind, piece, pieces[i + 1]) };
    if (named.no !== 'unknown') return { knife: false, type: null };
  }
  return { knife: true, type: null };
}

/**
 * Reads what a shop, a label or a seller says of a knife, in English or German: its kind, lengths by their names in any order, weight, hardness, angle,
 * steel, hand, bevel and price. What is not there stays null; what can be read in two ways is null and stands in `asks`.
 *
 * @example readLabel('Gyuto, blade 21 cm, 60–62 HRC', knowledge).read.hrc // 61
 */
export function readLabel(raw: string, { words, types }: LabelKnowledge): LabelRead {
  const text = tidied(raw);
  const measured = quantitiesIn(text);
  const figures = [...measured, ...bareFigures(text, measured)];
  const pieces = piecesOf(text, figures);
  const of = (measure: Quantity['measure']) => figures.filter((q) => q.measure === measure);
  const { knife, type: kind } = subjectOf(text, words);
  const type = kind === null ? undefined : types.get(kind);
  const lengths = lengthsSaid(text, [...figures, ...(type ? unitless(text, figures, type) : [])]);
  const lengthOf = (wanted: LengthOf, bounds: readonly [number, number]) => {
    const found = one(lengths.filter((each) => each.of === wanted).map(({ figure }) => figure.value));
    return { ...found, value: found.value === null ? null : within(found.value, bounds) };
  };
  const hardness = one(of('hardness').flatMap(({ value }) => within(value, HARDNESS) ?? []));
  const steel = steelSaid(text, hardness.value);
  const price = priceOf(of('money'), text);
  const angle = angleOf(of('angle'), text, type);
  const found = {
    lengthMm: edgeOf(lengths, type),
    heelHeightMm: lengthOf('heel', BLADE_BOUNDS.heelHeightMm),
    weightG: weightOf(of('weight'), text, pieces),
    hrc: hardness,
    spineHeelMm: lengthOf('spine', BLADE_BOUNDS.spineHeelMm),
    edgeAngleDeg: { ...angle, value: angle.value === null ? null : within(angle.value, BLADE_BOUNDS.edgeAngleDeg) },
    price: price.found,
  } satisfies Partial<Record<keyof Label, Found>>;
  const valued = Object.fromEntries(
    Object.entries(found).map(([key, { value }]) => [key, value === null ? null : Math.round(value * 100) / 100]),
  );
  const asks = (Object.keys(found) as (keyof typeof found)[]).filter((key) => 'asked' in found[key]);
  const unread = unreadIn(text, pieces, [...figures, ...lengths.map(({ figure }) => figure)]);
  if (!knife)
    return { knife, read: { ...NOTHING_READ, price: price.found.value, currency: price.currency }, asks: [], unread };
  return {
    knife,
    read: {
      ...(valued as Record<keyof typeof found, number | null>),
      type: kind,
      bevel: wordIn(text, BEVEL_WORDS),
      handed: wordIn(text, HAND_WORDS),
      steel: steel.steel,
      stainless: steel.stainless,
      handleStyle: wordIn(text, HANDLE_WORDS),
      serrated: /serrat|scallop|wavy edge|toothed|wellenschliff|sägezahn|gezahnt/i.test(text) ? true : null,
      currency: price.currency,
    },
    asks: [...asks, ...(steel.asked === null ? [] : ['steel' as const])],
    unread: [
      ...unread,
      ...(steel.asked === null || unread.some((each) => each.includes(steel.asked ?? '')) ? [] : [steel.asked]),
    ],
  };
}

/** Units a length may have been meant in where none is written, mm. */
const UNWRITTEN = [1, 10, 25.4];

/** A number of no unit that is a length of its kind in one unit alone: "Gyuto 210", "blade length 20". */
function unitless(text: string, figures: readonly Quantity[], { lengthMm }: BladeType): Quantity[] {
  if (figures.some(({ measure, value }) => measure === 'length' && fits(value, lengthMm))) return [];
  const free = [
    ...text.matchAll(
      /(?<![\d.,/\-\p{L}])\d{1,3}(?:[.,]\d)?(?![\d/%]|[.,]\d|\s?(?:pieces|pcs|teil|tlg|layers|lagen|x\b|-\p{L}|years|jahre|days|tage|mal\b))/gu,
    ),
  ].filter(({ index }) => figures.every(({ from, to }) => index < from || index >= to));
  return free.flatMap(({ 0: digits, index }): Quantity[] => {
    const named = /(?:blade|edge|klinge\p{L}*|länge|length)\W{0,3}$/iu.test(text.slice(Math.max(0, index - 22), index));
    const units = UNWRITTEN.filter((mm) => fits(Number(digits.replace(',', '.')) * mm, lengthMm));
    const [unit] = units;
    if (unit === undefined || units.length > 1 || (unit !== 1 && !named)) return [];
    const value = Number(digits.replace(',', '.')) * unit;
    return [{ measure: 'length', value, from: index, to: index + digits.length, metric: true, currency: null }];
  });
}

/** Figures that shops print with a name and no unit: what they are in, and what one of it is where the number is too small for that. */
const BARE: readonly { name: string; measure: Quantity['measure']; least: number; below: number }[] = [
  { name: 'height|höhe|klingenhöhe|breite|width|tall', measure: 'length', least: 10, below: 10 },
  { name: 'thickness|dicke|stärke|klingenstärke|spine', measure: 'length', least: 0.8, below: 1 },
  { name: 'weight|gewicht|weighs|wiegt', measure: 'weight', least: 15, below: 1 },
];

/** "height 52", "thickness 1.9", "weight 165": mm and g, and a height below 10 in cm. */
function bareFigures(text: string, figures: readonly Quantity[]): Quantity[] {
  return BARE.flatMap(({ name, measure, least, below }) =>
    [
      ...text.matchAll(
        new RegExp(
          String.raw`\b\p{L}*(?:${name})\W{1,3}(\d+(?:[.,]\d+)?)(?!\d|[.,]\d|\s?(?:[x×°"”″%]|(?:mm|cm|in|inch|k?g|oz|lbs?)\b))`,
          'giu',
        ),
      ),
    ].flatMap(({ 0: all, 1: digits = '', index }): Quantity[] => {
      const [from, to] = [index + all.length - digits.length, index + all.length];
      if (figures.some((other) => from < other.to && to > other.from)) return [];
      const number = Number(digits.replace(',', '.'));
      const value = number < least ? number * below : number;
      return value < least ? [] : [{ measure, value, from, to, metric: true, currency: null }];
    }),
  );
}

/** Hardness a knife's steel can have, HRC. */
const HARDNESS = [48, 69] as const;

/** Pieces with a number in them that belongs to no figure. */
function unreadIn(
  text: string,
  pieces: readonly { from: number; to: number }[],
  figures: readonly Quantity[],
): string[] {
  return pieces.flatMap(({ from, to }) => {
    const rest = text.slice(from, to).split('');
    for (const q of figures) rest.fill(' ', Math.max(0, q.from - from), Math.max(0, q.to - from));
    const piece = text.slice(from, to).trim();
    return /\d/.test(rest.join('')) && wordIn(piece, BEVEL_WORDS) === null ? [piece] : [];
  });
}
