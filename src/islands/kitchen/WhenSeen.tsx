import { useEffect, useRef, useState, type ReactNode } from 'react';

/** Holds its content back until it comes near the window, so that a page need not load what nobody scrolls to. */
export function WhenSeen({
  label,
  least,
  ready,
  children,
}: {
  label: string;
  least: number;
  /** Whether what stands above has found its place. */
  ready: boolean;
  children: ReactNode;
}) {
  const place = useRef<HTMLElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    if (!place.current || seen || !ready) return;
    const watch = new IntersectionObserver(
      (entries) => {
        if (entries.some((entry) => entry.isIntersecting)) setSeen(true);
      },
      { rootMargin: '60px' },
    );
    watch.observe(place.current);
    return () => watch.disconnect();
  }, [seen, ready]);
  return (
    <section ref={place} aria-label={label} style={{ minHeight: least }}>
      {seen && children}
    </section>
  );
}
