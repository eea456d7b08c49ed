import { Button, Textarea, TextInput } from '@mantine/core';
import type { Remote } from 'comlink';
import { wrap } from 'comlink';
import { useEffect, useRef, useState, type DragEvent } from 'react';
import type { RecipeLine } from '../../core/recipe/line';
import type { KnownTask } from '../../workers/stock';
import type { RecipeWorker } from '../../workers/recipe.worker';
import { Figure } from '../shared/Field';
import type { QuestionProps } from '../shared/useKitchen';
import css from './CuttingView.module.css';
import { dishId, keepDish, tasksOf } from './dishEdits';
import { TaskSelect } from './TaskSelect';
import { FaultyInput } from '../../core/formats/faults';
import { textOf } from '../../core/recipe/bytes';

interface Reading {
  name: string;
  portions: number;
  lines: RecipeLine[];
  unread: string[];
}

/** The worker that reads recipes, begun when the first one comes. */
function useRecipeWorker(): () => Remote<RecipeWorker> {
  const held = useRef<{ worker: Worker; remote: Remote<RecipeWorker> } | null>(null);
  useEffect(() => () => held.current?.worker.terminate(), []);
  return () => {
    if (!held.current) {
      const worker = new Worker(new URL('../../workers/recipe.worker.ts', import.meta.url), { type: 'module' });
      held.current = { worker, remote: wrap<RecipeWorker>(worker) };
    }
    return held.current.remote;
  };
}

const MOST_BYTES = 2 * 1024 * 1024;

/** A recipe pasted or dropped, shown line by line as it was understood, corrected by picking, and kept as a dish. */
export function RecipePanel({
  kitchen,
  update,
  tasks,
  knownIds,
}: QuestionProps & { tasks: KnownTask[]; knownIds: string[] }) {
  const worker = useRecipeWorker();
  const [text, setText] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [reading, setReading] = useState<Reading | null>(null);
  const [over, setOver] = useState(false);
  const [kept, setKept] = useState<string | null>(null);

  const read = async (source: string) => {
    setKept(null);
    const answer = await worker().read(source);
    if ('fault' in answer) {
      setFault(answer.fault);
      setReading(null);
      return;
    }
    const { recipe } = answer;
    setFault(null);
    const { name, portions, lines, unread, method = [] } = recipe;
    // what the method cuts of no line stands behind the lines
    const ordered = method.map(({ text: line, tasks }) => ({
      line,
      quantity: null,
      unit: null,
      food: null,
      cut: null,
      tasks,
    }));
    setReading({ name: name ?? '', portions, lines: [...lines, ...ordered], unread });
  };
  const drop = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES) setFault(`${file.name} is larger than 2 MB; a recipe is smaller than that`);
    else {
      try {
        const source = textOf(new Uint8Array(await file.arrayBuffer()));
        setText(source);
        await read(source);
      } catch (error) {
        if (!(error instanceof FaultyInput)) throw error;
        setFault(`${file.name} ${error.faults[0]?.message ?? 'could not be read'}`);
      }
    }
  };
  const keep = () => {
    if (!reading) return;
    const name = reading.name.trim() || 'A dish';
    const used = new Set([...knownIds, ...(kitchen.cooking?.ownDishes ?? []).map((d) => d.id)]);
    update(keepDish({ id: dishId(name, used), name, portions: reading.portions, tasks: tasksOf(reading.lines) }));
    setReading(null);
    setText('');
    setKept(name);
  };

  return (
    <details className={css.make}>
      <summary>Bring in a recipe</summary>
      <div
        data-over={over || undefined}
        className={css.drop}
        onDragOver={(e: DragEvent) => {
          e.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(e: DragEvent) => {
          e.preventDefault();
          setOver(false);
          void drop(e.dataTransfer.files[0]);
        }}
      >
        <Textarea
          label="Ingredient lines, a recipe’s JSON-LD, or a whole page"
          description="Paste them, or drop a file here."
          autosize
          minRows={4}
          maxRows={12}
          value={text}
          error={fault}
          onChange={(e) => setText(e.currentTarget.value)}
        />
      </div>
      <Button variant="default" disabled={text.trim() === ''} onClick={() => void read(text)}>
        Read it
      </Button>
      <p role="status" className={kept ? undefined : 'visually-hidden'}>
        {kept && `${kept} is kept and stands on your list, once a week.`}
      </p>
      {reading && <Review reading={reading} tasks={tasks} onChange={setReading} onKeep={keep} />}
    </details>
  );
}

function Review({
  reading,
  tasks,
  onChange,
  onKeep,
}: {
  reading: Reading;
  tasks: KnownTask[];
  onChange: (reading: Reading) => void;
  onKeep: () => void;
}) {
  const unit = (id: string) => tasks.find((t) => t.id === id)?.unit ?? '';
  const set = (at: number, change: Partial<RecipeLine>) =>
    onChange({ ...reading, lines: reading.lines.map((line, i) => (i === at ? { ...line, ...change } : line)) });
  return (
    <div className={css.review}>
      <div className={css.pair}>
        <TextInput
          label="Name of the dish"
          value={reading.name}
          placeholder="A dish"
          maxLength={80}
          onChange={(e) => onChange({ ...reading, name: e.currentTarget.value })}
        />
        <Figure
          label="Portions"
          bounds={[1, 500]}
          value={reading.portions}
          onChange={(portions) => onChange({ ...reading, portions })}
        />
      </div>
      <ol className={css.lines}>
        {reading.lines.map((line, at) => {
          const [first] = line.tasks;
          return (
            <li key={`${at}-${line.line}`}>
              <span>
                {line.line}
                <small>
                  {[line.quantity, line.unit, line.food, line.cut].filter((part) => part !== null).join(' · ')}
                  {first?.standsFor && ` · counted as the nearest task, by size`}
                  {line.tasks.length > 1 &&
                    ` · also ${line.tasks
                      .slice(1)
                      .map((t) => tasks.find((k) => k.id === t.id)?.name.toLowerCase())
                      .join(', ')}`}
                </small>
              </span>
              <TaskSelect
                label={`Task of: ${line.line}`}
                hideLabel
                none="no cutting"
                tasks={tasks}
                value={first?.id ?? ''}
                onChange={(id) =>
                  set(at, { tasks: id ? [{ id, amount: first?.amount ?? 1 }, ...line.tasks.slice(1)] : [] })
                }
              />
              {first ? (
                <Figure
                  label={`How many (${unit(first.id)})`}
                  bounds={[0.01, 10000]}
                  step={0.01}
                  value={first.amount}
                  onChange={(amount) => set(at, { tasks: [{ ...first, amount }, ...line.tasks.slice(1)] })}
                />
              ) : (
                <span />
              )}
            </li>
          );
        })}
        {reading.unread.map((line) => (
          <li key={line} className={css.unread}>
            <span>
              {line}
              <small>not read: pick its task, or leave it</small>
            </span>
            <TaskSelect
              label={`Task of: ${line}`}
              hideLabel
              none="leave it"
              tasks={tasks}
              value=""
              onChange={(id) =>
                id &&
                onChange({
                  ...reading,
                  unread: reading.unread.filter((l) => l !== line),
                  lines: [
                    ...reading.lines,
                    { line, quantity: null, unit: null, food: null, cut: null, tasks: [{ id, amount: 1 }] },
                  ],
                })
              }
            />
            <span />
          </li>
        ))}
      </ol>
      <Button disabled={tasksOf(reading.lines).length === 0} onClick={onKeep}>
        Keep as a dish
      </Button>
    </div>
  );
}
