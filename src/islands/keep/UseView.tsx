import { Button, Chip, Switch } from '@mantine/core';
import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import type { UsedKnife, UseReport } from '../../core/kit/drawer/used';
import type { CookFile } from '../../core/formats/kitchenFile';
import { diaryChanged, logged } from '../../core/kitchen/deeds';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import { cookName, knifeName } from '../shared/names';
import { ColumnPage, PageHead } from '../shared/PageHead';
import { today } from '../shared/today';
import { useAsked } from '../shared/useAsked';
import { useCatalogue } from '../shared/useCatalogue';
import type { KitchenEdits } from '../shared/useKitchen';
import { day, percent } from '../shared/words';
import { Working } from '../shared/Working';
import { ForTask } from './ForTask';
import { useOthersKept } from './useOthersKept';
import css from './UseView.module.css';

/** Which knife now: one tap each time one is drawn, and what that tells beside what was reckoned. */
export default function UseView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="keep/use">
      {(edits, worker) => <Use edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function useUsed({ kitchen }: KitchenEdits, worker: Remote<KitchenWorker>) {
  const file = useOthersKept(kitchen);
  const { catalogue, trouble: noCatalogue } = useCatalogue(worker);
  const ask = useMemo(() => (catalogue ? () => worker.used(file) : null), [catalogue, file, worker]);
  const { found: used, trouble } = useAsked(ask);
  return { used, trouble: noCatalogue ?? trouble };
}

/** Writing down that a knife was taken up, by whom, and taking that back. */
function useDraw({ kitchen, update }: KitchenEdits) {
  const [who, setWho] = useState<number | null>(null);
  const [last, setLast] = useState<string | null>(null);
  const diary = kitchen.diary ?? [];
  const on = today();
  return {
    who,
    setWho,
    last,
    usedToday: (knife: number) =>
      diary.filter((each) => each.did === 'used' && each.on === on && each.knife === knife).length,
    draw: (knife: number, name: string) => {
      const cook = who === null ? {} : { cook: who };
      update((file) => logged(file, { on, did: 'used', knife, ...cook }), { alone: true });
      setLast(name);
    },
    takeBack: () => {
      const at = diary.findLastIndex(({ did }) => did === 'used');
      if (at >= 0) update((file) => diaryChanged(file, at, null), { alone: true });
      setLast(null);
    },
  };
}

function Use({ edits, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { used, trouble } = useUsed(edits, worker);
  const { who, setWho, last, usedToday, draw, takeBack } = useDraw(edits);
  return (
    <ColumnPage>
      <PageHead here="keep/use">
        Choose what you cut, and see which knife of your drawer to take. Tap each knife as you pick it up: after a few
        weeks the plan knows what you really cut.
      </PageHead>
      {trouble && <p role="alert">{trouble}</p>}
      {!used && !trouble && <Working>Loading your drawer</Working>}
      {used?.blades.length === 0 && <p>No knives yet. Add your knives to the drawer first.</p>}
      {used && used.blades.length > 0 && (
        <>
          <ForTask served={used.served} blades={used.blades} />
          <Who cooks={kitchen.cooks ?? []} who={who} onWho={setWho} />
          <ul className={css.tiles}>
            {used.blades.map((blade, i) => (
              <li key={i}>
                <Tile blade={blade} count={usedToday(i)} onDraw={() => draw(i, knifeName(blade))} />
              </li>
            ))}
          </ul>
          <div className={css.last}>
            <p role="status">{last === null ? '' : `Written down: ${last}.`}</p>
            {last !== null && (
              <Button variant="default" onClick={takeBack}>
                Take it back
              </Button>
            )}
          </div>
          <Told report={used.report} />
          <Switch
            label="Let the diary teach the plan, slowly, what you cut and how you move a knife"
            checked={kitchen.learnsFromUse ?? true}
            onChange={(e) => {
              const teaches = e.currentTarget.checked;
              update((file) => ({ ...file, learnsFromUse: teaches ? undefined : false }));
            }}
          />
        </>
      )}
    </ColumnPage>
  );
}

/** Whose hand it is, where several cook. */
function Who({
  cooks,
  who,
  onWho,
}: {
  cooks: readonly CookFile[];
  who: number | null;
  onWho: (who: number | null) => void;
}) {
  if (cooks.length < 2) return null;
  return (
    <Chip.Group
      value={who === null ? '' : String(who)}
      onChange={(value) => onWho(value === '' ? null : Number(value))}
    >
      <div className={css.who} role="group" aria-label="Who cooks">
        <Chip value="">nobody named</Chip>
        {cooks.map((cook, i) => (
          <Chip key={i} value={String(i)}>
            {cookName(cook, i)}
          </Chip>
        ))}
      </div>
    </Chip.Group>
  );
}

function Tile({ blade, count, onDraw }: { blade: BladeModel; count: number; onDraw: () => void }) {
  const { width, height } = placed(blade, false);
  return (
    <button type="button" className={css.tile} onClick={onDraw}>
      <svg viewBox={`-1 -1 ${Math.max(330, width) + 2} ${height + 2}`} aria-hidden="true">
        <KnifeDrawing blade={blade} upright={false} owned line={1.4} />
      </svg>
      <b>{knifeName(blade)}</b>
      <span>{count === 0 ? 'not yet today' : count === 1 ? 'once today' : `${count} times today`}</span>
    </button>
  );
}

/** How the knives are drawn beside what was reckoned, and what it changed. */
function Told({ report: { uses, days, knives, taught } }: { report: UseReport }) {
  if (uses === 0) return <p className="faded">Nothing recorded yet.</p>;
  const most = Math.max(0.01, ...knives.flatMap(({ share, reckoned }) => [share, reckoned]));
  return (
    <section className={css.told} aria-labelledby="told">
      <h2 id="told">Used, compared with what was expected</h2>
      <p className="faded">
        {uses === 1 ? 'One use' : `${uses} uses`} in {days === 1 ? 'one day' : `${days} days`}. Upper bar: as drawn.
        Lower: as your cooking and these knives would have it. Estimates, until there are some weeks of it.
      </p>
      <ul className={css.bars}>
        {knives.map((knife) => (
          <Bars key={knife.owned} knife={knife} most={most} />
        ))}
      </ul>
      {taught.length > 0 && (
        <>
          <h3>What it changed in the plan</h3>
          {taught.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </>
      )}
    </section>
  );
}

function Bars({ knife: { name, uses, last, share, reckoned, story }, most }: { knife: UsedKnife; most: number }) {
  const width = (part: number) => ({ width: `${(100 * part) / most}%` });
  return (
    <li>
      <div>
        <b>{name}</b>
        <span className="faded">
          {uses === 0 ? 'never drawn' : `${uses === 1 ? 'once' : `${uses} times`}, last ${day(last ?? '')}`}
        </span>
      </div>
      <div className={css.pair}>
        <i style={width(share)} />
        <i data-reckoned style={width(reckoned)} />
        <span className="visually-hidden">
          {percent(share)} of what is drawn, {percent(reckoned)} reckoned
        </span>
        <span aria-hidden="true" className="figure">
          {percent(share)} · {percent(reckoned)}
        </span>
      </div>
      {story && <p>{story}</p>}
    </li>
  );
}
