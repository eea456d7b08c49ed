import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { KnownTask } from '../../workers/stock';
import { Figure } from '../shared/NumberField';
import type { QuestionProps } from '../shared/useKitchen';
import css from './CuttingView.module.css';
import { dishId, keepDish } from './dishEdits';
import { TaskSelect } from './TaskSelect';

/** A dish of one's own, put together from tasks. */
export function OwnDish({
  kitchen,
  update,
  tasks,
  knownIds,
}: QuestionProps & { tasks: KnownTask[]; knownIds: string[] }) {
  const [name, setName] = useState('');
  const [portions, setPortions] = useState(4);
  const [parts, setParts] = useState<{ id: string; amount: number }[]>([]);
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const ready = name.trim() !== '' && parts.length > 0;
  const keep = () => {
    const used = new Set([...knownIds, ...(kitchen.cooking?.ownDishes ?? []).map((d) => d.id)]);
    update(keepDish({ id: dishId(name, used), name: name.trim(), portions, tasks: parts }));
    setName('');
    setParts([]);
  };
  return (
    <details className={css.make}>
      <summary>Add your own dish</summary>
      <div className={css.pair}>
        <TextInput label="Name" value={name} maxLength={80} onChange={(e) => setName(e.currentTarget.value)} />
        <Figure label="For so many portions" bounds={[1, 500]} value={portions} onChange={setPortions} />
      </div>
      <ul className={css.parts}>
        {parts.map((part) => (
          <li key={part.id}>
            <span>{byId.get(part.id)?.name}</span>
            <Figure
              label={`How many (${byId.get(part.id)?.unit ?? 'units'})`}
              bounds={[0.01, 10000]}
              step={0.01}
              value={part.amount}
              onChange={(amount) => setParts((now) => now.map((p) => (p.id === part.id ? { ...p, amount } : p)))}
            />
            <Button
              size="compact-sm"
              variant="default"
              aria-label={`Remove ${byId.get(part.id)?.name ?? ''}`}
              onClick={() => setParts((now) => now.filter((p) => p.id !== part.id))}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <TaskSelect
        label="Add a task"
        none="choose a task…"
        tasks={tasks.filter((t) => !parts.some((p) => p.id === t.id))}
        value=""
        onChange={(id) => id && setParts((now) => [...now, { id, amount: 1 }])}
      />
      <Button disabled={!ready} onClick={keep}>
        Save this dish
      </Button>
    </details>
  );
}
