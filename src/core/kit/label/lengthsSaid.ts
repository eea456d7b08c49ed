import { ALIKE, type Quantity } from './quantities';

/** What a length on a label is of. */
export type LengthOf = 'blade' | 'overall' | 'heel' | 'spine' | 'behind' | 'handle' | 'box' | 'length';

/** Words for each, the more exact ones first. */
const NAMES: readonly [LengthOf, RegExp][] = [
  ['box', /pack(?:aging|age|ed)\b|verpackung\w*|\bbox\b|karton|shipping|versand\w*/giu],
  ['behind', /behind the edge|hinter der (?:schneide|wate)|above the edge|über der schneide/giu],
  [
    'spine',
    /(?:blade |spine |klingen)?(?:thick(?:ness)?\b|dicke|stärke|dick\b|stark\b)|\bspine\b|(?:klingen)?rücken(?:stärke|dicke)?/giu,
  ],
  [
    'heel',
    /(?:blade |klingen)?(?:height|width|depth|höhe|breite)\b|\bheel(?: height)?\b|\btall\b|\bhigh\b|\bwide\b|\bhoch\b|\bbreit\b|\bdeep\b/giu,
  ],
  [
    'overall',
    /overall(?: length)?|over all|total(?: length)?\b|ganze länge|messerlänge|komplettlänge|gesamt\w*|insgesamt|full length|\bo\.?a\.?l\b\.?|end to end|in total|whole knife|with handle|mit griff/giu,
  ],
  ['handle', /handle(?: length)?\b|\bgrip\b|griff\w*|\bheft\b/giu],
  [
    'blade',
    /(?:blade|cutting edge|edge|cutting)(?: length)?(?! angle)\b|klinge(?:n?länge)?\b|klingen(?!winkel)\w*|schneid(?:e|en)?(?:länge)?\b|schnittlänge/giu,
  ],
  ['length', /\blength|\blong\b|länge|\blang\b/giu],
];

interface Name {
  of: LengthOf;
  from: number;
  to: number;
}
type Item = Name | Quantity;
const isName = (item: Item): item is Name => 'of' in item;

/** Names in a part of the text, in order; of two that overlap the more exact one. */
function namesIn(text: string, offset: number): Name[] {
  const names: Name[] = [];
  for (const [of, pattern] of NAMES)
    for (const found of text.matchAll(pattern)) {
      const [from, to] = [offset + found.index, offset + found.index + found[0].length];
      if (names.every((other) => to <= other.from || from >= other.to)) names.push({ of, from, to });
    }
  return names.sort((a, b) => a.from - b.from);
}

/** What parts a label into pieces that speak of one thing each. */
const BREAK = /\s\/\s|[;\n•·|()]|,(?!\d)|\.(?=\s|$)|\s[-–—]\s/gu;

/** A text in pieces; figures are left whole. */
export function piecesOf(text: string, figures: readonly Quantity[]): { from: number; to: number }[] {
  const hidden = text.split('');
  for (const { from, to } of figures) hidden.fill('0', from, to);
  const masked = hidden.join('').length === text.length ? hidden.join('') : text;
  const pieces: { from: number; to: number }[] = [];
  let from = 0;
  for (const found of masked.matchAll(BREAK)) {
    pieces.push({ from, to: found.index });
    from = found.index + found[0].length;
  }
  pieces.push({ from, to: text.length });
  return pieces;
}

/** A length with what it is of; null where no name belongs to it. */
export interface NamedLength {
  figure: Quantity;
  of: LengthOf | null;
}

/** Names on one side of a figure, up to the next figure there, the nearest first. */
function beside(items: readonly Item[], at: number, step: 1 | -1): Name[] {
  const names: Name[] = [];
  for (let i = at + step; i >= 0 && i < items.length; i += step) {
    const item = items[i];
    if (!item || !isName(item)) break;
    names.push(item);
  }
  return names;
}

/** Letters between a handle and its own length. */
const NEXT_TO = 4;

/** Of the names beside a figure the one it goes by: "length" and "long" only where nothing says of what. */
function nameOf(all: readonly Name[], figure: Quantity): LengthOf | null {
  const { value } = figure;
  // a handle of walnut further on in the sentence is not what is measured
  const names = all.filter((name) => name.of !== 'handle' || gapOf(name, figure) <= NEXT_TO);
  const of = (names.find((name) => name.of !== 'length') ?? names[0])?.of ?? null;
  const parts = names.map((name) => name.of);
  // a spine is measured at the heel; a heel stands higher than any spine is thick
  if (parts.includes('spine') && parts.includes('heel')) return value < 10 ? 'spine' : 'heel';
  if (of === 'heel' && value < 10) return 'spine';
  return of;
}

/**
 * What each length of a text is of, by the names beside it within the same piece: names stand before their figures or behind them, as the piece begins.
 * A piece with only a name belongs to the figure that comes next.
 *
 * "Total length 33 cm, blade 20 cm" gives an overall length and a blade's.
 */
export function lengthsSaid(text: string, figures: readonly Quantity[]): NamedLength[] {
  let waiting: Name[] = [];
  const named = piecesOf(text, figures).flatMap(({ from, to }) => {
    const lengths = figures.filter((f) => f.measure === 'length' && f.from >= from && f.from < to);
    const hidden = text.slice(from, to).split('');
    for (const f of figures) if (f.from >= from && f.from < to) hidden.fill('0', f.from - from, f.to - from);
    const names = namesIn(hidden.join(''), from);
    if (lengths.length === 0) {
      waiting = figures.some((f) => f.from >= from && f.from < to) ? [] : names;
      return [];
    }
    const items: Item[] = [...(names.length === 0 ? waiting : []), ...names, ...lengths].sort(
      (a, b) => a.from - b.from,
    );
    waiting = [];
    return multiplied(namedIn(items, lengths), text);
  });
  return inOneSystem(named);
}

/** Lengths multiplied into one another that no name goes with are the edge, its height and its thickness: "210 x 46 x 2.1 mm". */
function multiplied(lengths: readonly NamedLength[], text: string): NamedLength[] {
  let nth = 0;
  return lengths.map((each, i) => {
    const last = lengths[i - 1];
    nth = last && /^\s*[x×]\s*$/.test(text.slice(last.figure.to, each.figure.from)) ? nth + 1 : 0;
    return nth > 0 && each.of === null ? { ...each, of: nth === 1 ? 'heel' : 'spine' } : each;
  });
}

/** The same length once more in inches, elsewhere on the label, is set aside; its name stays. */
function inOneSystem(lengths: readonly NamedLength[]): NamedLength[] {
  const isAgain = (inches: NamedLength, metric: NamedLength) =>
    metric.figure.metric &&
    !inches.figure.metric &&
    Math.abs(metric.figure.value / inches.figure.value - 1) < ALIKE &&
    (metric.of === null || inches.of === null || metric.of === inches.of);
  return lengths.flatMap((each) => {
    if (!each.figure.metric) return lengths.some((other) => isAgain(each, other)) ? [] : [each];
    return [{ ...each, of: each.of ?? lengths.find((other) => isAgain(other, each))?.of ?? null }];
  });
}

const gapOf = (name: Name, { from, to }: Quantity) => Math.max(name.from - to, from - name.to);
/** As far away counts a figure with no name on that side, letters. */
const NO_NAME = 30;

/** How far the figures are from the names on one side of them, letters in all. */
function gapsTowards(items: readonly Item[], lengths: readonly Quantity[], step: 1 | -1): number {
  return lengths.reduce((sum, figure) => {
    const [nearest] = beside(items, items.indexOf(figure), step);
    return sum + (nearest ? gapOf(nearest, figure) : NO_NAME);
  }, 0);
}

function namedIn(items: readonly Item[], lengths: readonly Quantity[]): NamedLength[] {
  const [only] = lengths;
  if (lengths.length === 1 && only) {
    const names = items.filter(isName).sort((a, b) => gapOf(a, only) - gapOf(b, only));
    return [{ figure: only, of: nameOf(names, only) }];
  }
  const before = items[0] && isName(items[0]) ? gapsTowards(items, lengths, -1) : Infinity;
  const first = before <= gapsTowards(items, lengths, 1) ? -1 : 1;
  const taken = new Set<Name>();
  return lengths.map((figure) => {
    const at = items.indexOf(figure);
    const sides = [beside(items, at, first), beside(items, at, -first as 1 | -1)].map((names) =>
      names.filter((name) => !taken.has(name)),
    );
    const exact = sides.find((names) => names.some((name) => name.of !== 'length')) ?? sides[0] ?? [];
    exact.forEach((name) => taken.add(name));
    return { figure, of: nameOf(exact, figure) };
  });
}
