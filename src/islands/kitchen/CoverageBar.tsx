import { memo } from 'react';
import type { Plan } from '../../core/formats/planFile';
import type { Answer } from '../shared/usePlanner';
import css from './CoverageBar.module.css';
import { money, percent } from '../shared/words';

/** Coverage and money, always in view: what is done well today, after the needs, after everything, and what it costs. */
export const CoverageBar = memo(function CoverageBar({
  plan,
  budget,
  answer,
}: {
  plan: Plan;
  budget: number | null | undefined;
  answer: Answer;
}) {
  const { now, needs, all } = plan.coverage;
  const label = `Your cutting done well: ${percent(now)} with what you have, ${percent(needs)} once the needs are bought, ${percent(all)} with the whole kit.`;
  return (
    <section
      className={css.strip}
      aria-label="Coverage and money"
      data-answer-ms={answer.milliseconds.toFixed(1)}
      data-final={answer.final}
    >
      <div className={css.figure}>
        <span className={css.caption}>Your cutting done well</span>
        <span className={css.big} data-testid="coverage">
          {percent(all)}
        </span>
      </div>
      <div className={css.middle}>
        <div className={css.bar} role="img" aria-label={label}>
          <span className={css.all} style={{ width: `${all * 100}%` }} />
          <span className={css.needs} style={{ width: `${needs * 100}%` }} />
          <span className={css.now} style={{ width: `${now * 100}%` }} />
        </div>
        <p className={css.legend}>
          <span data-kind="now">
            with what you have <b className="figure">{percent(now)}</b>
          </span>
          <span data-kind="needs">
            with the needs bought <b className="figure">{percent(needs)}</b>
          </span>
          <span data-kind="all">
            with the whole kit <b className="figure">{percent(all)}</b>
          </span>
        </p>
      </div>
      <div className={css.figure}>
        <span className={css.caption}>The kit costs</span>
        <span className={css.big} data-testid="spent">
          {money(plan.spent, plan.currency)}
        </span>
        <span className={css.caption}>
          {typeof budget === 'number' && `of ${money(budget, plan.currency)}; `}about{' '}
          {money(Math.round(plan.costPerYear), plan.currency)} a year
        </span>
      </div>
    </section>
  );
});
