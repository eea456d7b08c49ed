import { NativeSelect } from '@mantine/core';
import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { BenchTrialFile, TriedKnife } from '../../core/formats/trialsFile';
import type { FoodToTry } from '../../core/kit/trying/foods';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { cookName } from '../shared/names';
import { today } from '../shared/today';
import { useAsked } from '../shared/useAsked';
import { Working } from '../shared/Working';
import { Pick, type Choice, type Choices } from './choices';
import { FoodsToTry } from './FoodsToTry';
import css from './FoodView.module.css';

/** A knife of a trial by one name, and back. */
const idOf = ({ model, owned }: TriedKnife) => model ?? `owned-${owned ?? 0}`;
const triedBy = (id: string): TriedKnife => (id.startsWith('owned-') ? { owned: Number(id.slice(6)) } : { model: id });

/** How a knife of a choice is written down. */
const asTried = ({ ref, blade }: Choice): TriedKnife => triedBy(ref.startsWith('owned-') ? ref : blade.id);

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
function useFoods(ids: string, cook: number, { kitchen, trials, worker }: NewTrialProps): FoodToTry[] | null {
  const ask = useCallback(async () => {
    const knives = ids.split(',').map(triedBy);
    return { of: ids, foods: await worker.foods(kitchen, cook, knives, roundsTried(trials, knives)) };
  }, [ids, cook, kitchen, trials, worker]);
  const { found } = useAsked(ask);
  return found?.of === ids ? found.foods : null;
}

/** A trial to begin: which knives, by whom, and on which foods. */
export function NewTrial(props: NewTrialProps) {
  const { kitchen, choices, onStart } = props;
  const [picked, setPicked] = useState<Picked>([null, null, null]);
  const [cook, setCook] = useState(0);
  const chosen = knivesOf(choices, picked);
  const knives = chosen.map(asTried);
  const alike = new Set(knives.map(idOf)).size < knives.length;
  const ids = knives.map(idOf).join();
  const foods = useFoods(ids, cook, props);
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
        <p role="alert">You have picked the same knife twice: choose another.</p>
      ) : (
        <>
          <p>
            <b>Equally sharp</b>, or it proves nothing: have all of them freshly sharpened, or try while all are new.
            One larger and one smaller known knife say most.
          </p>
          {foods === null ? (
            <Working>Looking for the foods that tell most</Working>
          ) : foods.length === 0 ? (
            <p>You cut no food that suits all of them: choose knives for the same kind of work.</p>
          ) : (
            <FoodsToTry
              key={ids}
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
