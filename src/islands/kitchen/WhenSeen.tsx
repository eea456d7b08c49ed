import { useIntersection } from '@mantine/hooks';
import { useState, type ReactNode } from 'react';

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
  const { ref, entry } = useIntersection({ rootMargin: '60px' });
  const [seen, setSeen] = useState(false);
  if (!seen && ready && entry?.isIntersecting) setSeen(true);
  return (
    <section ref={ref} aria-label={label} data-held style={{ minHeight: least }}>
      {seen && children}
    </section>
  );
}
