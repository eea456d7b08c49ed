import type { ReactNode } from 'react';
import css from './SubMast.module.css';

/** A view beside others of the same stage of the work: its address behind the kitchen's, and its name. */
export interface Way {
  path: string;
  name: string;
}

/** The head of a view that has others beside it: the way to them, the title and what it is good for. */
export function SubMast({
  id,
  label,
  ways,
  here,
  title,
  children,
}: {
  /** The kitchen's id. */
  id: string;
  /** What the ways have in common. */
  label: string;
  ways: readonly Way[];
  /** Path of this one. */
  here: string;
  title: string;
  children: string;
}) {
  return (
    <header className={css.head}>
      <nav aria-label={label} className={css.ways} data-bar>
        {ways.map(({ path, name }) => (
          <a key={path} href={`/kitchens/${id}/${path}`} aria-current={path === here ? 'page' : undefined}>
            {name}
          </a>
        ))}
      </nav>
      <h1>{title}</h1>
      <p className="faded">{children}</p>
    </header>
  );
}

/** The page of such a view. */
export const SubPage = ({ children }: { children: ReactNode }) => (
  <main id="main" className={css.page}>
    {children}
  </main>
);
