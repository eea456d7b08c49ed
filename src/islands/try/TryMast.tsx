import type { ReactNode } from 'react';
import css from './TryMast.module.css';

/** The ways of trying a knife, in the order of the effort they ask. */
const WAYS = [
  { id: 'size', path: '', name: 'At life size' },
  { id: 'hand', path: '/hand', name: 'In the hand' },
  { id: 'feel', path: '/feel', name: 'Feel it with coins' },
  { id: 'food', path: '/food', name: 'On the food' },
  { id: 'measure', path: '/measure', name: 'Measure yours' },
  { id: 'wishes', path: '/wishes', name: 'Wish list' },
] as const;
export type WayId = (typeof WAYS)[number]['id'];

/** The head of a view of trying: the other ways, the title and what it is good for. */
export function TryMast({ id, here, title, children }: { id: string; here: WayId; title: string; children: string }) {
  return (
    <header className={css.head}>
      <nav aria-label="Ways of trying" className={css.ways} data-bar>
        {WAYS.map((way) => (
          <a key={way.id} href={`/kitchens/${id}/try${way.path}`} aria-current={way.id === here ? 'page' : undefined}>
            {way.name}
          </a>
        ))}
      </nav>
      <h1>{title}</h1>
      <p className="faded">{children}</p>
    </header>
  );
}

/** The page of a view of trying. */
export const TryPage = ({ children }: { children: ReactNode }) => (
  <main id="main" className={css.page}>
    {children}
  </main>
);
