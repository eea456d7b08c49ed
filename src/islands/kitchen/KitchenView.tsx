import { Button, TextInput } from '@mantine/core';
import { IconDownload } from '@tabler/icons-react';
import { useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { Dress } from '../shared/Dress';
import { ViewLinks } from '../shared/KitchenMast';
import { Masthead } from '../shared/Masthead';
import { CoverageBar } from './CoverageBar';
import css from './KitchenView.module.css';
import { BesidesThePlan } from './BesidesThePlan';
import { Questions } from './questions/Questions';
import { Roll } from './Roll';
import { StepStory } from './StepStory';
import { useKitchen, type SaveState } from './useKitchen';
import { useKitchenWorker } from '../shared/useKitchenWorker';
import { usePlanner } from './usePlanner';

const SAVE_WORDS: Record<SaveState, string> = {
  saved: 'Saved',
  saving: 'Saving…',
  unsaved: 'Not saved yet',
  stale: 'Changed elsewhere',
  refused: 'Not saved',
};

/** One kitchen: the questions on the left, the roll that answers them on the right. */
export default function KitchenView({ stored }: { stored: StoredKitchen }) {
  return (
    <Dress>
      <Kitchen stored={stored} />
    </Dress>
  );
}

function Kitchen({ stored }: { stored: StoredKitchen }) {
  const worker = useKitchenWorker();
  const { kitchen, update, state, why, settle } = useKitchen(stored, worker);
  const { answer, stays, catalogue, trouble } = usePlanner(kitchen, worker);
  const [open, setOpen] = useState<number | null>(null);
  const step = answer?.plan.steps.find((s) => s.order === open) ?? null;

  return (
    <>
      <Masthead>
        <TextInput
          className={css.name ?? ''}
          aria-label="Name of this kitchen"
          variant="unstyled"
          value={kitchen.name ?? ''}
          placeholder="My kitchen"
          maxLength={80}
          onChange={(e) => {
            const name = e.currentTarget.value;
            update((k) => ({ ...k, name: name.trim() ? name : undefined }));
          }}
        />
        <ViewLinks kitchenId={stored.id} here="plan" />
        <span className="faded" role="status" title={why}>
          {SAVE_WORDS[state]}
        </span>
        <Button
          component="a"
          href={`/api/kitchens/${stored.id}/file`}
          variant="default"
          size="xs"
          leftSection={<IconDownload size={16} />}
        >
          Kitchen file
        </Button>
      </Masthead>

      {state === 'stale' && (
        <div className={css.notice} role="alert">
          <p>This kitchen was changed in another window. Which version goes on?</p>
          <Button size="xs" variant="default" onClick={() => void settle('theirs')}>
            The other window’s
          </Button>
          <Button size="xs" variant="default" onClick={() => void settle('mine')}>
            This one
          </Button>
        </div>
      )}
      {state === 'refused' && (
        <div className={css.notice} role="alert">
          <p>The last change was not saved: {why}</p>
        </div>
      )}
      {state === 'unsaved' && (
        <div className={css.notice} role="alert">
          <p>{why} It is tried again by itself.</p>
        </div>
      )}

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
    </>
  );
}
