/** Fractions said in words, as figures. */
const SAID: readonly [RegExp, string][] = [
  [/^three[- ]quarters?(?: of)?(?: an?)? /i, '3/4 '],
  [/^(?:one|a)[- ]quarter(?: of)?(?: an?)? /i, '1/4 '],
  [/^two[- ]thirds?(?: of)?(?: an?)? /i, '2/3 '],
  [/^(?:one|a)[- ]third(?: of)?(?: an?)? /i, '1/3 '],
  [/^(?:one|a)[- ]half(?: of)?(?: an?)? /i, '1/2 '],
  [/^one[- ]and[- ]a[- ]half /i, '1 1/2 '],
  [/^two[- ]and[- ]a[- ]half /i, '2 1/2 '],
  [/^three[- ]and[- ]a[- ]half /i, '3 1/2 '],
];

/** Narrow blanks that part thousands. */
const THIN = /(\d)[\u2009\u202f\u00a0](\d{3})(?!\d)/g;

/**
 * A line with its figures in one way of writing: pictures gone, thousands joined, decimal commas as points, fractions in words as figures, and
 * the number of a numbered list taken off.
 *
 * @example plainFigures('1,5 kg potatoes') // '1.5 kg potatoes'
 */
export function plainFigures(line: string): string {
  let text = line
    .replace(THIN, '$1$2')
    .replace(/[\p{Extended_Pictographic}\u{1F3FB}-\u{1F3FF}\uFE0F\u200D\u20E3]/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  // "1. 2 onions" and "2) carrots" are numbered lists; "1.5" and "2 (400 g)" are not
  text = text.replace(/^\d{1,2}(?:\)|\.(?=\s))\s+(?=\S)/, '');
  text = text
    .replace(/(\d),(\d{3})(?!\d)/g, '$1$2')
    .replace(/(\d),(\d{1,2})(?!\d)/g, '$1.$2')
    // "1.000 g" is a thousand, as nobody weighs to the milligram
    .replace(/^(\d{1,3})\.(\d{3})(?=\s?(?:g|ml|gr)\b)/i, '$1$2');
  for (const [words, figures] of SAID) text = text.replace(words, figures);
  return text;
}
