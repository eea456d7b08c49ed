import css from './ScoreView.module.css';

/** What a score is. */
export function ScoreIntro() {
  return (
    <header className={css.intro}>
      <h1>How the score is made</h1>
      <p>
        A score says how well one blade does one task for one cook: 100 × the product of its parts, each from 0 to 1 and
        raised to how much it counts. A blade is scored in every way the task can be done (on the board, in a long draw,
        sawing, in the hand, with the tip, with a blow) and keeps the best. Where an edge or a person would be hurt
        there is no score but a refusal. Everything on this page is read from the constants and functions that compute
        the scores.
      </p>
    </header>
  );
}
