import type { ReactNode } from 'react';
import type { Plan } from '../../core/formats/planFile';
import css from './BesidesThePlan.module.css';
import { minutes, taskName } from '../shared/words';
import { useLengths } from '../shared/units';

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className={css.part}>
      <h2>{title}</h2>
      {children}
    </section>
  );
}

/** What stands beside the roll: work still badly served, cautions, the length wanted, and what was taken for granted. */
export default function BesidesThePlan({ plan }: { plan: Plan }) {
  const { range, told } = useLengths();
  const { unserved, tried = [], warnings, assumed, lengthWanted, proof } = plan;
  return (
    <div className={css.grid}>
      <Part title="Still badly served">
        {unserved.length === 0 ? (
          <p className="faded">Nothing: every task you do is at least managed.</p>
        ) : (
          <ul className={css.tasks}>
            {unserved.map(({ task, minutesPerWeek, why }) => (
              <li key={task}>
                <span>
                  <b>{taskName(task)}</b> <span className="faded figure">{minutes(minutesPerWeek)} min a week</span>
                </span>
                <span>{told(why)}</span>
              </li>
            ))}
          </ul>
        )}
      </Part>
      {tried.length > 0 && (
        <Part title="Held and tried">
          <ul className={css.list}>
            {tried.map((sentence) => (
              <li key={sentence}>{told(sentence)}</li>
            ))}
          </ul>
        </Part>
      )}
      <Part title="Take care">
        {warnings.length === 0 ? (
          <p className="faded">No cautions for this kitchen beyond the usual: keep it keen, cut away from the hand.</p>
        ) : (
          <ul className={css.list}>
            {warnings.map((warning) => (
              <li key={warning}>{told(warning)}</li>
            ))}
          </ul>
        )}
      </Part>
      <Part title={`Length wanted: ${range(lengthWanted.fromMm, lengthWanted.toMm)}`}>
        <ul className={css.list}>
          {lengthWanted.why.map((reason) => (
            <li key={reason}>{told(reason)}</li>
          ))}
        </ul>
      </Part>
      <Part title="Assumed until you say otherwise">
        {assumed.length === 0 ? (
          <p className="faded">Nothing: you have answered everything.</p>
        ) : (
          <ul className={css.list}>
            {assumed.map((sentence) => (
              <li key={sentence}>{told(sentence)}</li>
            ))}
          </ul>
        )}
        <p className="faded">
          Minutes, prices a year and lengths are estimates.{' '}
          {proof.gap === null
            ? 'Whether more can be had for this money is still being worked out.'
            : proof.best
              ? 'Proven: no kit within these limits is worth more here, price and keeping counted.'
              : `No kit within these limits is worth more than ${(proof.gap * 100).toFixed(1)} points beyond this one.`}
        </p>
      </Part>
    </div>
  );
}
