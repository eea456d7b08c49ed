import { amountIn, currencyIn } from './amounts';

/** What is measured: a length in mm, a weight in g, an angle in degrees, a hardness in HRC, an amount of money. */
export type Measure = 'length' | 'weight' | 'angle' | 'hardness' | 'money';

/** A number with its unit in a text: a range is its middle. `from` and `to` are its place in the text. */
export interface Quantity {
  measure: Measure;
  value: number;
  from: number;
  to: number;
  metric: boolean;
  /** Of an amount of money: the currency that stands beside it. */
  currency: string | null;
}

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const RANGE = String.raw`(${NUMBER})(?:\s?(-|–|—|to|bis|±|\+/-)\s?(${NUMBER}))?`;

interface Unit {
  measure: Measure;
  unit: string;
  /** What one of it is, in the unit of its measure. */
  is: number;
  metric?: boolean;
}
/** What makes an inch of the word "in": not the stock or the box something lies in. */
const NOT_WITHIN = String.raw`(?!\s+(?:stock|the|an?|one|total|your|our|all|stores?|box|this|two|three)\b)`;
const UNITS: readonly Unit[] = [
  { measure: 'hardness', unit: String.raw`°?\s?(?:HRC|Rockwell)`, is: 1 },
  { measure: 'length', unit: String.raw`-?(?:mm\b|millimet(?:er|re)s?\b)`, is: 1 },
  { measure: 'length', unit: String.raw`-?(?:cm\b|[cz]entimet(?:er|re)s?\b)`, is: 10 },
  {
    measure: 'length',
    unit: String.raw`(?:"|”|″|'')|-?inch(?:es)?\b|-?in\b${NOT_WITHIN}|-?zoll\b`,
    is: 25.4,
    metric: false,
  },
  { measure: 'weight', unit: String.raw`(?:kg\b|kilo(?:gram)?(?:me)?s?\b|kilogramm\b)`, is: 1000 },
  { measure: 'weight', unit: String.raw`-?(?:g\b|gr\b|gram(?:me)?s?\b|gramm\b)`, is: 1 },
  { measure: 'weight', unit: String.raw`-?(?:oz\b|ounces?\b|unzen?\b)`, is: 28.35, metric: false },
  { measure: 'weight', unit: String.raw`(?:lbs?\b|pfund\b)`, is: 453.6, metric: false },
  { measure: 'angle', unit: String.raw`(?:°(?!\s?[CF]\b)|-?degrees?\b|deg\b|grad\b)`, is: 1 },
];
const HARDNESS_FIRST = String.raw`(?:HRC|Rockwell|hardness|Härte)[^\d\n]{0,14}${RANGE}`;
const SIGN = String.raw`(?:€|£|¥|US\$|C\$|A\$|\$|\b(?:EUR|GBP|USD|CHF|SEK|NOK|DKK|PLN|CZK|CAD|AUD|JPY)\b)`;
const AMOUNT = String.raw`\d{1,3}(?:[.,’' ]\d{3})+(?:[.,]\d{1,2})?|\d+(?:[.,]\d{1,2})?`;
const MONEY = [
  String.raw`${SIGN}\s?(${AMOUNT})(?:[.,][-–—]+)?(?![.,]?\d)`,
  String.raw`(?<![\d.,])(${AMOUNT})(?:[.,][-–—]+)?\s?(?:${SIGN}|euros?\b|Fr\.|kr\b|zł|Kč)`,
  String.raw`(?<![\d.,])(${AMOUNT})[.,][-–—]+`,
  String.raw`(?<=\b(?:price|preis|now|nur|jetzt|only)\b:?\s{0,2})(${AMOUNT})(?:[.,][-–—]+)?(?![\d.,]*\s?(?:mm|cm|g\b|%|°|in))`,
];

const asNumber = (text: string | undefined) => Number((text ?? '').replace(',', '.'));

/** Fractions as decimals: 8½ and 8 1/2 are 8.5. */
const FRACTIONS: Record<string, number> = {
  '½': 0.5,
  '¼': 0.25,
  '¾': 0.75,
  '⅛': 0.125,
  '⅜': 0.375,
  '⅝': 0.625,
  '⅞': 0.875,
  '⅓': 0.333,
  '⅔': 0.667,
};
const decimals = (text: string): string =>
  text
    .replace(/(\d*)\s?([½¼¾⅛⅜⅝⅞⅓⅔])/gu, (_, whole: string, part: string) =>
      String(Number(whole || 0) + (FRACTIONS[part] ?? 0)),
    )
    .replace(/\b(\d{1,2})[ -](\d)\/(\d{1,2})(?=\s?(?:"|”|″|-?in))/g, (_, whole: string, top: string, bottom: string) =>
      String(Number(whole) + Number(top) / Number(bottom)),
    );

/** Measures that are multiplied into one another: "210 x 46 x 2.1 mm" has the unit once, behind. */
const spelledOut = (text: string): string =>
  text.replace(
    new RegExp(
      String.raw`(?:${NUMBER}\s?(?:mm|cm|in|")?\s?[x×]\s?){1,2}${NUMBER}\s?(mm\b|cm\b|in(?:ch(?:es)?)?\b|"|″)`,
      'gi',
    ),
    (all, unit: string) =>
      all.replace(new RegExp(String.raw`(${NUMBER})(?:\s?(?:mm|cm|in(?:ch(?:es)?)?\b|"|″))?`, 'gi'), `$1 ${unit} `),
  );

/** A label's text with fractions and units written out, as {@link quantitiesIn} reads it. */
export const tidied = (text: string): string =>
  spelledOut(
    decimals(
      text
        .normalize('NFC')
        .replace(/[\u00a0\u202f]/g, ' ')
        .replace(/:\s*\n\s*/g, ': ')
        .replace(/\+\s?\/?\s?[-–]/g, '±'),
    ),
  );

/**
 * Every number with a unit in a {@link tidied} text, in order. Two that say the same in two systems, "20 cm (8 in)", are one, in metric units.
 *
 * @example quantitiesIn('60–62 HRC')[0].value // 61
 */
export function quantitiesIn(text: string): Quantity[] {
  const found: Quantity[] = [];
  const isFree = (from: number, to: number) => found.every((other) => to <= other.from || from >= other.to);
  const add = (quantity: Quantity) => {
    if (Number.isFinite(quantity.value) && isFree(quantity.from, quantity.to)) found.push(quantity);
  };
  for (const pattern of MONEY)
    for (const match of text.matchAll(new RegExp(pattern, 'gi'))) {
      const value = amountIn(match[1] ?? '');
      const [from, to] = [match.index, match.index + match[0].length];
      if (value !== null) add({ measure: 'money', value, from, to, metric: true, currency: currencyIn(match[0]) });
    }
  const measured = (pattern: string, { measure, is, metric = true }: Omit<Unit, 'unit'>) => {
    for (const match of text.matchAll(new RegExp(pattern, 'gi'))) {
      const [all, one, sign, other] = match;
      const isMiddle = other !== undefined && !/±|\+/.test(sign ?? '');
      // nobody measures inches closer than a tenth of a millimetre
      const digits = measure === 'length' && !metric ? 10 : 100;
      const value =
        Math.round((isMiddle ? (asNumber(one) + asNumber(other)) / 2 : asNumber(one)) * is * digits) / digits;
      add({ measure, value, from: match.index, to: match.index + all.length, metric, currency: null });
    }
  };
  const [hardness, ...units] = UNITS;
  if (hardness) measured(String.raw`(?<![\d.,])${RANGE}(?:\s?±\s?\d)?\s?(?:${hardness.unit})`, hardness);
  measured(HARDNESS_FIRST, { measure: 'hardness', is: 1 });
  for (const unit of units) measured(String.raw`(?<![\d.,])${RANGE}\s?(?:${unit.unit})`, unit);
  found.sort((a, b) => a.from - b.from);
  return saidOnce(found, text);
}

/** Two measures within this share of each other in two systems say the same. */
export const ALIKE = 0.04;

function saidOnce(all: readonly Quantity[], text: string): Quantity[] {
  const kept: Quantity[] = [];
  for (const each of all) {
    const last = kept.at(-1);
    const isAgain =
      last?.measure === each.measure &&
      each.measure !== 'money' &&
      last.metric !== each.metric &&
      Math.abs(last.value / each.value - 1) < ALIKE &&
      /^\s?[([/=|~≈,]?\s?(?:ca\.?|approx\.?|or|oder)?\s?$/.test(text.slice(last.to, each.from));
    if (!isAgain) kept.push(each);
    else {
      const closed = text.charAt(each.to) === ')' || text.charAt(each.to) === ']';
      kept[kept.length - 1] = { ...(each.metric ? each : last), from: last.from, to: each.to + (closed ? 1 : 0) };
    }
  }
  return kept;
}
