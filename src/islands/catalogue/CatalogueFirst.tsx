import PlainMast from '../shared/PlainMast';
import css from './CatalogueView.module.css';

/** What the server shows of the page before the lists are there. */
export const CatalogueFirst = () => (
  <div data-first>
    <PlainMast />
    <main id="main" className={css.page}>
      <header className={css.intro}>
        <h1>All knives</h1>
        <p>
          The knives that come with Scabbard are invented examples; no shop sells them. Import the price list of a shop
          near you to plan with knives you can buy. Only you see it.
        </p>
      </header>
    </main>
  </div>
);
