import { Button, TextInput } from '@mantine/core';
import type { Remote } from 'comlink';
import { useDebouncedValue } from '@mantine/hooks';
import { useForm } from '@mantine/form';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Snapshot } from '../../client/snapshots';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import { listsOf } from '../../core/catalogue/lists';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Argued } from '../../workers/argue';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Questions } from '../kitchen/questions/Questions';
import { changesBetween } from '../shared/changes';
import { KitchenFrame } from '../shared/KitchenFrame';
import { MiniRoll } from '../shared/MiniRoll';
import { useCatalogue } from '../shared/useCatalogue';
import type { KitchenEdits } from '../shared/useKitchen';
import { Working, WorkingRoom } from '../shared/Working';
import { day, money, percent } from '../shared/words';
import layout from '../shared/AsideLayout.module.css';
import css from './WhatIfView.module.css';

/** A scratch copy of the kitchen in which anything can be changed, beside the kitchen as it is; scenarios and snapshots to compare with. */
export default function WhatIfView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="what-if">
      {(edits, worker) => <WhatIf id={stored.id} edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

/** A kitchen planned in the background; the last answer stays until the next. */
function usePlan(
  file: KitchenFile | null,
  worker: Remote<KitchenWorker>,
  ready: boolean,
): { argued: Argued | null; busy: boolean } {
  const [kitchen] = useDebouncedValue(file, 40);
  const [argued, setArgued] = useState<Argued | null>(null);
  const [busy, setBusy] = useState(true);
  useEffect(() => {
    if (!ready || !kitchen) return;
    let stale = false;
    const ask = async () => {
      setBusy(true);
      const answer = await worker.beside(kitchen);
      if (stale) return;
      setBusy(false);
      // stopped: the answer before stays
      if (answer) setArgued(answer);
    };
    void ask();
    return () => {
      stale = true;
    };
  }, [kitchen, worker, ready]);
  return { argued, busy };
}

function useSnapshots(id: string, worker: Remote<KitchenWorker>) {
  const [snapshots, setSnapshots] = useState<Snapshot[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const told = useCallback((error: unknown) => setTrouble(error instanceof Error ? error.message : String(error)), []);
  const read = useCallback(() => worker.listSnapshots(id).then(setSnapshots, told), [id, told, worker]);
  useEffect(() => void read(), [read]);
  return {
    snapshots,
    trouble,
    add: (kind: Snapshot['kind'], name: string, kitchen: KitchenFile) =>
      worker.addSnapshot(id, { kind, name, kitchen }).then(read, told),
    drop: (which: string) => worker.deleteSnapshot(id, which).then(read, told),
  };
}

/** The kitchen as it is and as it would be, both planned; without changes the other kitchen is the same one and is not planned twice. */
function useBoth(kitchen: KitchenFile, scratch: KitchenFile | null, worker: Remote<KitchenWorker>, ready: boolean) {
  const { argued: now, busy: planning } = usePlan(kitchen, worker, ready);
  const { argued: would, busy: planningOther } = usePlan(scratch, worker, ready);
  const then = (scratch && would) ?? now;
  const changes = now && then && scratch ? changesBetween(now.plan, then.plan) : [];
  return { now, then, changes, busy: planning || (scratch !== null && planningOther) };
}

function WhatIf({ id, edits, worker }: { id: string; edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { catalogue, trouble } = useCatalogue(worker);
  const [scratch, setScratch] = useState<KitchenFile | null>(null);
  const lists = useMemo(() => listsOf(catalogue?.values() ?? []), [catalogue]);
  const store = useSnapshots(id, worker);
  const { now, then, changes, busy } = useBoth(kitchen, scratch, worker, catalogue !== null);
  const kind = scratch ? 'scenario' : 'snapshot';
  return (
    <div className={layout.page}>
      <aside className={css.questions} data-screen-only aria-label="Questions for the changed kitchen">
        <p className={css.note}>Try changes here. Your kitchen stays as it is until you keep them.</p>
        <Questions
          kitchen={scratch ?? kitchen}
          update={(change) => setScratch((s) => change(s ?? kitchen))}
          length={then?.plan.lengthWanted ?? null}
          point={then?.plan.worth ?? null}
          lists={lists}
        />
      </aside>
      <main id="main" className={css.main}>
        <h1>What if…</h1>
        <p>
          Change any answer: your diet, a second cook, the board, the budget. Both kits are drawn to the same scale.
        </p>
        {trouble && <p role="alert">{trouble}</p>}
        <Planning busy={busy && !trouble} scratch={scratch !== null} onStop={() => void worker.stop()} />
        {catalogue && now && then ? (
          <>
            <div className={css.pair}>
              <Side title="As it is" argued={now} catalogue={catalogue} />
              <Side title={scratch ? 'As it would be' : 'The same, so far'} argued={then} catalogue={catalogue} />
            </div>
            <Differences changes={changes} changed={scratch !== null} />
            <KeepOrThrow
              scratch={scratch}
              onKeep={(kept) => {
                update(() => kept);
                setScratch(null);
              }}
              onThrow={() => setScratch(null)}
            />
            <Naming key={kind} kind={kind} onName={(as, name) => void store.add(as, name, scratch ?? kitchen)} />
          </>
        ) : (
          !trouble && !busy && <p>Stopped. Change an answer, and both are planned again.</p>
        )}
        {store.trouble && <p role="alert">{store.trouble}</p>}
        <Kept
          snapshots={store.snapshots}
          onCompare={(kitchen) => {
            setScratch(kitchen);
            scrollTo({ top: 0 });
          }}
          onDelete={(which) => void store.drop(which)}
        />
      </main>
    </div>
  );
}

function Planning({ busy, scratch, onStop }: { busy: boolean; scratch: boolean; onStop: () => void }) {
  return (
    <WorkingRoom>
      {busy && (
        <Working onStop={onStop}>
          {scratch ? 'Planning the kitchen as it would be' : 'Planning the kitchen as it is'}
        </Working>
      )}
    </WorkingRoom>
  );
}

interface KeepOrThrowProps {
  scratch: KitchenFile | null;
  onKeep: (scratch: KitchenFile) => void;
  onThrow: () => void;
}

function KeepOrThrow({ scratch, onKeep, onThrow }: KeepOrThrowProps) {
  return (
    <div className={css.actions}>
      <Button size="sm" disabled={!scratch} onClick={() => scratch && onKeep(scratch)}>
        Keep these changes
      </Button>
      <Button size="sm" variant="default" disabled={!scratch} onClick={onThrow}>
        Discard changes
      </Button>
    </div>
  );
}

/** What would be different, in a few words each. */
function Differences({ changes, changed }: { changes: readonly string[]; changed: boolean }) {
  return (
    <section className={css.changes} aria-live="polite" aria-label="Differences">
      <h2>What is different</h2>
      {changes.length > 0 ? (
        <ul>
          {changes.map((change) => (
            <li key={change}>{change}</li>
          ))}
        </ul>
      ) : (
        <p className="faded">{changed ? 'The plan stays as it is.' : 'Nothing yet.'}</p>
      )}
    </section>
  );
}

const NAMED = {
  scenario: { label: 'Name this scenario', placeholder: 'if we ate no meat', keep: 'Keep the scenario' },
  snapshot: { label: 'Name a snapshot of today', placeholder: 'before the new board', keep: 'Keep the snapshot' },
} as const;

/** A name under which it is kept; one that is left empty is unnamed. */
function Naming({ kind, onName }: { kind: Snapshot['kind']; onName: (kind: Snapshot['kind'], name: string) => void }) {
  const form = useForm({ initialValues: { name: '' } });
  const { label, placeholder, keep } = NAMED[kind];
  return (
    <form
      className={css.naming}
      onSubmit={form.onSubmit(({ name }) => {
        onName(kind, name.trim() || 'Unnamed');
        form.reset();
      })}
    >
      <TextInput label={label} placeholder={placeholder} maxLength={80} {...form.getInputProps('name')} />
      <Button type="submit" size="sm" variant="default">
        {keep}
      </Button>
    </form>
  );
}

/** Scenarios and snapshots kept beside the kitchen: compared with it, or deleted. */
function Kept({
  snapshots,
  onCompare,
  onDelete,
}: {
  snapshots: readonly Snapshot[];
  onCompare: (kitchen: KitchenFile) => void;
  onDelete: (id: string) => void;
}) {
  return (
    <section aria-labelledby="kept">
      <h2 id="kept">Saved scenarios and snapshots</h2>
      {snapshots.length === 0 ? (
        <p className="faded">None yet. A snapshot is saved whenever you buy, sharpen or give away a knife.</p>
      ) : (
        <ul className={css.kept}>
          {snapshots.map((each) => (
            <li key={each.id}>
              <span>
                <b>{each.name}</b>{' '}
                <span className="faded">
                  {each.kind}, {day(each.createdAt)}
                </span>
              </span>
              <Button
                size="xs"
                variant="default"
                aria-label={`Compare with ${each.name}`}
                onClick={() => onCompare(each.kitchen)}
              >
                Compare
              </Button>
              <Button
                size="xs"
                variant="subtle"
                color="gray"
                className={css.drop ?? ''}
                aria-label={`Delete ${each.name}`}
                onClick={() => onDelete(each.id)}
              >
                Delete
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Side({
  title,
  argued: { plan, owned },
  catalogue,
}: {
  title: string;
  argued: Argued;
  catalogue: Map<string, BladeModel>;
}) {
  return (
    <section className={css.side} aria-label={title}>
      <h2>{title}</h2>
      <MiniRoll plan={plan} owned={owned} catalogue={catalogue} />
      <p>
        <b className="figure">{percent(plan.coverage.all)}</b> done well for{' '}
        <b className="figure">{money(plan.spent, plan.currency)}</b>, from{' '}
        <span className="figure">{percent(plan.coverage.now)}</span> today
      </p>
      <ol className={css.steps}>
        {plan.steps.map((s) => (
          <li key={s.order}>
            {s.name} <span className="faded">{s.need}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
