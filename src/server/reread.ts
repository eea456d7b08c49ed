/**
 * Reads something that seldom changes and remembers it for a while; a failure is not remembered. Whoever asks meanwhile gets the same object.
 */
export function reread<T>(everyMs: number, read: () => Promise<T>): () => Promise<T> {
  let last: { at: number; value: Promise<T> } | null = null;
  return () => {
    const now = Date.now();
    if (last && now - last.at <= everyMs) return last.value;
    const next = { at: now, value: read() };
    last = next;
    next.value.catch(() => {
      if (last === next) last = null;
    });
    return next.value;
  };
}
