import { Button, SegmentedControl } from '@mantine/core';
import type { Remote } from 'comlink';
import { useCallback, useMemo, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import type { CookFile } from '../../core/formats/kitchenFile';
import { cookLeft } from '../../core/kitchen/deeds';
import { DEFAULTS } from '../../core/kitchen/defaults';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import { MOTIONS } from '../shared/MotionDrawing';
import type { KitchenEdits, QuestionProps } from '../shared/useKitchen';
import { useAsked } from '../shared/useAsked';
import { usePlanner } from '../shared/usePlanner';
import { WhatChanged } from '../shared/WhatChanged';
import { cookName, knifeName } from '../shared/names';
import { percent } from '../shared/words';
import { CookForm } from './CookForm';
import { handOf } from '../shared/hand';
import css from './CooksView.module.css';
import { LengthDrawing } from './LengthDrawing';
import { PlaceForm } from './PlaceForm';
import { useLengths } from '../shared/units';

const MOST_COOKS = 12;
const NO_BLADES: BladeModel[] = [];

/** Who cooks, with which hands, on what: every answer shows at once what it changed. */
export default function CooksView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="cooks">
      {(edits, worker) => <Cooks edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function Cooks({ edits, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { answer, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const [at, setAt] = useState(0);
  const askMotions = useCallback(() => worker.typical(MOTIONS.map(({ type }) => ({ type }))), [worker]);
  const motionBlades = useAsked(askMotions).found ?? NO_BLADES;

  const cooks = kitchen.cooks ?? [{}];
  const shown = Math.min(at, cooks.length - 1);
  const cook = cooks[shown] ?? {};

  return (
    <div className={css.page}>
      <main id="main" className={css.answers} data-questions>
        <h1>Who cooks, and where</h1>
        <section className={css.block} aria-labelledby="cooks">
          <WhichCook {...{ kitchen, update, cooks, shown }} onShow={setAt} />
          <CookForm
            key={shown}
            {...{ kitchen, update }}
            at={shown}
            name={cookName(cook, shown)}
            motionBlades={motionBlades}
            owned={(answer?.owned ?? []).map(knifeName)}
            onRemove={cooks.length > 1 ? () => update((file) => cookLeft(file, shown)) : null}
          />
        </section>
        <section className={css.block} aria-labelledby="place">
          <h2 id="place">The kitchen</h2>
          <PlaceForm kitchen={kitchen} update={update} />
        </section>
      </main>
      <aside className={css.side} aria-label="What suits">
        {trouble && <p role="alert">{trouble}</p>}
        <Wanted edits={edits} worker={worker} band={answer?.plan.lengthWanted ?? null} cook={cook} />
        <WhatChanged plan={answer?.plan ?? null} />
        {answer && (
          <p className={css.sum}>
            Your cutting done well with the plan: <b className="figure">{percent(answer.plan.coverage.all)}</b>. First
            to buy: <b>{answer.plan.steps.find((s) => s.action === 'buy')?.name ?? 'nothing'}</b>.
          </p>
        )}
      </aside>
    </div>
  );
}

interface WhichCookProps extends QuestionProps {
  cooks: readonly CookFile[];
  /** Which of them is shown. */
  shown: number;
  onShow: (at: number) => void;
}

/** The cooks, one of whom is shown; another is added here. */
function WhichCook({ update, cooks, shown, onShow }: WhichCookProps) {
  return (
    <>
      <div className={css.heads}>
        <h2 id="cooks">The {cooks.length > 1 ? 'cooks' : 'cook'}</h2>
        <Button
          variant="default"
          size="sm"
          disabled={cooks.length >= MOST_COOKS}
          onClick={() => {
            update((k) => ({ ...k, cooks: [...(k.cooks ?? [{}]), {}] }));
            onShow(cooks.length);
          }}
        >
          Add a cook
        </Button>
      </div>
      {cooks.length > 1 && (
        <SegmentedControl
          aria-label="Which cook"
          value={String(shown)}
          data={cooks.map((each, i) => ({ value: String(i), label: cookName(each, i) }))}
          onChange={(value) => onShow(Number(value))}
        />
      )}
    </>
  );
}

function Wanted({
  edits,
  worker,
  band,
  cook,
}: {
  edits: KitchenEdits;
  worker: Remote<KitchenWorker>;
  band: { fromMm: number; toMm: number; why: string[] } | null;
  cook: CookFile;
}) {
  const { told, range } = useLengths();
  const [from, to] = [band?.fromMm ?? 0, band?.toMm ?? 0];
  const ask = useMemo(
    () => (from > 0 ? () => worker.typical([from, to].map((lengthMm) => ({ type: 'gyuto', lengthMm }))) : null),
    [from, to, worker],
  );
  const [short, long] = useAsked(ask).found ?? NO_BLADES;
  const board = { ...DEFAULTS.board, ...edits.kitchen.board };
  return (
    <section className={css.wanted} aria-labelledby="wanted">
      <h2 id="wanted">A general knife{band && ` of ${range(from, to)}`}</h2>
      <div className={css.drawn}>
        {band && short && long && (
          <LengthDrawing band={band} short={short} long={long} hand={handOf(cook)} board={board} />
        )}
      </div>
      <ul className={css.why}>
        {band?.why.map((reason) => (
          <li key={reason}>{told(reason)}</li>
        ))}
      </ul>
      <p className={css.faded}>This is an estimate: hold a knife before you pay for it.</p>
    </section>
  );
}
