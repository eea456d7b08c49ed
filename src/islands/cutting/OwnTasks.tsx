import { BOUNDS } from '../../core/formats/kitchenBounds';
import { Button, NativeSelect } from '@mantine/core';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { KnownTask } from '../../workers/stock';
import { Figure } from '../shared/NumberField';
import type { QuestionProps } from '../shared/useKitchen';
import css from './CuttingView.module.css';
import { TaskSelect } from './TaskSelect';
import { TimesPer } from './TimesPer';

type Row = NonNullable<NonNullable<KitchenFile['cooking']>['tasks']>[number];
const MATTERS = [
  { value: '0.5', label: 'half as much' },
  { value: '1', label: 'as usual' },
  { value: '2', label: 'twice as much' },
  { value: '4', label: 'four times as much' },
];

/** Tasks named directly, beside what the dishes give, with how much it would hurt to do them badly. */
export function OwnTasks({ kitchen, update, tasks }: QuestionProps & { tasks: KnownTask[] }) {
  const rows = kitchen.cooking?.tasks ?? [];
  const set = (change: (rows: Row[]) => Row[]) =>
    update((k) => ({ ...k, cooking: { ...k.cooking, tasks: change(k.cooking?.tasks ?? []) } }));
  const byId = new Map(tasks.map((t) => [t.id, t]));
  return (
    <section className={css.block} aria-labelledby="own-tasks">
      <h2 id="own-tasks">Extra tasks</h2>
      <p className="faded">
        Added to the cutting from your dishes. Say where a bad cut would really matter: it counts for more.
      </p>
      <ul className={css.dishes}>
        {rows.map((row, i) => (
          <TaskRow
            key={`${row.id}-${i}`}
            row={row}
            task={byId.get(row.id)}
            onChange={(part) => set((now) => now.map((r, at) => (at === i ? { ...r, ...part } : r)))}
            onRemove={() => set((now) => now.filter((_, at) => at !== i))}
          />
        ))}
      </ul>
      <TaskSelect
        label="Add a task"
        none="choose a task…"
        tasks={tasks}
        value=""
        onChange={(id) => id && set((now) => [...now, { id, times: 1, per: 'week' }])}
      />
    </section>
  );
}

interface TaskRowProps {
  row: Row;
  task: KnownTask | undefined;
  onChange: (part: Partial<Row>) => void;
  onRemove: () => void;
}

function TaskRow({ row, task, onChange, onRemove }: TaskRowProps) {
  return (
    <li>
      <div className={css.task}>
        <b>{task?.name ?? row.id}</b>
        <TimesPer often={row} onChange={onChange} />
        <Figure
          label={`How many (${task?.unit ?? 'unit'})`}
          bounds={BOUNDS.amount}
          step={0.1}
          value={row.amount ?? 1}
          onChange={(amount) => onChange({ amount })}
        />
        <NativeSelect
          label="Doing it badly would hurt"
          value={String(row.matters ?? 1)}
          data={MATTERS.some((m) => m.value === String(row.matters ?? 1)) ? MATTERS : [...MATTERS, String(row.matters)]}
          onChange={(e) => onChange({ matters: Number(e.currentTarget.value) })}
        />
        <Button size="compact-sm" variant="default" aria-label={`Remove ${task?.name ?? row.id}`} onClick={onRemove}>
          Remove
        </Button>
      </div>
    </li>
  );
}
