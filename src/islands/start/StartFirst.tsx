import type { ReactNode } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import PlainMast from '../shared/PlainMast';
import { Hero, type Sample, Samples } from './Hero';
import type { ListedKitchen } from './KitchenList';
import css from './StartView.module.css';

/** What the server shows of the first page before its buttons answer; `children`: the kitchens of who asks. */
export const StartFirst = ({
  samples,
  shown,
  children,
}: {
  samples: readonly Sample[];
  shown: readonly BladeModel[];
  children: ReactNode;
}) => (
  <div data-first>
    <PlainMast />
    <main id="main" className={css.page}>
      <Hero shown={shown}>
        <p className={css.drop}>One moment…</p>
      </Hero>
      {children}
      <Samples samples={samples} busy />
    </main>
  </div>
);

/** The kitchens of who asks, by name. */
export const OwnKitchens = ({ kitchens }: { kitchens: readonly ListedKitchen[] }) => (
  <section aria-labelledby="mine">
    <h2 id="mine">Your kitchens</h2>
    <ul className={css.list}>
      {kitchens.map(({ id, name }) => (
        <li key={id} className={css.mine}>
          <a href={`/kitchens/${id}`}>
            <strong>{name}</strong>
          </a>
        </li>
      ))}
    </ul>
  </section>
);
