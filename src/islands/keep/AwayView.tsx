import { Button, Chip, NativeSelect, SegmentedControl, Switch, TextInput } from '@mantine/core';
import type { Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { cuisineNames } from '../../../data/names';
import type { StoredKitchen } from '../../client/kitchens';
import type { AwayFile, KitchenFile } from '../../core/formats/kitchenFile';
import { BOUNDS, MOST } from '../../core/formats/kitchenBounds';
import { BOARD_MATERIALS } from '../../core/formats/kitchenWords';
import { usualPlace } from '../../core/keeping/usualPlaces';
import { rollPacked } from '../../core/kitchen/deeds';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Figure } from '../shared/NumberField';
import { KitchenFrame } from '../shared/KitchenFrame';
import { cookName } from '../shared/names';
import { ColumnPage, PageHead } from '../shared/PageHead';
import { useAsked } from '../shared/useAsked';
import { useCatalogue } from '../shared/useCatalogue';
import type { KitchenEdits } from '../shared/useKitchen';
import { Working } from '../shared/Working';
import css from './AwayView.module.css';
import { PackingList } from './PackingList';
import { PlaceMeasures } from './PlaceMeasures';
import { useOthersKept } from './useOthersKept';

/** A roll packed for another kitchen: the best of what is owned for that board, that cooking and those pockets. */
export default function AwayView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="keep/away">
      {(edits, worker) => <Away edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function Away({ edits, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { catalogue, trouble } = useCatalogue(worker);
  const [at, setAt] = useState(0);
  const rolls = kitchen.away ?? [];
  const which = Math.min(at, Math.max(0, rolls.length - 1));
  const away = rolls[which];
  const change = (next: AwayFile | null, alone = false) => update((file) => rollPacked(file, which, next), { alone });
  const add = () => {
    update((file) => rollPacked(file, rolls.length, { name: `Elsewhere ${rolls.length + 1}` }), { alone: true });
    setAt(rolls.length);
  };
  return (
    <ColumnPage>
      <PageHead here="keep/away">
        Cooking at a friend’s, in a holiday house or on a job: which of your knives to take, and what you will miss at
        home meanwhile.
      </PageHead>
      {trouble && <p role="alert">{trouble}</p>}
      {(kitchen.owned?.length ?? 0) === 0 ? (
        <p>No knives yet. Add your knives to the drawer first.</p>
      ) : (
        <>
          <div className={css.row}>
            {rolls.length > 1 && (
              <SegmentedControl
                aria-label="Which roll"
                value={String(which)}
                data={rolls.map((roll, i) => ({ value: String(i), label: roll.name ?? `Elsewhere ${i + 1}` }))}
                onChange={(value) => setAt(Number(value))}
              />
            )}
            <Button {...(away ? { variant: 'default' } : {})} disabled={rolls.length >= MOST.away} onClick={add}>
              {away ? 'Another kitchen' : 'Pack a roll'}
            </Button>
          </div>
          {away && catalogue && (
            <div className={css.columns}>
              <There away={away} kitchen={kitchen} onChange={change} onRemove={() => change(null, true)} />
              <Packed kitchen={kitchen} away={away} worker={worker} />
            </div>
          )}
        </>
      )}
    </ColumnPage>
  );
}

interface ThereProps {
  away: AwayFile;
  kitchen: KitchenFile;
  onChange: (away: AwayFile) => void;
}

/** What the other kitchen is like. */
function There({ onRemove, ...props }: ThereProps & { onRemove: () => void }) {
  const { away, kitchen, onChange } = props;
  const roll = { kind: 'roll' as const, pockets: away.pockets ?? usualPlace.roll().pockets };
  return (
    <section className={css.there} aria-labelledby="there">
      <h2 id="there">The other kitchen</h2>
      <WhoAndWhere {...props} />
      <Switch
        label="Knives are treated roughly there"
        checked={away.roughUse ?? kitchen.habits?.roughUse ?? false}
        onChange={(e) => onChange({ ...away, roughUse: e.currentTarget.checked })}
      />
      <CookedThere {...props} />
      <Figure
        label="Most it may weigh, g"
        value={away.maxWeightG ?? null}
        bounds={BOUNDS.rollWeightG}
        step={50}
        unsaid={{ holds: 'does not matter', onEmptied: () => onChange({ ...away, maxWeightG: undefined }) }}
        onChange={(maxWeightG) => onChange({ ...away, maxWeightG })}
      />
      <details>
        <summary>The pockets of the roll ({roll.pockets.length})</summary>
        <PlaceMeasures
          place={roll}
          onChange={(place) => place.kind === 'roll' && onChange({ ...away, pockets: place.pockets })}
        />
      </details>
      <Button variant="default" onClick={onRemove}>
        Remove this kitchen
      </Button>
    </section>
  );
}

function WhoAndWhere({ away, kitchen, onChange }: ThereProps) {
  const cooks = kitchen.cooks ?? [];
  return (
    <>
      <TextInput
        label="Name"
        maxLength={60}
        value={away.name ?? ''}
        onChange={(e) => {
          const typed = e.currentTarget.value;
          onChange({ ...away, name: typed.trim() ? typed : undefined });
        }}
      />
      {cooks.length > 1 && (
        <NativeSelect
          label="Who goes"
          value={String(away.cook ?? 0)}
          data={cooks.map((cook, i) => ({ value: String(i), label: cookName(cook, i) }))}
          onChange={(e) => onChange({ ...away, cook: Number(e.currentTarget.value) })}
        />
      )}
      <NativeSelect
        label="Its board"
        value={away.board?.material ?? ''}
        data={[{ value: '', label: 'as at home' }, ...BOARD_MATERIALS.map((each) => ({ value: each, label: each }))]}
        onChange={(e) => {
          const next = BOARD_MATERIALS.find((each) => each === e.currentTarget.value);
          onChange({ ...away, board: next ? { ...away.board, material: next } : undefined });
        }}
      />
    </>
  );
}

function CookedThere({ away, onChange }: ThereProps) {
  return (
    <fieldset className={css.cuisines}>
      <legend>What is cooked there</legend>
      <Chip checked={away.cooking === undefined} size="sm" onChange={() => onChange({ ...away, cooking: undefined })}>
        as at home
      </Chip>
      <Chip.Group
        multiple
        value={(away.cooking?.cuisines ?? []).map((each) => each.id)}
        onChange={(ids) =>
          onChange({
            ...away,
            cooking: ids.length > 0 ? { ...away.cooking, cuisines: ids.map((each) => ({ id: each })) } : undefined,
          })
        }
      >
        {[...cuisineNames].map(([value, name]) => (
          <Chip key={value} value={value} size="sm">
            {name}
          </Chip>
        ))}
      </Chip.Group>
    </fieldset>
  );
}

function Packed({ kitchen, away, worker }: { kitchen: KitchenFile; away: AwayFile; worker: Remote<KitchenWorker> }) {
  const file = useOthersKept(kitchen);
  const ask = useCallback(() => worker.packed(file, away), [file, away, worker]);
  const { found: packed, trouble } = useAsked(ask);
  if (trouble) return <p role="alert">{trouble}</p>;
  return packed ? (
    <PackingList packed={packed} name={away.name ?? 'elsewhere'} />
  ) : (
    <Working>Choosing what to carry</Working>
  );
}
