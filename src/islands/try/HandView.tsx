import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { MOST } from '../../core/formats/kitchenBounds';
import type { HandTestFile } from '../../core/formats/trialsFile';
import { handTested } from '../../core/kitchen/deeds';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import { today } from '../shared/today';
import type { KitchenEdits } from '../shared/useKitchen';
import { usePlanner } from '../shared/usePlanner';
import { Working } from '../shared/Working';
import { choicesOf } from './choices';
import HandTest from './HandTest';
import { HeldTable } from './HeldTable';
import { ColumnPage, PageHead } from '../shared/PageHead';
import { WhichKnife } from './WhichKnife';

/** Knives held for two minutes, one check after another. */
export default function HandView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="try/hand">
      {(edits, worker) => <InHand edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function InHand({ edits, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { answer, catalogue, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const [open, setOpen] = useState<number | null>(null);
  const choices = useMemo(() => (answer ? choicesOf(answer, catalogue) : null), [answer, catalogue]);
  const tests = kitchen.trials?.hand ?? [];
  const test = open === null ? undefined : tests[open];
  const start = (knife: Pick<HandTestFile, 'model' | 'label'>, cook: number) => {
    setOpen(tests.length);
    update((file) =>
      handTested(file, tests.length, { ...knife, ...(cook > 0 ? { cook } : {}), on: today(), answers: {} }),
    );
  };
  return (
    <ColumnPage>
      {!test && (
        <PageHead here="try/hand">
          Two minutes with the knife in your hand, in a shop or on loan. The verdict comes at the end and goes into the
          plan.
        </PageHead>
      )}
      {trouble && <p role="alert">{trouble}</p>}
      {!choices && !trouble && <Working>Loading the knives</Working>}
      {choices && answer && open !== null && test && (
        <HandTest
          key={open}
          {...{ kitchen, test, catalogue, worker, answer }}
          onChange={(next) => update((file) => handTested(file, open, next))}
          onLeave={() => setOpen(null)}
        />
      )}
      {choices && (open === null || !test) && (
        <>
          {tests.length >= MOST.handTests ? (
            <p>{MOST.handTests} knives are written down; take one out to hold another.</p>
          ) : (
            <WhichKnife kitchen={kitchen} choices={choices} onStart={start} />
          )}
          {tests.length > 0 && (
            <HeldTable
              {...{ kitchen, tests, catalogue }}
              onOpen={setOpen}
              onRemove={(at) => update((file) => handTested(file, at, null))}
            />
          )}
        </>
      )}
    </ColumnPage>
  );
}
