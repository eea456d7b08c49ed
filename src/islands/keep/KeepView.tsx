import { DndContext } from '@dnd-kit/core';
import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import { useMemo } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { MOST } from '../../core/formats/kitchenBounds';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Keeping, Placed, Storage, StorageKind, StoragePlace } from '../../core/formats/storageFile';
import { pictureOf } from '../../core/keeping/picture';
import { usualPlace } from '../../core/keeping/usualPlaces';
import type { Spot } from '../../core/keeping/places';
import type { KeptKit, KeptKnife } from '../../workers/keep';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Figure } from '../shared/NumberField';
import { KitchenFrame } from '../shared/KitchenFrame';
import { ColumnPage, PageHead } from '../shared/PageHead';
import { useAsked } from '../shared/useAsked';
import type { KitchenEdits } from '../shared/useKitchen';
import { usePlanner } from '../shared/usePlanner';
import { money } from '../shared/words';
import { Working } from '../shared/Working';
import css from './KeepView.module.css';
import { PlaceCard } from './PlaceCard';
import { PrintPlaces } from './PrintPlaces';
import { Unplaced } from './Unplaced';
import { useMoving } from './useMoving';
import { useOthersKept } from './useOthersKept';
import { kindOfHabit, KIND_NOTES, KIND_WORDS } from './kinds';

/** Width of the column beside the tallest picture in it. */
const TALLEST = 1.9;
const NOWHERE: Storage = { places: [] };

/** Where the knives live: every place to scale with what is in it, what does not fit, and what to buy. */
export default function KeepView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="keep">
      {(edits, worker) => <Keep edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function Keep({ edits, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  // where knives live changes no plan: it is not worked out anew for that
  const planned = useOthersKept(kitchen);
  const { answer, trouble: noPlan } = usePlanner(planned, worker, { robustness: false });
  const storage = kitchen.storage ?? NOWHERE;
  const ask = useMemo(() => answer && (() => worker.stored(answer.plan, storage)), [answer, storage, worker]);
  const { found: kept, trouble: noPlace } = useAsked(ask);
  const trouble = noPlan ?? noPlace;
  const change = (next: (storage: Storage) => Storage, alone = true) =>
    update((file) => ({ ...file, storage: next(file.storage ?? NOWHERE) }), { alone });
  return (
    <ColumnPage>
      <PageHead here="keep">
        Measure the places you have; every knife you own or plan is laid in, to scale. An edge that lies loose cuts
        people, and dulls.
      </PageHead>
      {trouble && <p role="alert">{trouble}</p>}
      {!kept && !trouble && <Working>Laying the knives out</Working>}
      {kept && (
        <Places
          kitchen={kitchen}
          kept={kept}
          storage={storage}
          currency={answer?.plan.currency ?? 'EUR'}
          onChange={change}
        />
      )}
    </ColumnPage>
  );
}

interface PlacesProps {
  kitchen: KitchenFile;
  kept: KeptKit;
  storage: Storage;
  currency: string;
  onChange: (next: (storage: Storage) => Storage, alone?: boolean) => void;
}

/** Everything placed, as the file keeps it once one of it was moved by hand. */
function laidOf(placed: readonly Placed[], knives: readonly KeptKnife[]): NonNullable<Storage['laid']> {
  return placed.flatMap(({ ref, ...at }) => {
    const knife = knives.find((each) => each.ref === ref);
    if (!knife) return [];
    return [knife.owned === null ? { ...at, model: knife.blade.id } : { ...at, owned: knife.owned }];
  });
}

function Places(props: PlacesProps) {
  const { kitchen, kept, storage, onChange } = props;
  const { knives, keeping } = kept;
  const { places } = storage;
  // a place taken out is gone at once, what lay in it when the worker has answered
  const placed = useMemo(() => keeping.placed.filter(({ place }) => place < places.length), [keeping, places]);
  const onMoved = (ref: string, place: number, at: Spot) =>
    onChange((now) => ({
      ...now,
      laid: laidOf([...placed.filter((each) => each.ref !== ref), { ...at, ref, place }], knives),
    }));
  const moving = useMoving({ places, knives, placed }, onMoved);
  const { draft } = moving;
  const widest = widestOf(places, knives);
  const names = places.map(nameOf(places));
  return (
    <DndContext {...moving.context}>
      <div className={css.columns}>
        <div className={css.places}>
          {places.map((place, i) => (
            <PlaceCard
              key={i}
              {...{ place, knives, widest }}
              name={names[i] ?? ''}
              placed={placed.filter((each) => each.place === i)}
              draft={draft?.place === i ? draft : null}
              lifted={draft?.ref ?? null}
              onPicture={moving.picture(i)}
              onChange={(next) =>
                onChange((now) => ({ ...now, places: now.places.map((each, at) => (at === i ? next : each)) }), false)
              }
              onRemove={() => onChange((now) => withoutPlace(now, i))}
              onTurn={({ ref, place: there, ...at }) => moving.put(ref, there, { ...at, turned: !at.turned })}
            />
          ))}
          <AddPlace
            first={places.length === 0 ? kindOfHabit[kitchen.habits?.storage ?? 'block'] : null}
            full={places.length >= MOST.places}
            onAdd={(kind) => onChange((now) => ({ ...now, places: [...now.places, usualPlace[kind]()] }))}
          />
        </div>
        <Aside {...props} {...{ moving, placed, names }} />
      </div>
    </DndContext>
  );
}

/** One scale for all places: as wide as the column, and none taller than about half of that. */
function widestOf(places: readonly StoragePlace[], knives: readonly KeptKnife[]): number {
  const longest = Math.max(0, ...knives.map(({ thing }) => thing.bladeMm));
  const pictures = places.map((place) => pictureOf(place, longest));
  return Math.max(600, ...pictures.map(({ wide, deep }) => Math.max(wide, TALLEST * deep)));
}

interface AsideProps extends PlacesProps {
  moving: ReturnType<typeof useMoving>;
  placed: readonly Placed[];
  names: readonly string[];
}

/** What is told beside the places: how a move would end, what has no place, what to buy, and room for later. */
function Aside({ kitchen, kept, storage, currency, onChange, moving, placed, names }: AsideProps) {
  const { knives, keeping } = kept;
  const { draft, refused } = moving;
  return (
    <aside className={css.aside}>
      <p role="status" className={css.told} data-bad={(draft?.why ?? refused) !== null || undefined}>
        {draft ? (draft.why ?? 'It fits here: let go, or press Space.') : (refused ?? summary(keeping, knives.length))}
      </p>
      <Unplaced left={keeping.left} knives={knives} lifted={draft?.ref ?? null} />
      {keeping.buy.length > 0 && (
        <section aria-labelledby="buy">
          <h2 id="buy">{keeping.left.length > 0 ? 'The smallest change that makes it fit' : 'For later'}</h2>
          {keeping.buy.map(({ what, why, price }) => (
            <p key={what}>
              <b>{what}</b>, about {money(price, currency)}. {why}
            </p>
          ))}
        </section>
      )}
      <Figure
        label="Room to stay free for later, %"
        value={Math.round(100 * (storage.growth ?? 0))}
        bounds={[0, 90]}
        step={5}
        onChange={(percent) => onChange((now) => ({ ...now, growth: percent / 100 }), false)}
      />
      {storage.laid && (
        <Button variant="default" onClick={() => onChange((now) => ({ ...now, laid: undefined }))}>
          Arrange them all again
        </Button>
      )}
      <p className="faded">
        Drag a knife, or press Space on it: the arrow keys move it (Shift: by a hair), T turns it, Page Down takes it to
        the next place, Space puts it down, Escape leaves it.
      </p>
      <PrintPlaces title={kitchen.name ?? 'My kitchen'} {...{ storage, names, knives, placed }} />
    </aside>
  );
}

/** A name for each place: its own, or its kind and a number where there are several. */
const nameOf = (places: readonly StoragePlace[]) => (place: StoragePlace, i: number) => {
  if (place.name) return place.name;
  const alike = places.filter(({ kind, name }) => kind === place.kind && !name).length;
  const nth = places.slice(0, i + 1).filter(({ kind, name }) => kind === place.kind && !name).length;
  return alike > 1 ? `${KIND_WORDS[place.kind]} ${nth}` : KIND_WORDS[place.kind];
};

/** A storage without one of its places; what was laid by hand elsewhere stays. */
const withoutPlace = (storage: Storage, gone: number): Storage => ({
  ...storage,
  places: storage.places.filter((_, at) => at !== gone),
  laid: storage.laid
    ?.filter(({ place }) => place !== gone)
    .map((each) => (each.place > gone ? { ...each, place: each.place - 1 } : each)),
});

function summary({ fits, left, growthLeft, proven, leftAtLeast, placed }: Keeping, many: number): string {
  if (many === 0) return 'No knives yet. The ones you own and the ones the plan buys will be placed here.';
  if (placed.length === 0 && left.length > 0) return 'They have no place yet.';
  const free = `${Math.round(100 * growthLeft)} % of the room stays free.`;
  if (fits) return `All ${many} have their place. ${free}`;
  const out = left.length === 1 ? 'One finds' : `${left.length} find`;
  return `${out} no place. ${proven ? 'No other arrangement holds more.' : `Not every arrangement was tried; at least ${leftAtLeast} will not fit in any.`}`;
}

function AddPlace({
  first,
  full,
  onAdd,
}: {
  /** The likeliest kind while there is none yet. */
  first: StorageKind | null;
  full: boolean;
  onAdd: (kind: StorageKind) => void;
}) {
  const kinds: StorageKind[] = ['block', 'tray', 'strip', 'roll', 'drawer'];
  return (
    <section className={css.add} aria-labelledby="add">
      <h2 id="add">{first ? 'Where do your knives live?' : 'Another place'}</h2>
      <div className={css.kinds}>
        {kinds.map((kind) => (
          <button
            key={kind}
            type="button"
            disabled={full}
            data-first={kind === first || undefined}
            onClick={() => onAdd(kind)}
          >
            <b>{KIND_WORDS[kind]}</b>
            <span>{KIND_NOTES[kind]}</span>
          </button>
        ))}
      </div>
    </section>
  );
}
