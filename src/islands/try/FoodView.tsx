import { Button, Switch } from '@mantine/core';
import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { MOST } from '../../core/formats/kitchenBounds';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { BenchTrialFile, TriedKnife } from '../../core/formats/trialsFile';
import { benchTried, measuredCounting } from '../../core/kitchen/deeds';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import type { KitchenEdits } from '../shared/useKitchen';
import { usePlanner, type Answer } from '../shared/usePlanner';
import { Working } from '../shared/Working';
import { day } from '../shared/words';
import { choicesOf, type Choices } from './choices';
import { FoodResult } from './FoodResult';
import { NewTrial } from './NewTrial';
import { RunSheet } from './RunSheet';
import { ColumnPage, PageHead } from '../shared/PageHead';
import css from './FoodView.module.css';

/** Knives tried against each other on this kitchen's own foods. */
export default function FoodView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="try/food">
      {(edits, worker) => <OnFood edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

/** Name of a knife of a trial. */
const nameOfTried = ({ model, owned }: TriedKnife, choices: Choices): string =>
  owned === undefined
    ? (choices.models.find(({ ref }) => ref === model)?.name ?? model ?? 'Knife')
    : (choices.drawer[owned]?.name ?? 'Owned knife');

function OnFood({ edits, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { answer, catalogue, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const choices = useMemo(() => (answer ? choicesOf(answer, catalogue) : null), [answer, catalogue]);
  const [open, setOpen] = useState<number | null>(null);
  const trials = kitchen.trials?.bench ?? [];
  const trial = open === null ? undefined : trials[open];
  const put = (at: number, next: BenchTrialFile | null) => update((file) => benchTried(file, at, next));
  return (
    <ColumnPage>
      {!trial && (
        <PageHead here="try/food">
          Try a knife against one or two you know, on your own food, in turn and equally sharp. What you find counts for
          more than the figures.
        </PageHead>
      )}
      {trouble && <p role="alert">{trouble}</p>}
      {!choices && !trouble && <Working>Loading the knives</Working>}
      {choices && answer && open !== null && trial && (
        <Trial
          key={open}
          {...{ kitchen, trial, choices, answer, worker }}
          names={trial.knives.map((knife) => nameOfTried(knife, choices))}
          onChange={(next) => put(open, next)}
          onLeave={() => setOpen(null)}
        />
      )}
      {choices && !trial && (
        <>
          {trials.length >= MOST.benchTrials ? (
            <p>{MOST.benchTrials} trials are written down; take one out to begin another.</p>
          ) : (
            <NewTrial
              {...{ kitchen, choices, worker, trials }}
              onStart={(next) => {
                setOpen(trials.length);
                put(trials.length, next);
              }}
            />
          )}
          {trials.length > 0 && (
            <Tried
              {...{ trials, choices }}
              counts={kitchen.trials?.measuredCounts ?? true}
              onCounts={(counts) => update((file) => measuredCounting(file, counts))}
              onOpen={setOpen}
              onRemove={(at) => put(at, null)}
            />
          )}
        </>
      )}
    </ColumnPage>
  );
}

interface TriedProps {
  trials: readonly BenchTrialFile[];
  choices: Choices;
  /** Whether what was measured counts. */
  counts: boolean;
  onCounts: (counts: boolean) => void;
  onOpen: (at: number) => void;
  onRemove: (at: number) => void;
}

/** The trials so far: gone on with, looked at, or taken out. */
function Tried({ trials, choices, counts, onCounts, onOpen, onRemove }: TriedProps) {
  return (
    <section aria-labelledby="tried" className={css.part}>
      <h2 id="tried">Tried so far</h2>
      <Switch
        label="Use measured scores in the plan"
        checked={counts}
        onChange={(e) => onCounts(e.currentTarget.checked)}
      />
      <ul className={css.tried}>
        {trials.map((each, i) => {
          const names = each.knives.map((knife) => nameOfTried(knife, choices)).join(' against ');
          const left = each.tasks.length * each.knives.length - each.runs.length;
          return (
            <li key={i}>
              <span>
                <b>{names}</b>, {day(each.on)}, {each.tasks.length} foods
                {left > 0 && `, ${left} runs left`}
              </span>
              <span className={css.row}>
                <Button size="compact-md" variant="default" aria-label={`Open: ${names}`} onClick={() => onOpen(i)}>
                  {left > 0 ? 'Go on' : 'Result'}
                </Button>
                <Button
                  size="compact-md"
                  variant="default"
                  aria-label={`Take out: ${names}`}
                  onClick={() => onRemove(i)}
                >
                  Take out
                </Button>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Trial({
  kitchen,
  trial,
  choices,
  names,
  answer,
  worker,
  onChange,
  onLeave,
}: {
  kitchen: KitchenFile;
  worker: Remote<KitchenWorker>;
  trial: BenchTrialFile;
  choices: Choices;
  names: string[];
  answer: Answer;
  onChange: (trial: BenchTrialFile) => void;
  onLeave: () => void;
}) {
  const full = trial.tasks.length * trial.knives.length;
  const [rounds, setRounds] = useState(Math.max(1, Math.ceil(trial.runs.length / full)));
  const done = trial.runs.length >= rounds * full;
  return done ? (
    <FoodResult
      {...{ kitchen, trial, names, answer, worker }}
      onAgain={trial.runs.length + full <= MOST.runs ? () => setRounds(rounds + 1) : null}
      onUndo={() => onChange({ ...trial, runs: trial.runs.slice(0, -1) })}
      onLeave={onLeave}
    />
  ) : (
    <RunSheet
      trial={trial}
      names={names}
      blades={trial.knives.map(({ model, owned }) =>
        owned === undefined
          ? (choices.models.find(({ ref }) => ref === model)?.blade ?? null)
          : (choices.drawer[owned]?.blade ?? null),
      )}
      onChange={onChange}
      onLeave={onLeave}
    />
  );
}
