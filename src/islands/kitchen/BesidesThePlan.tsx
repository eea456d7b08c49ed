import { proofWords } from './proofWords';
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

/** Sentences in the reader's unit of length, or what there is to say without any. */
function Sentences({ all, none }: { all: readonly string[]; none?: string }) {
  const { told } = useLengths();
  if (all.length === 0) return <p className="faded">{none}</p>;
  return (
    <ul className={css.list}>
      {all.map((sentence) => (
        <li key={sentence}>{told(sentence)}</li>
      ))}
    </ul>
  );
}

/** What stands beside the roll: work still badly served, cautions, the length wanted, and what was taken for granted. */
export default function BesidesThePlan({ plan }: { plan: Plan }) {
  const { range } = useLengths();
  const { unserved, tried = [], warnings, assumed, lengthWanted, proof } = plan;
  return (
    <div className={css.grid}>
      <Part title="Still badly served">
        <Unserved unserved={unserved} />
      </Part>
      {tried.length > 0 && (
        <Part title="Held and tried">
          <Sentences all={tried} />
        </Part>
      )}
      <Part title="Take care">
        <Sentences
          all={warnings}
          none="No cautions for this kitchen beyond the usual: keep it keen, cut away from the hand."
        />
      </Part>
      <Part title={`Length wanted: ${range(lengthWanted.fromMm, lengthWanted.toMm)}`}>
        <Sentences all={lengthWanted.why} />
      </Part>
      <Part title="Assumed until you say otherwise">
        <Sentences all={assumed} none="Nothing: you have answered everything." />
        <p className="faded">Minutes, prices a year and lengths are estimates. {proofWords(proof)}</p>
      </Part>
    </div>
  );
}

function Unserved({ unserved }: Pick<Plan, 'unserved'>) {
  const { told } = useLengths();
  if (unserved.length === 0) return <p className="faded">Nothing: every task you do is at least managed.</p>;
  return (
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
  );
}
