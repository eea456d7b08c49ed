/** Texts by number, below `count`: equal ones have the same; −1 for none. */
export function numbered(texts: readonly (string | null)[]): { numbers: Int32Array; count: number } {
  const known = new Map<string, number>();
  const numbers = texts.map((text) => {
    if (text === null) return -1;
    const number = known.get(text) ?? known.size;
    known.set(text, number);
    return number;
  });
  return { numbers: new Int32Array(numbers), count: known.size };
}
