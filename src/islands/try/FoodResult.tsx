import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import { useMemo } from 'react';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { BenchTrialFile } from '../../core/formats/trialsFile';
import type { Comparison } from '../../core/trial/paired';
import { resultOf } from '../../core/trial/result';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { changesBetween } from '../shared/changes';
import { useAsked } from '../shared/useAsked';
import type { Answer } from '../shared/usePlanner';
import { day, taskName } from '../shared/words';
import { plural } from '../../core/text/plural';
import css from './FoodView.module.css';

interface Props {
  kitchen: KitchenFile;
  trial: BenchTrialFile;
  names: readonly string[];
  answer: Answer;
  worker: Remote<KitchenWorker>;
  onAgain: (() => void) | null;
  onUndo: () => void;
  onLeave: () => void;
}

/** What a trial came to: winners by food, the knife on trial against each known one, how sure that is, and what it changed in the plan. */
export function FoodResult({ kitchen, trial, names, answer, worker, onAgain, onUndo, onLeave }: Props) {
  const result = resultOf(trial.tasks, trial.knives.length, trial.runs);
  const changes = useChanges(kitchen, trial, answer, worker);
  return (
    <section className={css.part} aria-label="Result of the trial">
      <h1>{names.join(' against ')}</h1>
      <p className="faded">{day(trial.on)}. Scores of 100, from your marks.</p>
      <ul className={css.against}>
        {result.against.map(({ knife, comparison }) => (
          <Against key={knife} mine={names[0] ?? ''} theirs={names[knife] ?? ''} comparison={comparison} />
        ))}
      </ul>
      {result.unsafe.some((n) => n > 0) && (
        <p role="alert">
          Unsafe moments: {result.unsafe.flatMap((n, i) => (n > 0 ? [`${names[i] ?? ''} ${n}`] : [])).join(', ')}. No
          score makes up for that.
        </p>
      )}
      <ByFood tasks={result.tasks} names={names} />
      <p aria-live="polite">{whatItChanged(kitchen.trials?.measuredCounts ?? true, changes)}</p>
      <div className={css.row} data-screen-only>
        <Button size="md" onClick={onLeave}>
          Done
        </Button>
        {onAgain && (
          <Button size="md" variant="default" onClick={onAgain}>
            Another round of the same foods
          </Button>
        )}
        <Button size="md" variant="default" onClick={onUndo}>
          Undo the last run
        </Button>
      </div>
    </section>
  );
}

function whatItChanged(counts: boolean, changes: string[] | null): string {
  if (!counts) return 'Measured scores are switched off: the plan uses the computed ones.';
  if (changes === null) return 'Working out what it changes in the plan…';
  return changes.length === 0
    ? 'These scores now count for more than the computed ones. The plan stays the same.'
    : `These scores now count for more than the computed ones. In the plan: ${changes.join('. ')}.`;
}

function ByFood({ tasks, names }: { tasks: ReturnType<typeof resultOf>['tasks']; names: readonly string[] }) {
  return (
    <div className={css.scroll} tabIndex={0} role="region" aria-label="Scores by food">
      <table className={css.foods}>
        <thead>
          <tr>
            <th scope="col">Food</th>
            {names.map((name, i) => (
              <th key={i} scope="col">
                {name}
              </th>
            ))}
            <th scope="col">Better</th>
          </tr>
        </thead>
        <tbody>
          {tasks.map(({ task, scores, winner }) => (
            <tr key={task}>
              <th scope="row">{taskName(task)}</th>
              {scores.map((score, i) => (
                <td key={i} className="figure">
                  {score === null ? '–' : Math.round(score)}
                </td>
              ))}
              <td>{winner === null ? 'alike' : names[winner]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What a trial changed in the plan: against the plan of the same kitchen without it; null while that is worked out. */
function useChanges(kitchen: KitchenFile, trial: BenchTrialFile, answer: Answer, worker: Remote<KitchenWorker>) {
  const ask = useMemo(() => {
    if (!answer.final) return null;
    const bench = kitchen.trials?.bench?.filter((each) => each !== trial);
    return async () => {
      const without = await worker.beside({ ...kitchen, trials: { ...kitchen.trials, bench } });
      return without && { of: answer.plan, changes: changesBetween(without.plan, answer.plan) };
    };
  }, [kitchen, trial, answer, worker]);
  const { found } = useAsked(ask);
  return found?.of === answer.plan ? found.changes : null;
}

const points = (value: number) => plural(Math.abs(Math.round(value)), 'point');

/** The knife on trial against a known one: the difference and its interval, drawn about nought. */
function Against({ mine, theirs, comparison }: { mine: string; theirs: string; comparison: Comparison }) {
  const { difference, interval, more, pairs } = comparison;
  const at = (value: number) => 50 + Math.max(-50, Math.min(50, value));
  const better =
    difference > 0.5
      ? `${mine} is better by ${points(difference)}`
      : difference < -0.5
        ? `${theirs} is better by ${points(difference)}`
        : 'they are alike';
  const sure =
    more === 0
      ? 'that is settled, nine times in ten'
      : more === null
        ? 'too little to settle by trials'
        : `not settled: about ${more} more ${more === 1 ? 'food' : 'foods'} would do`;
  return (
    <li>
      <p>
        <b>{mine}</b> against <b>{theirs}</b>: {better} over {plural(pairs, 'food')}; {sure}.
      </p>
      <svg
        viewBox="0 0 100 12"
        className={css.interval}
        role="img"
        aria-label={
          interval
            ? `Between ${Math.round(interval[0])} and ${Math.round(interval[1])} points`
            : 'Too few foods for an interval'
        }
      >
        <line x1={0} x2={100} y1={6} y2={6} />
        <line x1={50} x2={50} y1={1} y2={11} />
        {interval && (
          <rect x={at(interval[0])} y={4} width={Math.max(0.6, at(interval[1]) - at(interval[0]))} height={4} />
        )}
        <circle cx={at(difference)} cy={6} r={2} />
      </svg>
      <p className="faded">{interval ? differenceInWords(interval) : 'Five foods or more give an interval.'}</p>
    </li>
  );
}

/** A difference in points within its interval, in words. */
function differenceInWords([low, high]: readonly [number, number]): string {
  const [from, to] = [Math.round(low), Math.round(high)];
  if (from <= 0 && to >= 0) return 'No clear difference.';
  const [least, most] = [from, to].map(Math.abs).sort((a, b) => a - b);
  return `${least}–${most} points ${from > 0 ? 'better' : 'worse'} (90% sure).`;
}
