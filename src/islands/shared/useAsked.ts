import { useEffect, useState } from 'react';

/**
 * What a question to the worker comes to: the answer to the newest one, the last one standing until it is there, and why one failed. `ask` is the same
 * function for the same question; null while nothing can be asked.
 */
export function useAsked<T>(ask: (() => Promise<T | null>) | null): { found: T | null; trouble: string | null } {
  const [found, setFound] = useState<T | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    if (!ask) return;
    let current = true;
    ask().then(
      (answer) => {
        if (!current || answer === null) return;
        setFound(answer);
        setTrouble(null);
      },
      (error: unknown) =>
        current &&
        setTrouble(error instanceof Error ? error.message : 'That could not be worked out. Load the page again.'),
    );
    return () => {
      current = false;
    };
  }, [ask]);
  return { found, trouble };
}
