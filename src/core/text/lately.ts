/** A few things by their text, those met last: equal ones are the same object. */
export function lately<T>(most: number): (key: string, fresh: () => T) => T {
  const met = new Map<string, T>();
  return (key, fresh) => {
    const known = met.get(key) ?? fresh();
    met.delete(key);
    met.set(key, known);
    const [oldest] = met.keys();
    if (met.size > most && oldest !== undefined) met.delete(oldest);
    return known;
  };
}

/** The same for each of the objects they belong to, kept as long as that is. */
export function latelyOf<T>(most: number): (of: object, key: string, fresh: () => T) => T {
  const met = new WeakMap<object, ReturnType<typeof lately<T>>>();
  return (of, key, fresh) => {
    const known = met.get(of) ?? lately<T>(most);
    met.set(of, known);
    return known(key, fresh);
  };
}
