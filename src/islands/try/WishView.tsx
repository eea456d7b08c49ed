import { Button, NativeSelect } from '@mantine/core';
import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { WISHES } from '../../core/formats/kitchenWords';
import { fromMinor } from '../../core/money/currency';
import type { WishedModel } from '../../workers/stock';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import type { KitchenEdits } from '../shared/useKitchen';
import { useLengths } from '../shared/units';
import { useAsked } from '../shared/useAsked';
import { useCatalogue } from '../shared/useCatalogue';
import { Working } from '../shared/Working';
import { money, percent, typeName } from '../shared/words';
import { ColumnPage, PageHead } from '../shared/PageHead';
import css from './WishView.module.css';

type Wish = (typeof WISHES)[number];

export const WISH_WORDS: Record<Wish, string> = {
  light: 'light',
  heavy: 'heavy',
  tall: 'tall at the heel',
  low: 'low at the heel',
  short: 'short',
  long: 'long',
  thin: 'thin behind the edge',
  sturdy: 'sturdy',
  pointed: 'finely pointed',
  'safe-tip': 'a tip that cannot stab',
  'wet-proof': 'stands water',
  'rust-free': 'never rusts',
  'easy-to-sharpen': 'easy to sharpen',
  'keeps-its-edge': 'keeps its edge',
  rocks: 'rocks',
  flat: 'flat on the board',
  'grips-when-greasy': 'grips when greasy',
  'no-bolster': 'no bolster at the heel',
  'smooth-corners': 'smooth spine and heel',
  cheap: 'cheap',
};
const MOST_SHOWN = 24;

/** What a cook would like of a knife, most wanted first, and the knives that go furthest with it. */
export default function WishView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="try/wishes">
      {(edits, worker) => <Wishes id={stored.id} edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

/** The models by these wishes, once the worker has them. */
function useWished({ kitchen }: KitchenEdits, worker: Remote<KitchenWorker>) {
  const { catalogue, trouble: noCatalogue } = useCatalogue(worker);
  const ask = useMemo(() => catalogue && (() => worker.wished(kitchen)), [kitchen, catalogue, worker]);
  const { found, trouble } = useAsked(ask);
  return { found, trouble: noCatalogue ?? trouble };
}

function Wishes({ id, edits, worker }: { id: string; edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { found, trouble } = useWished(edits, worker);
  const wishes = kitchen.wishes ?? [];
  return (
    <ColumnPage>
      <PageHead here="try/wishes">
        What you would like of a knife, most wanted first. It is kept and looked up again whenever the catalogue grows;
        it never changes a score or the plan.
      </PageHead>
      {trouble && <p role="alert">{trouble}</p>}
      <Wanted
        wishes={wishes}
        onChange={(next) => update((file) => ({ ...file, wishes: next.length > 0 ? next : undefined }))}
      />
      {!found && !trouble && <Working>Looking through all knives</Working>}
      {wishes.length > 0 && found && <Furthest id={id} found={found} />}
    </ColumnPage>
  );
}

interface WantedProps {
  wishes: readonly Wish[];
  onChange: (wishes: Wish[]) => void;
}

/** The wishes in their order, to be moved, taken out and added to. */
function Wanted({ wishes, onChange }: WantedProps) {
  const move = (at: number, by: number) => {
    const next = [...wishes];
    const [taken] = next.splice(at, 1);
    if (taken) next.splice(at + by, 0, taken);
    onChange(next);
  };
  return (
    <section className={css.wishes} aria-labelledby="wanted">
      <h2 id="wanted">Most wanted first</h2>
      {wishes.length === 0 && <p className="faded">Nothing yet: choose below.</p>}
      <ol>
        {wishes.map((wish, i) => (
          <li key={wish}>
            <span>{WISH_WORDS[wish]}</span>
            <span className={css.row}>
              {(
                [
                  ['More wanted', '↑', i === 0, () => move(i, -1)],
                  ['Less wanted', '↓', i === wishes.length - 1, () => move(i, 1)],
                  ['No longer wanted', '×', false, () => onChange(wishes.filter((each) => each !== wish))],
                ] as const
              ).map(([what, sign, disabled, work]) => (
                <Button
                  key={what}
                  size="compact-md"
                  variant="default"
                  disabled={disabled}
                  aria-label={`${what}: ${WISH_WORDS[wish]}`}
                  onClick={work}
                >
                  {sign}
                </Button>
              ))}
            </span>
          </li>
        ))}
      </ol>
      <NativeSelect
        label="Wish for"
        value=""
        data={[
          { value: '', label: 'choose' },
          ...WISHES.filter((wish) => !wishes.includes(wish)).map((wish) => ({ value: wish, label: WISH_WORDS[wish] })),
        ]}
        onChange={(e) => {
          const wish = WISHES.find((each) => each === e.currentTarget.value);
          if (wish) onChange([...wishes, wish]);
        }}
      />
    </section>
  );
}

/** The knives that go furthest with the wishes, of every kind or of one. */
function Furthest({ id, found }: { id: string; found: readonly WishedModel[] }) {
  const [role, setRole] = useState('');
  const types = [...new Set(found.map(({ blade }) => blade.type))].sort((a, b) =>
    typeName(a).localeCompare(typeName(b)),
  );
  const shown = found.filter(({ blade }) => role === '' || blade.type === role).slice(0, MOST_SHOWN);
  return (
    <section className={css.found} aria-labelledby="found">
      <div className={css.head}>
        <h2 id="found">Has most of it</h2>
        <NativeSelect
          aria-label="Kind of knife"
          value={role}
          data={[{ value: '', label: 'every kind' }, ...types.map((type) => ({ value: type, label: typeName(type) }))]}
          onChange={(e) => setRole(e.currentTarget.value)}
        />
      </div>
      <p className="faded">The bar beside each wish shows how many of all knives have less of it.</p>
      <ul>
        {shown.map((each) => (
          <Found key={each.blade.id} id={id} {...each} />
        ))}
      </ul>
    </section>
  );
}

function Found({ id, blade, share, each, covers }: WishedModel & { id: string }) {
  const { length } = useLengths();
  const { width, height } = placed(blade, false);
  return (
    <li>
      <svg viewBox={`-2 -2 ${Math.max(width, 420) + 4} ${height + 4}`} aria-hidden="true" className={css.knife}>
        <KnifeDrawing blade={blade} upright={false} owned={false} line={1.4} />
      </svg>
      <div>
        <a href={`/kitchens/${id}/blades/${blade.id}`}>
          {blade.name}, {blade.maker}
        </a>{' '}
        <span className="figure">
          {length(blade.lengthMm)}, {money(fromMinor(blade.priceMinor, blade.currency), blade.currency)}
        </span>
        <p className="faded">{each.map(({ wish, share: has }) => `${WISH_WORDS[wish]} ${percent(has)}`).join(', ')}</p>
      </div>
      <p className={css.share}>
        <b className="figure">{percent(share)}</b> of the wishes
        <br />
        <span className="faded">
          alone does <span className="figure">{percent(covers)}</span> of your cutting well
        </span>
      </p>
    </li>
  );
}
