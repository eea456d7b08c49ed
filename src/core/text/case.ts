/** A sentence or name as it stands within another: its first letter small. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** A name as it begins a sentence: its first letter a capital. */
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A name with its article: an oyster knife, a usuba. */
export const withArticle = (name: string): string => `${/^[aeio]|^u(?!su|ti|n)/i.test(name) ? 'an' : 'a'} ${name}`;
/** "a, b and c". */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
