import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Explanation } from '../../core/fit/explain';
import { UNKNOWN_MAKER } from '../../core/blade/words';
import type { KitchenWorker, Target } from '../../workers/kitchen.worker';
import type { Character, MatchTable, Ranked } from '../../workers/stock';
import { SeeTheCut } from '../cut/SeeTheCut';
import { ScoreParts } from '../shared/ScoreParts';
import { minutes, money, taskName, typeName } from '../shared/words';
import { fromMinor } from '../../core/money/currency';
import type { Picked } from './MatchGrid';
import css from './MatchStory.module.css';
import { useLengths } from '../shared/units';

interface Props {
  table: MatchTable;
  picked: Picked;
  worker: Remote<KitchenWorker>;
  kitchenId: string;
  onPick: (picked: Picked) => void;
}

const MOST_TASKS = 14;

function targetOf(table: MatchTable, column: number): Target {
  const entry = table.columns[column];
  return entry?.owned == null ? { model: entry?.blade.id ?? '' } : { owned: entry.owned };
}

/** Beside the matrix: a cell's parts, a task's best blades, or what a blade is made for. */
export function MatchStory(props: Props) {
  const { picked } = props;
  const key = `${picked.row}-${picked.column}`;
  return (
    <aside className={css.story} aria-live="polite">
      {picked.row !== null && picked.column !== null && (
        <CellStory key={key} {...props} row={picked.row} column={picked.column} />
      )}
      {picked.row !== null && picked.column === null && <TaskStory key={key} {...props} row={picked.row} />}
      {picked.row === null && <BladeStory key={key} {...props} column={picked.column} />}
    </aside>
  );
}

function BladeTitle({ table, column, kitchenId }: { table: MatchTable; column: number; kitchenId: string }) {
  const { length } = useLengths();
  const entry = table.columns[column];
  if (!entry) return null;
  const { blade, owned } = entry;
  return (
    <>
      <h2>
        {owned === null ? blade.name : `Your ${typeName(blade.type).toLowerCase()}`}
        {owned === null && `, ${blade.maker}`}
      </h2>
      <p className="faded">
        <span className="figure">{length(blade.lengthMm)}</span>, {blade.weightG.toFixed(0)} g
        {owned === null && (
          <>
            , {money(fromMinor(blade.priceMinor, blade.currency), blade.currency)} ·{' '}
            <a href={`/kitchens/${kitchenId}/blades/${blade.id}`}>Blade sheet</a> ·{' '}
            <a href={`/kitchens/${kitchenId}/compare?blades=${blade.id}`}>Compare</a>
          </>
        )}
      </p>
    </>
  );
}

function CellStory({ table, row, column, worker, kitchenId }: Props & { row: number; column: number }) {
  const [parts, setParts] = useState<Explanation | null>(null);
  const task = table.rows[row];
  useEffect(() => {
    let live = true;
    void worker.explain(targetOf(table, column), task?.id ?? '').then((found) => live && setParts(found));
    return () => {
      live = false;
    };
  }, [worker, table, column, task]);
  return (
    <>
      <BladeTitle table={table} column={column} kitchenId={kitchenId} />
      <p className={css.score}>
        {task?.name}: <b className="figure">{Math.floor(table.scores[column * table.tasks + row] ?? 0)}</b>{' '}
        {parts?.word}
      </p>
      {parts ? <ScoreParts explanation={parts} /> : <p className="faded">Working it out…</p>}
      {parts && parts.veto === null && task && (
        <SeeTheCut worker={worker} targets={[targetOf(table, column)]} task={task.id} />
      )}
    </>
  );
}

function TaskStory({ table, row, worker, onPick }: Props & { row: number }) {
  const { told } = useLengths();
  const [ranked, setRanked] = useState<Ranked[] | null>(null);
  const task = table.rows[row];
  useEffect(() => {
    let live = true;
    void worker.rank(task?.id ?? '').then((found) => live && setRanked(found));
    return () => {
      live = false;
    };
  }, [worker, task]);
  return (
    <>
      <h2>{task?.name}</h2>
      <p className="faded">
        {task && task.minutesPerWeek > 0 ? (
          <>
            <span className="figure">{minutes(task.minutesPerWeek)}</span> min a week here. Its best blades, and what
            holds the next ones back:
          </>
        ) : (
          'Not cut in this kitchen. The best blades, and what holds the next ones back:'
        )}
      </p>
      {ranked?.length === 0 && (
        <p>
          No knife belongs here:{' '}
          {task?.id === 'coconut-crack'
            ? 'pierce it and crack it with a hammer'
            : 'use the tool, or the way round the plan names'}
          .
        </p>
      )}
      <ol className={css.ranked}>
        {ranked?.map(({ blade, explanation, heldBack }) => {
          const column = table.columns.findIndex((c) => c.blade.id === blade.id);
          return (
            <li key={blade.id}>
              <button type="button" onClick={() => onPick({ row, column })}>
                <b className="figure">{Math.floor(explanation.score)}</b>
                <span>
                  {blade.name}
                  <span className="faded">
                    {blade.maker === UNKNOWN_MAKER ? ' in your drawer' : `, ${blade.maker}`}
                  </span>
                </span>
              </button>
              {heldBack && (
                <p>
                  {heldBack.part}: {told(heldBack.why)}
                </p>
              )}
            </li>
          );
        })}
      </ol>
    </>
  );
}

function BladeStory({ table, column, worker, kitchenId }: Props & { column: number }) {
  const { told } = useLengths();
  const [found, setFound] = useState<Character | null>(null);
  useEffect(() => {
    let live = true;
    void worker.character(targetOf(table, column)).then((character) => live && setFound(character));
    return () => {
      live = false;
    };
  }, [worker, table, column]);
  return (
    <>
      <BladeTitle table={table} column={column} kitchenId={kitchenId} />
      <p>
        Alone it would cover <b className="figure">{Math.round((table.worth[column] ?? 0) * 100)}%</b> of this kitchen’s
        cutting.
      </p>
      {found && (
        <>
          <ul className={css.notes}>
            {found.notes.map((note) => (
              <li key={note}>{note}</li>
            ))}
          </ul>
          <h3>Does well</h3>
          <p>
            {found.madeFor
              .slice(0, MOST_TASKS)
              .map(({ task, score }) => `${taskName(task)} ${score}`)
              .join(' · ') || 'Nothing.'}
          </p>
          <h3>Must never do</h3>
          {found.never.length === 0 ? (
            <p>Nothing in particular; the usual care.</p>
          ) : (
            <ul className={css.notes}>
              {found.never.slice(0, MOST_TASKS).map(({ task, why }) => (
                <li key={task}>
                  <b>{taskName(task)}.</b> {told(why)}
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </>
  );
}
