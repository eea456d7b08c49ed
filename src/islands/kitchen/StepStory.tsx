import type { Remote } from 'comlink';
import { Button } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import type { Explanation } from '../../core/fit/explain';
import { MOST } from '../../core/formats/kitchenBounds';
import { scoreWord } from '../../core/fit/words';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { bought, demanded, excluded, givenAway, putRight, served, swapped } from '../../core/kitchen/changes';
import type { Update } from '../shared/useKitchen';
import type { Sure } from '../shared/usePlanner';
import { lazily } from '../shared/lazily';
import { SeeTheCut } from '../cut/SeeTheCut';
import { ScoreParts } from '../shared/ScoreParts';
import css from './StepStory.module.css';
import { minutes, money, taskName, typeName } from '../shared/words';
import { useLengths } from '../shared/units';
import { figure } from '../../core/text/figure';

const InAnyShop = lazily(() => import('./InAnyShop'));

interface Props {
  step: PlanStep;
  sure: Sure | null;
  currency: string;
  catalogue: Map<string, BladeModel>;
  worker: Remote<KitchenWorker>;
  plan: Plan;
  /** The plan is no longer provisional. */
  ready: boolean;
  update: Update;
  /** The list of owned knives has no room for another. */
  isDrawerFull: boolean;
  /** The catalogue has changed. */
  /** The kitchen’s page for the counter. */
  shop: string;
  /** Told what is about to be done, so that the kitchen as it was is kept. */
  onDone: (name: string) => void;
  onClose: () => void;
}

function Surety({ sure, at }: { sure: Sure | null; at: number }) {
  const step = sure?.steps[at];
  if (!sure || !step) return <p className="faded">Checking how sure this step is…</p>;
  return (
    <p>
      {step.words.join(' ')}
      {sure.done < sure.of && (
        <span className="faded">
          {' '}
          ({sure.done} of {sure.of} plans tried)
        </span>
      )}
    </p>
  );
}

const DONE: Record<PlanStep['action'], string> = {
  buy: 'I bought it',
  tool: 'I got it',
  sharpen: 'It is sharp now',
  repair: 'It is put right',
  service: 'It is arranged',
  retire: 'I gave it away',
};

const BEFORE: Record<PlanStep['action'], string> = {
  buy: 'bought',
  tool: 'got',
  sharpen: 'sharpened',
  repair: 'repaired',
  service: 'arranged',
  retire: 'gave away',
};

/** The day here, as YYYY-MM-DD. */
const today = () => new Date().toLocaleDateString('sv-SE');

/** What can be done with a step: carried out, demanded, or kept out of the plan. */
function Actions({
  step,
  update,
  isDrawerFull,
  onDone,
  onClose,
}: Pick<Props, 'step' | 'update' | 'isDrawerFull' | 'onDone' | 'onClose'>) {
  const hasNoRoom = step.action === 'buy' && isDrawerFull;
  const { action, owned, model, type } = step;
  const done = () => {
    onClose();
    onDone(`Before: ${BEFORE[action]} ${step.name}`.slice(0, 80));
    update((k) => {
      if (action === 'retire') return owned === undefined ? k : givenAway(k, owned);
      if (action === 'service') return served(k);
      return action === 'sharpen' || action === 'repair' ? putRight(k, step, today()) : bought(k, step, today());
    });
  };
  const id = action === 'buy' ? model : action === 'tool' ? type : null;
  return (
    <div className={css.actions}>
      <Button size="xs" disabled={hasNoRoom} onClick={done}>
        {DONE[action]}
      </Button>
      {hasNoRoom && <p>Your drawer lists {MOST.owned} knives, the most it holds. Take one out first.</p>}
      {action === 'buy' && model && (
        <Button size="xs" variant="default" onClick={() => update((k) => demanded(k, model))}>
          Must have
        </Button>
      )}
      {id && (
        <Button
          size="xs"
          variant="default"
          onClick={() => {
            onClose();
            update((k) => excluded(k, id));
          }}
        >
          Not this one
        </Button>
      )}
      {action === 'buy' && type && (
        <Button
          size="xs"
          variant="default"
          onClick={() => {
            onClose();
            update((k) => excluded(k, type));
          }}
        >
          No {typeName(type).toLowerCase()} at all
        </Button>
      )}
    </div>
  );
}

/** The step's knife in figures, as far as they are known. */
function Figures({ step, currency }: Pick<Props, 'step' | 'currency'>) {
  const { length } = useLengths();
  return (
    <dl className={css.figures}>
      {[
        ['Edge', step.lengthMm && length(step.lengthMm)],
        ['Heel', step.heelHeightMm && length(step.heelHeightMm)],
        ['Weight', step.weightG && `${figure(step.weightG)} g`],
        ['Hardness', step.hrc && `${figure(step.hrc)} HRC`],
        ['Bevel', step.bevel],
        ['A year', step.costPerYear > 0 && money(step.costPerYear, currency)],
        ['Average keenness', step.edge && `${Math.round(step.edge.averageKeenness * 100)} of 100`],
        [
          'Sharpen every',
          step.edge?.sharpenEveryWeeks && `${Math.max(1, Math.round(step.edge.sharpenEveryWeeks))} weeks`,
        ],
        ['Hone every', step.edge?.honeEveryDays && `${step.edge.honeEveryDays} days`],
        ['Ground to', step.edge && step.type && step.action === 'buy' && `${figure(step.edge.angleDeg)}° a side`],
      ].map(([name, value]) =>
        value ? (
          <div key={String(name)}>
            <dt>{name}</dt>
            <dd className="figure">{value}</dd>
          </div>
        ) : null,
      )}
    </dl>
  );
}

/** What comes close, and what is given up with it. */
function RunnersUp({ step, currency, catalogue, update }: Pick<Props, 'step' | 'currency' | 'catalogue' | 'update'>) {
  return (
    <>
      <h3>Runners-up</h3>
      <ul className={css.runners}>
        {step.runnersUp.map(({ model, costsCoverage, price }) => {
          const other = catalogue.get(model);
          return (
            <li key={model}>
              <span>
                {other ? `${other.name}, ${other.maker}` : model} at <b className="figure">{money(price, currency)}</b>
              </span>
              <span className="faded">
                {costsCoverage <= 0 ? 'as good' : `${(costsCoverage * 100).toFixed(1)} points less`}
              </span>
              <Button
                size="compact-sm"
                variant="default"
                aria-label={`Take it: ${other?.name ?? model}`}
                onClick={() => update((k) => swapped(k, step.model ?? '', model))}
              >
                Take it
              </Button>
            </li>
          );
        })}
      </ul>
    </>
  );
}

/** The tasks that go to it, each opening into the parts of its score. */
function TakesOver({ step, worker }: Pick<Props, 'step' | 'worker'>) {
  const [task, setTask] = useState<string | null>(null);
  const [parts, setParts] = useState<Explanation | null>(null);
  const show = async (id: string) => {
    if (task === id) {
      setTask(null);
      return;
    }
    setTask(id);
    setParts(null);
    setParts(await worker.explain(target, id));
  };
  const target = step.owned !== undefined ? { owned: step.owned } : { model: step.model ?? '' };
  const canExplain = step.action !== 'tool';

  return (
    <div>
      <h3>Takes over</h3>
      <ul className={css.tasks}>
        {step.takesOver.map((over) => (
          <li key={over.task}>
            <button
              type="button"
              className={css.task}
              disabled={!canExplain}
              aria-expanded={canExplain ? task === over.task : undefined}
              onClick={() => void show(over.task)}
            >
              <span>{taskName(over.task)}</span>
              <span className="faded figure">{minutes(over.minutesPerWeek)} min</span>
              <span className={css.score}>
                <b className="figure">{over.score}</b> {scoreWord(over.score, null)}
                {over.measured && ', measured'}
              </span>
            </button>
            {task === over.task &&
              (parts ? (
                <>
                  <ScoreParts explanation={parts} />
                  {parts.veto === null && <SeeTheCut worker={worker} targets={[target]} task={over.task} />}
                </>
              ) : (
                <p className="faded">Working it out…</p>
              ))}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** One step opened: why it is there, the tasks it takes over with the parts of each score, how sure it is, and what comes close. */
export default function StepStory({
  step,
  sure,
  currency,
  catalogue,
  worker,
  plan,
  ready,
  update,
  isDrawerFull,
  shop,
  onDone,
  onClose,
}: Props) {
  const { told } = useLengths();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus({ preventScroll: true }), []);

  return (
    <section className={css.story} aria-labelledby="story">
      <div className={css.head}>
        <h2 id="story" tabIndex={-1} ref={heading}>
          {step.order}. {step.name}
          {step.maker ? `, ${step.maker}` : ''}
        </h2>
        <button type="button" className={css.close} onClick={onClose}>
          Close
        </button>
      </div>
      <Actions {...{ step, update, isDrawerFull, onDone, onClose }} />
      <div className={css.columns}>
        <div className={css.why}>
          <ul className={css.reasons}>
            {step.because.map((sentence) => (
              <li key={sentence}>{told(sentence)}</li>
            ))}
          </ul>
          {step.lengthMm !== null && <Figures step={step} currency={currency} />}
          {step.action !== 'retire' && step.action !== 'service' && !step.upkeep && (
            <Surety sure={sure} at={step.order - 1} />
          )}
          {step.runnersUp.length > 0 && (
            <RunnersUp step={step} currency={currency} catalogue={catalogue} update={update} />
          )}
        </div>
        {step.takesOver.length > 0 && <TakesOver step={step} worker={worker} />}
      </div>
      {step.action === 'buy' && (
        <InAnyShop key={`${step.model ?? ''} ${plan.spent}`} {...{ step, plan, ready, worker, catalogue, shop }} />
      )}
    </section>
  );
}
