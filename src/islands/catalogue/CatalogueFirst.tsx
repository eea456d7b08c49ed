import PlainMast from '../shared/PlainMast';
import css from './CatalogueView.module.css';

/** What the server shows of the page before the lists are there. */
export const CatalogueFirst = () => (
  <div data-first>
    <PlainMast />
    <main id="main" className={css.page}>
      <header className={css.intro}>
        <h1>Your own models</h1>
        <p>
          Bring in a shop’s list, or describe a blade by its numbers: it is scored and drawn like any other, for this
          browser alone. The models that come with Scabbard are invented: they are examples to plan with, and no shop
          sells them.
        </p>
      </header>
    </main>
  </div>
);
