import { Button, Checkbox, NativeSelect, Switch } from '@mantine/core';
import type { Remote } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { MOST } from '../../core/formats/kitchenBounds';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { BenchTrialFile, TriedKnife } from '../../core/formats/trialsFile';
import { benchTried, measuredCounting } from '../../core/kitchen/deeds';
import type { FoodToTry } from '../../core/kit/trying/foods';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import type { KitchenEdits } from '../shared/useKitchen';
import { usePlanner, type Answer } from '../shared/usePlanner';
import { Working } from '../shared/Working';
import { day, taskName } from '../shared/words';
import { today } from '../shared/today';
import { cookName } from '../shared/names';
import { choicesOf, Pick, type Choice, type Choices } from './choices';
import { FoodResult } from './FoodResult';
import { RunSheet } from './RunSheet';
import { TryMast, TryPage } from './TryMast';
import css from './FoodView.module.css';

const FOODS = 6;

/** Knives tried against each other on this kitchen's own foods. */
export default function FoodView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="try">
      {(edits, worker) => <OnFood id={stored.id} edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

/** How a knife of a choice is written down. */
const asTried = ({ ref, blade }: Choice): TriedKnife =>
  ref.startsWith('owned-') ? { owned: Number(ref.slice(6)) } : { model: blade.id };

/** Name of a knife of a trial. */
export const nameOfTried = ({ model, owned }: TriedKnife, choices: Choices): string =>
  owned === undefined
    ? (choices.models.find(({ ref }) => ref === model)?.name ?? model ?? 'Knife')
    : (choices.drawer[owned]?.name ?? 'Owned knife');

function OnFood({ id, edits, worker }: { id: string; edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { answer, catalogue, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const choices = useMemo(() => (answer ? choicesOf(answer, catalogue) : null), [answer, catalogue]);
  const [open, setOpen] = useState<number | null>(null);
  const trials = kitchen.trials?.bench ?? [];
  const trial = open === null ? undefined : trials[open];
  const put = (at: number, next: BenchTrialFile | null) => update((file) => benchTried(file, at, next));
  return (
    <TryPage>
      {!trial && (
        <TryMast id={id} here="try/food" title="On the food">
          A knife on trial beside one or two you know, on your own foods, in turn and equally sharp. What you find
          counts over what the figures say.
        </TryMast>
      )}
      {trouble && <p role="alert">{trouble}</p>}
      {!choices && !trouble && <Working>Fetching the knives</Working>}
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
    </TryPage>
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
        label="What was measured counts in scores and plan"
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

const idOf = ({ model, owned }: TriedKnife) => model ?? `owned-${owned ?? 0}`;
const idsOf = (knives: readonly TriedKnife[]) => knives.map(idOf).join();

/** Rounds of each food so far in which the same knives met. */
function roundsTried(trials: readonly BenchTrialFile[], knives: readonly TriedKnife[]): [string, number][] {
  const alike = (of: readonly TriedKnife[]) => of.map(idOf).sort().join();
  const rounds = new Map<string, number>();
  for (const trial of trials.filter((each) => alike(each.knives) === alike(knives)))
    for (const { task, knife } of trial.runs) if (knife === 0) rounds.set(task, (rounds.get(task) ?? 0) + 1);
  return [...rounds];
}

interface NewTrialProps {
  kitchen: KitchenFile;
  choices: Choices;
  worker: Remote<KitchenWorker>;
  trials: readonly BenchTrialFile[];
  onStart: (trial: BenchTrialFile) => void;
}

/** What was picked for the three places of a trial; null where nothing was yet, or where none is wanted. */
type Picked = [string | null, string | null, string | null];

/** The knives of a trial: one on trial, one that is known, and perhaps a third. */
function knivesOf({ planned, drawer, models }: Choices, picked: Picked): Choice[] {
  const all = [...planned, ...drawer, ...models];
  const find = (ref: string | null) => all.find((each) => each.ref === ref);
  const candidate = find(picked[0]) ?? all[0];
  const known = find(picked[1]) ?? drawer[0] ?? models.find(({ ref }) => ref !== candidate?.blade.id);
  return [candidate, known, find(picked[2])].filter((each) => each !== undefined);
}

/** The foods on which knives are best tried, those that tell most first; null until they are known of these very knives. */
function useFoods(knives: readonly TriedKnife[], cook: number, { kitchen, trials, worker }: NewTrialProps) {
  const [found, setFound] = useState<{ of: string; foods: FoodToTry[] } | null>(null);
  const of = idsOf(knives);
  const asked = useRef(knives);
  useEffect(() => {
    asked.current = knives;
  });
  useEffect(() => {
    let stale = false;
    const tried = asked.current;
    worker.foods(kitchen, cook, [...tried], roundsTried(trials, tried)).then(
      (foods) => {
        if (!stale) setFound({ of, foods });
      },
      () => undefined,
    );
    return () => {
      stale = true;
    };
  }, [of, cook, kitchen, trials, worker]);
  return found?.of === of ? found.foods : null;
}

function NewTrial(props: NewTrialProps) {
  const { kitchen, choices, onStart } = props;
  const [picked, setPicked] = useState<Picked>([null, null, null]);
  const [cook, setCook] = useState(0);
  const chosen = knivesOf(choices, picked);
  const knives = chosen.map(asTried);
  const alike = new Set(knives.map(idOf)).size < knives.length;
  const foods = useFoods(knives, cook, props);
  return (
    <section className={css.part} aria-labelledby="which">
      <h2 id="which">Which knives?</h2>
      <div className={css.row}>
        <PickKnives {...{ choices, chosen, picked }} onPick={setPicked} />
        {(kitchen.cooks?.length ?? 1) > 1 && (
          <NativeSelect
            label="Who tries"
            value={String(cook)}
            data={(kitchen.cooks ?? []).map((each, i) => ({ value: String(i), label: cookName(each, i) }))}
            onChange={(e) => setCook(Number(e.currentTarget.value))}
          />
        )}
      </div>
      {alike ? (
        <p role="alert">The same knife stands there twice: choose another.</p>
      ) : (
        <>
          <p>
            <b>Equally sharp</b>, or it proves nothing: have all of them freshly sharpened, or try while all are new.
            One larger and one smaller known knife say most.
          </p>
          {foods === null ? (
            <Working>Looking for the foods that tell most</Working>
          ) : foods.length === 0 ? (
            <p>No food of this kitchen is for all of them: choose knives for the same kind of work.</p>
          ) : (
            <WithFoods
              key={idsOf(knives)}
              foods={foods}
              names={chosen.map(({ name }) => name)}
              onBegin={(tasks) => onStart({ on: today(), ...(cook > 0 ? { cook } : {}), knives, tasks, runs: [] })}
            />
          )}
        </>
      )}
    </section>
  );
}

interface PickKnivesProps {
  choices: Choices;
  chosen: readonly Choice[];
  picked: Picked;
  onPick: (picked: Picked) => void;
}

function PickKnives({ choices, chosen, picked: [first, second, third], onPick }: PickKnivesProps) {
  return (
    <>
      <Pick
        label="On trial"
        choices={choices}
        value={chosen[0]?.ref ?? ''}
        onPick={(ref) => onPick([ref, second, third])}
      />
      <Pick
        label="Beside one you know"
        choices={choices}
        value={chosen[1]?.ref ?? ''}
        onPick={(ref) => onPick([first, ref, third])}
      />
      <Pick
        label="And another"
        none="none"
        choices={choices}
        value={chosen[2]?.ref ?? ''}
        onPick={(ref) => onPick([first, second, ref === '' ? null : ref])}
      />
    </>
  );
}

interface WithFoodsProps {
  foods: readonly FoodToTry[];
  names: readonly string[];
  onBegin: (tasks: string[]) => void;
}

/** The foods that tell most, any of which can be left out or taken in, and the way to begin. */
function WithFoods({ foods, names, onBegin }: WithFoodsProps) {
  const [left, setLeft] = useState<ReadonlySet<string> | null>(null);
  const without = left ?? new Set(foods.slice(FOODS).map(({ task }) => task.id));
  const tasks = foods.map(({ task }) => task.id).filter((id) => !without.has(id));
  return (
    <>
      <Foods foods={foods} left={without} names={names} onLeft={setLeft} />
      <div className={css.row}>
        <Button size="md" disabled={tasks.length === 0} onClick={() => onBegin(tasks)}>
          {`Begin: ${tasks.length} foods, ${tasks.length * names.length} runs`}
        </Button>
      </div>
    </>
  );
}

interface FoodsProps extends Omit<WithFoodsProps, 'onBegin'> {
  left: ReadonlySet<string>;
  onLeft: (left: ReadonlySet<string>) => void;
}

/** The foods proposed, those that tell most first; any can be left out. */
function Foods({ foods, left, names, onLeft }: FoodsProps) {
  const most = foods[0]?.nats ?? 1;
  return (
    <div className={css.scroll} tabIndex={0} role="region" aria-label="Foods to try">
      <table className={css.foods}>
        <thead>
          <tr>
            <th scope="col">Food</th>
            <th scope="col">Tells</th>
            {names.map((name, i) => (
              <th key={i} scope="col">
                {name} <span className="faded">expected</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {foods.map((food) => (
            <FoodRow
              key={food.task.id}
              food={food}
              tells={Math.round((100 * food.nats) / most)}
              taken={!left.has(food.task.id)}
              onTake={(take) => {
                const next = new Set(left);
                if (take) next.delete(food.task.id);
                else next.add(food.task.id);
                onLeft(next);
              }}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface FoodRowProps {
  food: FoodToTry;
  /** Percent of what the most telling food tells. */
  tells: number;
  taken: boolean;
  onTake: (taken: boolean) => void;
}

function FoodRow({ food: { task, expected }, tells, taken, onTake }: FoodRowProps) {
  return (
    <tr>
      <td>
        <Checkbox label={taskName(task.id)} checked={taken} onChange={(e) => onTake(e.currentTarget.checked)} />
      </td>
      <td>
        <span
          className={css.tells}
          role="meter"
          aria-label="How much it tells"
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={tells}
        >
          <span style={{ width: `${tells}%` }} />
        </span>
      </td>
      {expected.map((score, i) => (
        <td key={i} className="figure">
          {Math.round(score)}
        </td>
      ))}
    </tr>
  );
}
