import { memo, useEffect, useState, type ComponentType, type ReactNode } from 'react';

/**
 * A part of a page whose code comes when it is first shown; `waiting` stands there until then. Where it cannot be fetched, as while the server is
 * away, the rest of the page stays and the part can be tried again. It is drawn anew only for what it is given.
 */
export function lazily<P extends object>(
  fetchPart: () => Promise<{ default: ComponentType<P> }>,
  waiting: ReactNode = null,
): ComponentType<P> {
  let known: ComponentType<P> | null = null;
  function Lazily(props: P) {
    const [Part, setPart] = useState<ComponentType<P> | null>(() => known);
    const [attempt, setAttempt] = useState(0);
    const [failed, setFailed] = useState<number | null>(null);
    useEffect(() => {
      if (Part) return;
      let stale = false;
      fetchPart().then(
        ({ default: part }) => {
          known = part;
          if (!stale) setPart(() => part);
        },
        () => !stale && setFailed(attempt),
      );
      return () => {
        stale = true;
      };
    }, [Part, attempt]);
    if (Part) return <Part {...props} />;
    if (failed !== attempt) return waiting;
    return (
      <p role="alert">
        This part could not be loaded: the server does not answer. Nothing is lost.{' '}
        <button type="button" onClick={() => setAttempt(attempt + 1)}>
          Try again
        </button>
      </p>
    );
  }
  return memo(Lazily) as ComponentType<P>;
}
