import PlainMast from '../shared/PlainMast';
import { ScoreIntro } from './ScoreIntro';
import css from './ScoreView.module.css';

/** What the server shows of the page before its curves are drawn. */
export function ScoreFirst() {
  return (
    <div data-first>
      <PlainMast />
      <main id="main" className={css.page}>
        <ScoreIntro />
      </main>
    </div>
  );
}
