import type { BladeModel } from '../blade/schema';

/** The shops' lists that models come from, by name. */
export const listsOf = (models: Iterable<Pick<BladeModel, 'list'>>): string[] =>
  [...new Set([...models].flatMap(({ list }) => list ?? []))].sort((a, b) => a.localeCompare(b));
