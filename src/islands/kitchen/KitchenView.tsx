import { Button } from '@mantine/core';
import { IconDownload } from '@tabler/icons-react';
import type { Remote } from 'comlink';
import { useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import type { KitchenEdits } from '../shared/useKitchen';
import { usePlanner } from '../shared/usePlanner';
import { BesidesThePlan } from './BesidesThePlan';
import { CoverageBar } from './CoverageBar';
import css from './KitchenView.module.css';
import { Questions } from './questions/Questions';
import { Roll } from './Roll';
import { StepStory } from './StepStory';

/** One kitchen: the questions on the left, the roll that answers them on the right. */
export default function KitchenView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame
      stored={stored}
      here="plan"
      tools={
        <Button
          component="a"
          href={`/api/kitchens/${stored.id}/file`}
          variant="default"
          size="xs"
          leftSection={<IconDownload size={16} />}
        >
          Kitchen file
        </Button>
      }
    >
      {(edits, worker) => <Kitchen edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function Kitchen({ edits, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { answer, stays, catalogue, trouble } = usePlanner(kitchen, worker);
  const [open, setOpen] = useState<number | null>(null);
  const step = answer?.plan.steps.find((s) => s.order === open) ?? null;

  return (
    <div className={css.page}>
      <aside className={css.questions} aria-label="Questions">
        <Questions kitchen={kitchen} update={update} length={answer?.plan.lengthWanted ?? null} />
      </aside>
      <main id="main" className={css.answer}>
        {trouble && (
          <p className={css.notice} role="alert">
            {trouble}
          </p>
        )}
        {answer ? (
          <>
            <CoverageBar plan={answer.plan} budget={kitchen.budget?.total} answer={answer} />
            <Roll
              plan={answer.plan}
              owned={answer.owned}
              ownedFile={kitchen.owned ?? []}
              catalogue={catalogue}
              stays={stays}
              open={open}
              onOpen={(order) => setOpen(order === open ? null : order)}
            />
            {step && (
              <StepStory
                key={`${step.order}-${step.model ?? step.type}`}
                step={step}
                stays={stays?.[step.order - 1] ?? null}
                currency={answer.plan.currency}
                catalogue={catalogue}
                worker={worker}
                onClose={() => setOpen(null)}
              />
            )}
            <BesidesThePlan plan={answer.plan} />
          </>
        ) : (
          !trouble && <p className={css.loading}>Trying every blade on your cooking…</p>
        )}
      </main>
    </div>
  );
}
