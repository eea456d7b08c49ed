import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import { fromMinor } from '../../core/money/currency';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import type { Character } from '../../workers/stock';
import CutPicker from '../cut/CutPicker';
import { Dress } from '../shared/Dress';
import { KitchenMast } from '../shared/KitchenMast';
import { useKitchenWorker } from '../shared/useKitchenWorker';
import { money, taskName, typeName } from '../shared/words';
import css from './BladeView.module.css';
import { BoardView, KnuckleView, SectionView, SideView, SpineView } from './Drawings';
import { useLengths } from '../shared/units';
import { figure } from '../../core/text/figure';

const MOST = 16;

/** One blade: drawn with its dimensions, on the board and under this cook's hand, and what it does in this kitchen. */
export default function BladeView({ stored, model }: { stored: StoredKitchen; model: string }) {
  return (
    <Dress>
      <Blade stored={stored} model={model} />
    </Dress>
  );
}

function Blade({ stored, model }: { stored: StoredKitchen; model: string }) {
  const { worker } = useKitchenWorker();
  const [found, setFound] = useState<Character | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);

  useEffect(() => {
    worker
      .load()
      .then(() => worker.quick(stored.kitchen))
      .then(() => worker.character({ model }))
      .then((character) => {
        if (character) setFound(character);
        else setTrouble('This knife is no longer among all knives.');
      })
      .catch((error: unknown) => setTrouble(error instanceof Error ? error.message : 'The sheet could not be drawn.'));
  }, [worker, stored.kitchen, model]);

  return (
    <>
      <KitchenMast
        kitchenId={stored.id}
        kitchen={stored.kitchen}
        name={stored.kitchen.name ?? 'My kitchen'}
        here={null}
      />
      <main id="main" className={css.page}>
        {trouble && <p role="alert">{trouble}</p>}
        {!found && !trouble && <p className="faded">Drawing…</p>}
        {found && <Sheet found={found} kitchenId={stored.id} worker={worker} />}
      </main>
    </>
  );
}

function Sheet({ found, kitchenId, worker }: { found: Character; kitchenId: string; worker: Remote<KitchenWorker> }) {
  const { blade } = found;
  return (
    <>
      <Head blade={found.blade} kitchenId={kitchenId} />
      <SideView blade={blade} />
      <div className={css.pair}>
        <SpineView blade={blade} />
        <SectionView blade={blade} />
        <BoardView blade={blade} />
        <KnuckleView blade={blade} palmBreadthMm={found.palmBreadthMm} roomMm={found.knuckleRoomMm} />
      </div>
      {found.madeFor.length > 0 && (
        <CutPicker
          worker={worker}
          targets={[{ model: blade.id }]}
          tasks={found.madeFor.slice(0, MOST).map(({ task }) => task)}
        />
      )}
      <Does found={found} />
    </>
  );
}

/** Its name, kind and maker, and its first figures. */
function Head({ blade, kitchenId }: { blade: BladeModel; kitchenId: string }) {
  const { length } = useLengths();
  const figures: [string, string][] = [
    ['Edge', length(blade.lengthMm)],
    ['Heel', length(blade.heelHeightMm)],
    ['Weight', `${blade.weightG.toFixed(0)} g`],
    ['Hardness', blade.hrc === null ? 'ceramic' : `${figure(blade.hrc)} HRC`],
    ['Bevel', blade.bevel === 'double' ? 'double' : `${blade.bevel}, ${blade.handed} hand`],
    ['Handle', `${blade.handleStyle === 'd-shape' ? 'D-shaped' : blade.handleStyle}, ${blade.tang} tang`],
    ['Price', money(fromMinor(blade.priceMinor, blade.currency), blade.currency)],
  ];
  return (
    <div className={css.head}>
      <h1>{blade.name}</h1>
      <p className="faded">
        {typeName(blade.type)} by {blade.maker} ·{' '}
        <a href={`/kitchens/${kitchenId}/compare?blades=${blade.id}`}>Compare it</a>
      </p>
      <dl className={css.figures}>
        {figures.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd className="figure">{value}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

/** What to know of it, what it must never do, and what it does well. */
function Does({ found }: { found: Character }) {
  const { told } = useLengths();
  return (
    <div className={css.pair}>
      <section>
        <h2>To know</h2>
        <ul className={css.list}>
          {found.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      </section>
      <section>
        <h2>Must never do</h2>
        {found.never.length === 0 ? (
          <p className="faded">Nothing in particular; the usual care.</p>
        ) : (
          <ul className={css.list}>
            {found.never.map(({ task, why }) => (
              <li key={task}>
                <b>{taskName(task)}.</b> {told(why)}
              </li>
            ))}
          </ul>
        )}
      </section>
      <section>
        <h2>Does well for this cook</h2>
        <ul className={css.tasks}>
          {found.madeFor.slice(0, MOST).map(({ task, score }) => (
            <li key={task}>
              <span>{taskName(task)}</span> <b className="figure">{score}</b>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
