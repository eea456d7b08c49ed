import { NativeSelect } from '@mantine/core';
import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { typeNames } from '../../../data/names';
import type { StoredKitchen } from '../../client/kitchens';
import { canKeep } from '../../client/offline';
import type { StepBrief } from '../../core/formats/briefFile';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import { handTested } from '../../core/kitchen/deeds';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import { lazily } from '../shared/lazily';
import { titleOf } from '../shared/stages';
import { useAsked } from '../shared/useAsked';
import type { KitchenEdits } from '../shared/useKitchen';
import { useLengths } from '../shared/units';
import { usePlanner } from '../shared/usePlanner';
import { Working } from '../shared/Working';
import { money } from '../shared/words';
import { Brief } from './Brief';
import { OnTheShelf } from './OnTheShelf';
import css from './Shop.module.css';

const HandTest = lazily(() => import('../try/HandTest'));

/** At the counter: what the plan still needs, and any knife one sees there judged by its label. */
export default function ShopView({ stored, order }: { stored: StoredKitchen; order: number | null }) {
  return (
    <KitchenFrame stored={stored} here="shop">
      {(edits, worker) => <Shop {...{ edits, worker, order }} />}
    </KitchenFrame>
  );
}

/** Steps that buy a knife; of a model bought twice the first. */
const buysOf = ({ steps }: Plan): PlanStep[] =>
  steps.filter(({ action, model }, at) => action === 'buy' && steps.findIndex((each) => each.model === model) === at);

const nameOf = ({ type, lengthMm }: PlanStep, length: (mm: number) => string) =>
  `${typeNames.get(type ?? '') ?? 'Knife'}${lengthMm === null ? '' : `, ${length(lengthMm)}`}`;

interface Props {
  edits: KitchenEdits;
  worker: Remote<KitchenWorker>;
  /** The step one came for. */
  order: number | null;
}

function Shop({ edits: { kitchen, update }, worker, order }: Props) {
  const { answer, catalogue, trouble, reload } = usePlanner(kitchen, worker, { robustness: false });
  const [chosen, setChosen] = useState(order);
  const [holding, setHolding] = useState<number | null>(null);
  const buys = answer ? buysOf(answer.plan) : [];
  const step = buys.find((each) => each.order === chosen) ?? buys[0] ?? null;
  const { brief, trouble: noBrief, askAgain } = useBrief(answer?.final ? answer.plan : null, step, worker);
  const held = holding === null ? undefined : kitchen.trials?.hand?.[holding];
  if (answer && held && holding !== null)
    return (
      <main id="main" className={css.held}>
        <HandTest
          {...{ kitchen, catalogue, worker, answer }}
          test={held}
          onChange={(next) => update((file) => handTested(file, holding, next))}
          onLeave={() => setHolding(null)}
        />
      </main>
    );
  return (
    <main id="main" className={css.page}>
      <header className={css.head}>
        <h1>{titleOf('shop')}</h1>
        {(trouble ?? noBrief) && <p role="alert">{trouble ?? noBrief}</p>}
        {!answer && !trouble && <Working>Looking up what you still need</Working>}
        {!canKeep() && (
          <p className="faded">
            This page needs a network: it is not served over a secure connection (https), so it cannot be kept on this
            device.
          </p>
        )}
      </header>
      {answer && (
        <>
          <section className={css.want} aria-labelledby="want">
            <h2 id="want">{step ? 'You came for' : 'Nothing to buy'}</h2>
            {step ? (
              <Wanted
                {...{ buys, step, brief }}
                pick={catalogue.get(step.model ?? '')}
                currency={answer.plan.currency}
                onChoose={setChosen}
              />
            ) : (
              <p>Your plan buys no knife at the moment. Any knife you see here can still be judged.</p>
            )}
          </section>
          <OnTheShelf
            plan={answer.plan}
            {...{ step, brief, worker, catalogue, kitchen, update }}
            ready={answer.final}
            onCatalogue={reload}
            onJudged={askAgain}
            onHold={setHolding}
          />
        </>
      )}
    </main>
  );
}

/** The brief of a step once the plan is proven; asked again where another question came between. */
function useBrief(plan: Plan | null, step: PlanStep | null, worker: Remote<KitchenWorker>) {
  const order = step?.order ?? null;
  const [round, setRound] = useState(0);
  const ask = useCallback(
    async () => (plan && order !== null ? worker.brief(plan, order) : null),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a new round is a new question
    [plan, order, worker, round],
  );
  const { found, trouble } = useAsked(plan && order !== null ? ask : null);
  const brief = found?.order === order ? found : null;
  const askAgain = useCallback(() => {
    if (!brief) setRound((now) => now + 1);
  }, [brief]);
  return { brief, trouble, askAgain };
}

/** What the plan still needs: which of it, and what to look for. */
function Wanted({
  buys,
  step,
  brief,
  pick,
  currency,
  onChoose,
}: {
  buys: readonly PlanStep[];
  step: PlanStep;
  brief: StepBrief | null;
  pick: Parameters<typeof Brief>[0]['pick'];
  currency: string;
  onChoose: (order: number) => void;
}) {
  const { length, told } = useLengths();
  return (
    <>
      {buys.length > 1 ? (
        <NativeSelect
          aria-label="Which knife you came for"
          value={String(step.order)}
          data={buys.map((each) => ({ value: String(each.order), label: nameOf(each, length) }))}
          onChange={(e) => onChoose(Number(e.currentTarget.value))}
        />
      ) : (
        <p className={css.next}>{nameOf(step, length)}</p>
      )}
      {brief ? (
        <>
          <p>
            <span className="figure">{told(`${brief.ranges.lengthMm.join('–')} mm`)}</span>, up to{' '}
            <b className="figure">{money(brief.priceUpTo, currency)}</b>
          </p>
          <details>
            <summary>What to look for and what to ask</summary>
            <Brief brief={brief} pick={pick} currency={currency} />
          </details>
        </>
      ) : (
        <Working>Working out which lengths and prices are right</Working>
      )}
    </>
  );
}
