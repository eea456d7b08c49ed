import { NativeSelect, Switch, TextInput } from '@mantine/core';
import type { Remote } from 'comlink';
import { useCallback, useMemo, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import type { MatchTable } from '../../workers/stock';
import { scoreWord } from '../../core/fit/words';
import { Dress } from '../shared/Dress';
import { KitchenMast } from '../shared/KitchenMast';
import { useAsked } from '../shared/useAsked';
import { useKitchenWorker } from '../shared/useKitchenWorker';
import { Working } from '../shared/Working';
import { arrange, BLADE_ORDERS, ROLE_NAMES, TASK_ORDERS, type Arrangement } from './arrange';
import { MatchGrid, type Picked } from './MatchGrid';
import { MatchStory } from './MatchStory';
import css from './MatchView.module.css';

/** What has been picked, as one would say it. */
function inWords({ rows, columns, scores, refused, tasks }: MatchTable, picked: Picked | null): string {
  if (!picked) return '';
  const task = picked.row === null ? null : rows[picked.row]?.name;
  const blade = picked.column === null ? null : columns[picked.column]?.blade.name;
  if (picked.row === null || picked.column === null) return task ?? blade ?? '';
  const cell = picked.column * tasks + picked.row;
  const points = scores[cell] ?? 0;
  const word = scoreWord(points, refused[cell] === 1 ? 'refused' : null);
  return `${task ?? ''}, ${blade ?? ''}: ${word === 'do not' ? word : `${Math.floor(points)}, ${word}`}.`;
}

/** Every task against every blade, for this kitchen, with the reasons one press away. */
export default function MatchView({ stored }: { stored: StoredKitchen }) {
  return (
    <Dress>
      <Match stored={stored} />
    </Dress>
  );
}

const FIRST: Arrangement = { tasks: 'load', blades: 'worth', role: 'all', search: '', mineOnly: true, keptOnly: false };

function useTable(stored: StoredKitchen, worker: Remote<KitchenWorker>) {
  const ask = useCallback(async () => {
    await worker.load();
    return worker.match(stored.kitchen);
  }, [worker, stored.kitchen]);
  const { found: table, trouble } = useAsked(ask);
  return { table, trouble };
}

function Match({ stored }: { stored: StoredKitchen }) {
  const { worker } = useKitchenWorker();
  const { table, trouble } = useTable(stored, worker);
  const [how, setHow] = useState(FIRST);
  const [picked, setPicked] = useState<Picked | null>(null);

  const arranged = useMemo(() => (table ? arrange(table, how) : null), [table, how]);

  return (
    <>
      <KitchenMast
        kitchenId={stored.id}
        kitchen={stored.kitchen}
        name={stored.kitchen.name ?? 'My kitchen'}
        here="match"
      />
      <main id="main" className={css.page}>
        <h1 className="visually-hidden">Knives by task: every task against every blade</h1>
        <Controls how={how} onChange={(change) => setHow((now) => ({ ...now, ...change }))} />
        {trouble && <p role="alert">{trouble}</p>}
        {!table && !trouble && (
          <div className={css.waiting}>
            <Working>Trying every blade at every task</Working>
          </div>
        )}
        {table && (
          <p role="status" className="visually-hidden">
            {inWords(table, picked)}
          </p>
        )}
        {table && arranged && (
          <div className={css.split} data-open={picked !== null || undefined}>
            <MatchGrid table={table} arranged={arranged} picked={picked} onPick={setPicked} />
            {picked && (
              <MatchStory table={table} picked={picked} worker={worker} kitchenId={stored.id} onPick={setPicked} />
            )}
          </div>
        )}
      </main>
    </>
  );
}

/** Searching, sorting and filtering the tasks and blades. */
function Controls({ how, onChange: set }: { how: Arrangement; onChange: (change: Partial<Arrangement>) => void }) {
  return (
    <div className={css.controls} role="group" aria-label="Sort and filter">
      <TextInput
        label="Find"
        placeholder="task, blade or maker"
        value={how.search}
        onChange={(e) => set({ search: e.currentTarget.value })}
      />
      <NativeSelect
        label="Tasks by"
        value={how.tasks}
        data={TASK_ORDERS.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(e) => {
          const order = TASK_ORDERS.find((o) => o.id === e.currentTarget.value);
          if (order) set({ tasks: order.id });
        }}
      />
      <NativeSelect
        label="Blades by"
        value={how.blades}
        data={BLADE_ORDERS.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(e) => {
          const order = BLADE_ORDERS.find((o) => o.id === e.currentTarget.value);
          if (order) set({ blades: order.id });
        }}
      />
      <NativeSelect
        label="Kind of blade"
        value={how.role}
        data={Object.entries(ROLE_NAMES).map(([value, label]) => ({ value, label }))}
        onChange={(e) => set({ role: e.currentTarget.value })}
      />
      <Switch
        label="Only what I cut"
        checked={how.mineOnly}
        onChange={(e) => set({ mineOnly: e.currentTarget.checked })}
      />
      <Switch
        label="Only kit and drawer"
        checked={how.keptOnly}
        onChange={(e) => set({ keptOnly: e.currentTarget.checked })}
      />
    </div>
  );
}
