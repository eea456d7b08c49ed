import type { ReactNode } from 'react';
import css from './PageHead.module.css';
import { titleOf, type PagePath } from './stages';

/** The title of a page and what it is good for. */
export const PageHead = ({ here, children }: { here: PagePath; children: ReactNode }) => (
  <header className={css.head}>
    <h1>{titleOf(here)}</h1>
    <p className="faded">{children}</p>
  </header>
);

/** A page of one column. */
export const ColumnPage = ({ children }: { children: ReactNode }) => (
  <main id="main" className={css.page}>
    {children}
  </main>
);
