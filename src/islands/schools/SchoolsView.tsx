import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import { SCHOOL_IDS } from '../../core/formats/kitchenWords';
import type { SchoolView } from '../../workers/argue';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import { MiniRoll } from '../shared/MiniRoll';
import { useCatalogue } from '../shared/useCatalogue';
import type { KitchenEdits, QuestionProps } from '../shared/useKitchen';
import { Working, WorkingRoom } from '../shared/Working';
import { money, percent, taskName } from '../shared/words';
import { DISAGREEMENTS, isTaken, takeSide } from './disagreements';
import css from './SchoolsView.module.css';
import { type Sets, useSchools } from './useSchools';

/** Every school of thought on this kitchen, side by side, and the standing disagreements as settings. */
export default function SchoolsView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="schools">
      {(edits, worker) => <Schools edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function Schools({ edits: { kitchen, update }, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { catalogue, trouble: noCatalogue } = useCatalogue(worker);
  const { schools, sets, done, trouble: failed } = useSchools(kitchen, worker, catalogue !== null);
  const trouble = noCatalogue ?? failed;
  const taken = kitchen.limits?.school ?? 'free';
  return (
    <main id="main" className={css.page}>
      <h1>Schools of thought</h1>
      <p className={css.lead}>
        People who know the work disagree. Each school’s rule is run here on your own cutting, hand, board and money;
        read what its supporters hold beside what it comes to for you.
      </p>
      {trouble && <p role="alert">{trouble}</p>}
      <WorkingRoom>
        {done !== null && !trouble && (
          <Working share={done / SCHOOL_IDS.length} onStop={() => void worker.stop()}>
            {`${done} of ${SCHOOL_IDS.length} schools asked`}
          </Working>
        )}
      </WorkingRoom>
      <ul className={css.schools}>
        {catalogue &&
          schools.map((school) => (
            <School
              key={school.id}
              school={school}
              catalogue={catalogue}
              taken={school.id === taken}
              onTake={() => update((k) => ({ ...k, limits: { ...k.limits, school: school.id } }))}
            />
          ))}
        {done !== null &&
          SCHOOL_IDS.slice(schools.length).map((place) => (
            <li key={`place of ${place}`} className={css.waiting} aria-hidden="true" />
          ))}
      </ul>
      <Disagreements kitchen={kitchen} update={update} />
      <SetsAgainstSingles sets={sets} currency={kitchen.currency ?? 'EUR'} />
    </main>
  );
}

function Disagreements({ kitchen, update }: QuestionProps) {
  return (
    <section className={css.part} aria-labelledby="disagreements">
      <h2 id="disagreements">Disagreements</h2>
      <p>Pick a side, or let the numbers decide. Your plan follows what you pick.</p>
      <ul className={css.disagreements}>
        {DISAGREEMENTS.map((each) => (
          <li key={each.question}>
            <h3>{each.question}</h3>
            <div className={css.sides} role="group" aria-label={each.question}>
              {each.sides.map((side) => (
                <button
                  key={side.name}
                  type="button"
                  className={css.side}
                  aria-pressed={isTaken(side, kitchen)}
                  disabled={!side.set && !side.never}
                  onClick={() => update((k) => takeSide(each, side, k))}
                >
                  <b>{side.name}</b>
                  <span>{side.holds}</span>
                </button>
              ))}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function SetsAgainstSingles({ sets, currency }: { sets: Sets; currency: string }) {
  return (
    <section className={css.part} aria-labelledby="sets">
      <h2 id="sets">Sets against singles</h2>
      <p>A set is worth it only if it costs less than buying the pieces you need one by one.</p>
      <div className={css.scroll} tabIndex={0} role="region" aria-label="Sets against singles">
        <table className={css.boxes}>
          <thead>
            <tr>
              <th scope="col">Set</th>
              <th scope="col">Price</th>
              <th scope="col">Wanted of it</th>
              <th scope="col">Those singly</th>
              <th scope="col">Would lie idle</th>
              <th scope="col">Verdict</th>
            </tr>
          </thead>
          <tbody>
            {sets.map((box) => (
              <tr key={box.id}>
                <th scope="row">
                  {box.name}, {box.maker}
                </th>
                <td className="figure">{money(box.price, currency)}</td>
                <td>{box.wanted.join(', ') || 'nothing'}</td>
                <td className="figure">{money(box.wantedPrice, currency)}</td>
                <td>{box.idle.join(', ') || 'nothing'}</td>
                <td>{box.wins ? <b>the set wins</b> : 'singles win'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function School({
  school: { name, rule, holds, plan, owned },
  catalogue,
  taken,
  onTake,
}: {
  school: SchoolView;
  catalogue: Map<string, BladeModel>;
  taken: boolean;
  onTake: () => void;
}) {
  const struggling = plan.unserved.slice(0, 3).map(({ task }) => taskName(task).toLowerCase());
  return (
    <li className={css.school} data-taken={taken || undefined}>
      <h2>{name}</h2>
      <p className="faded">{rule}</p>
      <MiniRoll plan={plan} owned={owned} catalogue={catalogue} />
      <dl className={css.figures}>
        <div>
          <dt>Done well</dt>
          <dd className="figure">{percent(plan.coverage.all)}</dd>
        </div>
        <div>
          <dt>Price</dt>
          <dd className="figure">{money(plan.spent, plan.currency)}</dd>
        </div>
        <div>
          <dt>A year</dt>
          <dd className="figure">{money(Math.round(plan.costPerYear), plan.currency)}</dd>
        </div>
      </dl>
      {plan.warnings
        .filter((warning) => warning.includes('asked for'))
        .map((warning) => (
          <p key={warning} className={css.struggles}>
            {warning}
          </p>
        ))}
      <p className={css.struggles}>
        {struggling.length > 0
          ? `Struggles: ${struggling.join(', ')}${plan.unserved.length > 3 ? ` and ${plan.unserved.length - 3} more` : ''}.`
          : 'Nothing struggles.'}
      </p>
      <p>{holds}</p>
      {taken ? (
        <p className={css.yours}>Your plan follows this.</p>
      ) : (
        <Button size="xs" variant="default" onClick={onTake} aria-label={`Plan by this: ${name}`}>
          Plan by this
        </Button>
      )}
    </li>
  );
}
