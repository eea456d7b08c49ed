/** Signs and codes of money as lists write them. */
const MONEY: readonly [RegExp, string][] = [
  [/€|\bEUR\b|\beuros?\b/i, 'EUR'],
  [/£|\bGBP\b/i, 'GBP'],
  [/\bCHF\b|\bSFr\b/i, 'CHF'],
  [/¥|\bJPY\b|円/i, 'JPY'],
  [/\bSEK\b/i, 'SEK'],
  [/\bNOK\b/i, 'NOK'],
  [/\bDKK\b/i, 'DKK'],
  [/\bPLN\b|zł/i, 'PLN'],
  [/\bCZK\b|Kč/i, 'CZK'],
  [/\bCAD\b|C\$/i, 'CAD'],
  [/\bAUD\b|A\$/i, 'AUD'],
  [/\bUSD\b|US\$|\$/i, 'USD'],
];

/** The currency a text names; null where it names none. */
export const currencyIn = (text: string): string | null => MONEY.find(([sign]) => sign.test(text))?.[1] ?? null;

/**
 * The number in a cell as people write amounts: signs and blanks aside, decimal comma or point, thousands with either, "89,-". Where one mark stands
 * before exactly three digits it parts thousands. Null where there is no number.
 *
 * @example amountIn('€ 1.234,50') // 1234.5
 */
export function amountIn(text: string): number | null {
  const [digits] = /\d[\d.,'’\s\u00a0\u202f]*/.exec(text.replace(/[,.]\s*[-–—]+/, '')) ?? [];
  if (!digits) return null;
  const tight = digits.replace(/['’\s\u00a0\u202f]/g, '').replace(/[.,]$/, '');
  const [comma, point] = [tight.lastIndexOf(','), tight.lastIndexOf('.')];
  const last = Math.max(comma, point);
  const isThousands = (mark: string) =>
    new RegExp(`^[1-9]\\d{0,2}(\\${mark}\\d{3})+$`).test(tight) && !tight.startsWith('0');
  const plain =
    comma >= 0 && point >= 0
      ? `${tight.slice(0, last).replace(/[.,]/g, '')}.${tight.slice(last + 1)}`
      : comma >= 0
        ? isThousands(',')
          ? tight.replace(/,/g, '')
          : tight.replace(',', '.')
        : isThousands('.')
          ? tight.replace(/\./g, '')
          : tight;
  const value = Number(plain);
  return Number.isFinite(value) ? value : null;
}
