/** Longest slug, characters. */
const MOST = 60;

/**
 * A name as an id writes it: plain small letters, digits and single dashes; empty where nothing of it is left.
 *
 * @example slug('Crème brûlée, 2') // 'creme-brulee-2'
 */
export const slug = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, MOST)
    .replace(/-+$/, '');
