import { Button, NativeSelect, Textarea } from '@mantine/core';
import type { Remote } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { typeNames } from '../../../data/names';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import type { OwnedFile } from '../../core/formats/kitchenFile';
import { MOST } from '../../core/formats/kitchenBounds';
import { CONDITIONS, KEEPINGS, USES } from '../../core/formats/kitchenWords';
import { givenAway } from '../../core/kitchen/changes';
import type { Drawer, DrawerKnife, DrawerVerdict } from '../../core/kit/drawer/drawer';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { FaultList } from '../shared/FaultList';
import { KitchenFrame } from '../shared/KitchenFrame';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import { ToolChips } from '../shared/ToolChips';
import { useCatalogue } from '../shared/useCatalogue';
import type { KitchenEdits, QuestionProps } from '../shared/useKitchen';
import { minutes, money, percent, taskName } from '../shared/words';
import { AddKnife } from './AddKnife';
import css from './DrawerView.module.css';
import { COLUMNS, readOwnedCsv } from './ownedCsv';
import { useLengths } from '../shared/units';
import { usePlanner } from '../shared/usePlanner';

const VERDICT_WORDS: Record<DrawerVerdict, string> = {
  keep: 'Keep',
  sharpen: 'Sharpen',
  repair: 'Repair',
  'give-away': 'Give away',
  retire: 'Retire',
};
/** What a knife is kept for. */
const KEPT_FOR: Record<(typeof KEEPINGS)[number], string> = {
  use: 'for use',
  keepsake: 'a keepsake, not used',
  lend: 'for lending and rough work',
};
/** Tools that do a blade's work; they count in the plan. */
const TOOLS = ['peeler', 'shears', 'fish-scaler', 'bench-scraper'];

/** What is in the drawer: added fast, and read at once knife by knife. */
export default function DrawerView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="drawer">
      {(edits, worker) => <DrawerPage edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function useDrawer({ kitchen }: KitchenEdits, worker: Remote<KitchenWorker>) {
  const { catalogue, trouble: noCatalogue } = useCatalogue(worker);
  const models = useMemo(() => [...(catalogue?.values() ?? [])], [catalogue]);
  const [drawer, setDrawer] = useState<Drawer | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const asked = useRef(0);
  useEffect(() => {
    if (models.length === 0) return;
    const mine = ++asked.current;
    worker.drawer(kitchen).then(
      (answer) => {
        if (mine !== asked.current) return;
        setTrouble(null);
        setDrawer(answer);
      },
      (error: unknown) => {
        if (mine === asked.current)
          setTrouble(error instanceof Error ? error.message : 'The drawer could not be read.');
      },
    );
  }, [kitchen, models, worker]);
  return { models, drawer, trouble: noCatalogue ?? trouble };
}

function DrawerPage({ edits, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { models, drawer, trouble } = useDrawer(edits, worker);
  const { answer } = usePlanner(kitchen, worker, { robustness: false });
  const fates = answer?.plan.drawer ?? [];
  const owned = kitchen.owned ?? [];
  const currency = kitchen.currency ?? 'EUR';
  const add = (knives: OwnedFile[]) =>
    update((k) => ({ ...k, owned: [...(k.owned ?? []), ...knives].slice(0, MOST.owned) }));
  const change = (at: number, part: Partial<OwnedFile>) =>
    update((k) => ({ ...k, owned: (k.owned ?? []).map((o, i) => (i === at ? { ...o, ...part } : o)) }));
  const remove = (at: number) => update((k) => givenAway(k, at));

  return (
    <div className={css.page}>
      <main id="main" className={css.answers}>
        <h1>What is in the drawer</h1>
        {trouble && <p role="alert">{trouble}</p>}
        {owned.length === 0 ? (
          <p className="faded">
            No knives yet. Add what you have: sharpening a good knife that has gone dull is often the best first step.
          </p>
        ) : (
          drawer && (
            <p>
              <b className="figure">{percent(drawer.coverage)}</b> of your cutting is done well with this, as it is
              today.
            </p>
          )
        )}
        <ul className={css.knives}>
          {owned.map((knife, i) => (
            <Knife
              key={`${i}-${knife.type ?? ''}-${knife.model ?? ''}`}
              knife={knife}
              read={drawer?.knives.find((k) => k.owned === i) ?? null}
              planned={fates.find((each) => each.owned === i && each.fate !== 'apart')?.why ?? null}
              currency={currency}
              onChange={(part) => change(i, part)}
              onRemove={() => remove(i)}
            />
          ))}
        </ul>
      </main>
      <aside className={css.side} data-screen-only aria-label="Put something in">
        <section aria-labelledby="add">
          <h2 id="add">Add a knife</h2>
          <AddKnife worker={worker} models={models} full={owned.length >= MOST.owned} onAdd={(knife) => add([knife])} />
        </section>
        <Tools kitchen={kitchen} update={update} />
        <List models={models} room={MOST.owned - owned.length} onAdd={add} />
      </aside>
    </div>
  );
}

interface KnifeProps {
  knife: OwnedFile;
  read: DrawerKnife | null;
  /** What the plan says of it; null where it has not been made. */
  planned: string | null;
  currency: string;
  onChange: (part: Partial<OwnedFile>) => void;
  onRemove: () => void;
}

function Knife({ knife, read, planned, currency, onChange, onRemove }: KnifeProps) {
  const { length } = useLengths();
  const name = read?.name ?? typeNames.get(knife.type ?? '') ?? 'Knife';
  return (
    <li className={css.knife} data-verdict={read?.verdict}>
      {read && <Picture blade={read.blade} />}
      <div className={css.head}>
        <h2>
          {name} {read && <span className="figure">{length(read.blade.lengthMm)}</span>}
        </h2>
        {read && <strong className={css.verdict}>{VERDICT_WORDS[read.verdict]}</strong>}
      </div>
      {read && <Reading {...{ read, planned, currency }} />}
      <div className={css.row}>
        <NativeSelect
          aria-label={`Edge of the ${name.toLowerCase()}`}
          size="xs"
          value={knife.condition ?? 'serviceable'}
          data={[...CONDITIONS]}
          onChange={(e) => {
            const condition = CONDITIONS.find((c) => c === e.currentTarget.value);
            if (condition) onChange({ condition });
          }}
        />
        <NativeSelect
          aria-label={`Use of the ${name.toLowerCase()}`}
          size="xs"
          value={knife.use ?? 'weekly'}
          data={USES.map((value) => ({ value, label: `used ${value}` }))}
          onChange={(e) => {
            const use = USES.find((u) => u === e.currentTarget.value);
            if (use) onChange({ use });
          }}
        />
        <NativeSelect
          aria-label={`What the ${name.toLowerCase()} is kept for`}
          size="xs"
          value={knife.keep ?? 'use'}
          data={KEEPINGS.map((value) => ({ value, label: KEPT_FOR[value] }))}
          onChange={(e) => {
            const keep = KEEPINGS.find((k) => k === e.currentTarget.value);
            if (keep) onChange({ keep: keep === 'use' ? undefined : keep });
          }}
        />
        <Button size="compact-sm" variant="default" aria-label={`Remove the ${name.toLowerCase()}`} onClick={onRemove}>
          Remove
        </Button>
      </div>
    </li>
  );
}

/** Tasks named before the rest is only counted. */
const MOST_NAMED = 5;

/** Why a knife is kept, put right or given away; what it does best here, and its dangers. */
function Reading({ read, planned, currency }: { read: DrawerKnife; planned: string | null; currency: string }) {
  const { told } = useLengths();
  const { why, givesBack, doesBest, minutesPerWeek, dangers } = read;
  const more = doesBest.length - MOST_NAMED;
  return (
    <>
      <p>
        {told(why)}
        {givesBack && (
          <>
            {' '}
            Putting it right costs about {money(givesBack.price, currency)} and, with nothing bought, gives back{' '}
            <b className="figure">{percent(givesBack.coverage)}</b> of your cutting.
          </>
        )}
      </p>
      {planned && <p>{planned}</p>}
      {doesBest.length > 0 && (
        <p className={css.best}>
          Does best here, <span className="figure">{minutes(minutesPerWeek)}</span> min a week (scores of 100):{' '}
          {doesBest
            .slice(0, MOST_NAMED)
            .map(
              ({ task, score, measured }) => `${taskName(task).toLowerCase()} ${score}${measured ? ', measured' : ''}`,
            )
            .join(', ')}
          {more > 0 && ` and ${more} more`}.
        </p>
      )}
      {dangers.map((danger) => (
        <p key={danger} className={css.danger}>
          {danger}
        </p>
      ))}
    </>
  );
}

/** Every knife of the drawer to the same scale. */
function Picture({ blade }: { blade: BladeModel }) {
  const { height, width } = placed(blade, false);
  const pxPerMm = 0.62;
  return (
    <svg
      className={css.picture}
      width={width * pxPerMm + 4}
      height={height * pxPerMm + 4}
      viewBox={`-2 -2 ${width + 4} ${height + 4}`}
      aria-hidden="true"
    >
      <KnifeDrawing blade={blade} upright={false} owned line={1.6} />
    </svg>
  );
}

function Tools(props: QuestionProps) {
  return (
    <section aria-labelledby="tools">
      <h2 id="tools">Tools you have</h2>
      <ToolChips {...props} tools={TOOLS} className={css.chips} />
    </section>
  );
}

function List({ models, room, onAdd }: { models: BladeModel[]; room: number; onAdd: (knives: OwnedFile[]) => void }) {
  const [text, setText] = useState('');
  const [faults, setFaults] = useState<{ path: string; message: string }[]>([]);
  const take = () => {
    const read = readOwnedCsv(text, typeNames, new Set(models.map((m) => m.id)));
    const found =
      read.faults.length === 0 && read.owned.length > room
        ? [{ path: 'list', message: `has ${read.owned.length} knives; ${room} more fit, of ${MOST.owned} in all` }]
        : read.faults;
    setFaults(found);
    if (found.length > 0) return;
    onAdd(read.owned);
    setText('');
  };
  return (
    <details className={css.list}>
      <summary>Add many from a list</summary>
      <Textarea
        label="CSV, a knife a line"
        description={`The first line names the columns: ${COLUMNS.join(', ')}.`}
        placeholder={'type,lengthMm,condition,use\nchef,200,dull,daily'}
        autosize
        minRows={4}
        value={text}
        onChange={(e) => setText(e.currentTarget.value)}
      />
      <Button variant="default" disabled={text.trim() === ''} onClick={take}>
        Put them in
      </Button>
      {faults.length > 0 && (
        <FaultList
          title="The list was not imported; nothing was changed"
          faults={faults}
          onClose={() => setFaults([])}
        />
      )}
    </details>
  );
}
