/**
 * A number with its noun.
 *
 * @example plural(1, 'knife', 'knives') // '1 knife'
 * @example plural(3, 'row') // '3 rows'
 */
export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
