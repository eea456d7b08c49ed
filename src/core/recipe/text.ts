/** Lower case without accents, curly quotes straightened. */
export function plain(text: string): string {
  return text.normalize('NFD').replace(/\p{M}/gu, '').replace(/[’‘]/g, "'").toLowerCase();
}

/**
 * A word in the singular, by the ordinary endings of English, with a last y written i ("chilly", "berri"): what matters is that both
 * sides of a comparison are treated alike.
 */
export function singular(word: string): string {
  if (word.length <= 3 || /(ss|us|is)$/.test(word)) return word;
  if (/ies$/.test(word)) return word.replace(/es$/, '');
  if (/(leaves|loaves|halves|calves|knives)$/.test(word)) return word.replace(/ves$/, 'f');
  if (/oes$/.test(word) || /(ch|sh|x|ss|z)es$/.test(word)) return word.replace(/es$/, '');
  return word.replace(/s$/, '').replace(/y$/, 'i');
}

/** The plain singular words of a text. Hyphens part words; apostrophes stay. */
export function tokens(text: string): string[] {
  return (plain(text).match(/[a-z'&]+/g) ?? []).map(singular);
}
