/** A text in small letters without accents, ß as ss: what two spellings of one word have in common. */
export const folded = (text: string): string =>
  text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/ß/g, 'ss');
