import type { BladeModel } from '../../core/blade/schema';
import PlainMast from '../shared/PlainMast';
import { Hero, type Sample, Samples } from './Hero';
import type { ListedKitchen } from './KitchenList';
import css from './StartView.module.css';

/** What the server shows of the first page before its buttons answer. */
export const StartFirst = ({
  samples,
  kitchens,
  shown,
}: {
  samples: Sample[];
  kitchens: ListedKitchen[];
  shown: BladeModel[];
}) => (
  <div data-first>
    <PlainMast />
    <main id="main" className={css.page}>
      <Hero shown={shown}>
        <p className={css.drop}>One moment…</p>
      </Hero>
      {kitchens.length > 0 && (
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
      )}
      <Samples samples={samples} busy />
    </main>
  </div>
);
