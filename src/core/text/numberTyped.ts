/** What a person typed into a number field: nothing, one number, a number that can be read in two ways, or something else. */
export type NumberTyped =
  | { said: 'nothing' }
  | { said: 'number'; value: number }
  | { said: 'either'; values: readonly [number, number] }
  | { said: 'else' };

/** Blanks, thin blanks and apostrophes between groups of digits, and signs of money. */
const SET_ASIDE = /['’\s\u00a0\u202f€£$¥]/gu;
const GROUPED = /^[1-9]\d{0,2}$/;

/**
 * Reads a number as people type it: decimals after a point or a comma, thousands grouped by either, by blanks or by apostrophes.
 * `decimal` is the mark this reader's language uses. A single such mark before exactly three digits can be either, so both readings come back, the
 * language's own first; where only whole numbers or bounds leave one of them, that one is the number.
 *
 * @example numberTyped('1,500', { decimal: '.' }) // { said: 'number', value: 1500 }
 * @example numberTyped('1.500', { decimal: '.' }) // { said: 'either', values: [1.5, 1500] }
 */
export function numberTyped(
  text: string,
  { decimal, whole = false, bounds }: { decimal: string; whole?: boolean; bounds?: readonly [number, number] },
): NumberTyped {
  const tight = text.replace(SET_ASIDE, '').replace(/^[−–]/u, '-');
  if (tight === '') return { said: 'nothing' };
  const [, sign = '', digits = ''] = /^([-+]?)([\d.,]*\d[\d.,]*)$/.exec(tight) ?? [];
  if (!digits) return { said: 'else' };
  const signed = (plain: string) => Number(`${sign}${plain}`);
  const marks = digits.replace(/\d/g, '');
  const last = marks.at(-1) ?? '';
  const [before, after] = [digits.slice(0, digits.lastIndexOf(last)), digits.slice(digits.lastIndexOf(last) + 1)];
  if (marks === '') return { said: 'number', value: signed(digits) };
  if (marks.length > 1) {
    const grouping = marks[0] ?? '';
    // every mark but the last, or every mark, groups digits by three
    const isGrouped = (part: string) => new RegExp(`^[1-9]\\d{0,2}(\\${grouping}\\d{3})+$`).test(part);
    if (isGrouped(digits)) return { said: 'number', value: signed(digits.split(grouping).join('')) };
    if (last !== grouping && isGrouped(before))
      return { said: 'number', value: signed(`${before.split(grouping).join('')}.${after}`) };
    return { said: 'else' };
  }
  const parted = signed(`${before || '0'}.${after}`);
  if (!GROUPED.test(before) || after.length !== 3) return { said: 'number', value: parted };
  const joined = signed(before + after);
  if (whole || last !== decimal) return { said: 'number', value: joined };
  const [low, high] = bounds ?? [-Infinity, Infinity];
  const [one, other] = [parted, joined].filter((value) => value >= low && value <= high);
  if (one !== undefined && other !== undefined) return { said: 'either', values: [one, other] };
  return { said: 'number', value: one ?? parted };
}
