import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import { useHotkeys, useLocalStorage } from '@mantine/hooks';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { reference } from '../../../data/reference';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import { pathOf, upsideDown } from '../../core/drawing/shape';
import { sectionPoints } from '../../core/drawing/section';
import { sessionFor, type Session } from '../../core/edge/session';
import { logged } from '../../core/kitchen/deeds';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Edges } from '../../workers/edges';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import { today } from '../shared/today';
import { isTyping } from '../shared/typing';
import type { KitchenEdits } from '../shared/useKitchen';
import { usePlanner } from '../shared/usePlanner';
import { asClock } from '../shared/words';
import { Working } from '../shared/Working';
import { useEdges } from './useEdges';
import css from './StoneView.module.css';

/** A session at the stone for one owned knife, a large step at a time. */
export default function StoneView({ stored, knife }: { stored: StoredKitchen; knife: number }) {
  return (
    <KitchenFrame stored={stored} here="edge">
      {(edits, worker) => <Stone id={stored.id} edits={edits} worker={worker} knife={knife} />}
    </KitchenFrame>
  );
}

/** What is to be done at the stone to an owned knife; null before its edge is known. */
function useSession(
  found: Edges['knives'][number] | undefined,
  edge: Edges['report']['knives'][number] | undefined,
  diary: KitchenFile['diary'],
): Session | null {
  return useMemo(() => {
    const steel = found && reference.steels.get(found.blade.steel);
    if (!found || !edge || !steel) return null;
    const stones = edge.sharpen?.stones ?? [];
    return sessionFor({
      blade: found.blade,
      steel,
      angleDeg: edge.sharpen?.angleDeg ?? found.blade.edgeAngleDeg,
      spineHeightMm: edge.sharpen?.spineHeightMm ?? 0,
      stones: stones.length > 0 ? stones : ['stone-medium'],
      diary: diary ?? [],
    });
  }, [found, edge, diary]);
}

interface StoneProps {
  id: string;
  edits: KitchenEdits;
  worker: Remote<KitchenWorker>;
  knife: number;
}

function Stone({ id, edits, worker, knife }: StoneProps) {
  const { kitchen, update } = edits;
  const { answer, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const edges = useEdges(answer, worker);
  const found = edges?.knives.find(({ ref }) => ref === `owned-${knife}`);
  const edge = edges?.report.knives.find(({ ref }) => ref === `owned-${knife}`);
  const session = useSession(found, edge, kitchen.diary);
  return (
    <main id="main" className={css.page}>
      <p>
        <a href={`/kitchens/${id}/edge`}>Back to the rack</a>
      </p>
      {trouble && <p role="alert">{trouble}</p>}
      {!edges && !trouble && <Working>Looking at the edge</Working>}
      {edges && !found && <h1>There is no such knife in the drawer</h1>}
      {found && session && !session.can && (
        <>
          <h1>{found.name}</h1>
          <p className={css.large}>{session.why}</p>
        </>
      )}
      {found && session?.can && (
        <Steps
          storeAs={`scabbard.stone.${id}.${knife}`}
          name={found.name}
          blade={found.blade}
          session={session}
          onDone={(minutes) =>
            update((file) =>
              logged(file, {
                on: today(),
                knife,
                did: 'sharpened',
                by: 'stones',
                stones: session.stones || undefined,
                angleDeg: Math.min(50, Math.max(5, session.angleDeg)),
                minutes: Math.min(600, minutes),
              }),
            )
          }
        />
      )}
    </main>
  );
}

interface Kept {
  at: number;
  began: number;
}

/** Where a session stands, as this device keeps it. */
const asKept = ({ at, began }: Kept) => `${at} ${began}`;
function readKept(text = ''): Kept {
  const [at = NaN, began = NaN] = text.split(' ').map(Number);
  return at >= 0 && began > 0 ? { at, began } : { at: 0, began: Date.now() };
}

/** Where a session stands, kept on this device so that it can be taken up again. */
function useKept(key: string): [Kept, (next: Kept | null) => void] {
  const [begun] = useState(readKept);
  const [kept, setKept, forget] = useLocalStorage<Kept>({
    key,
    defaultValue: begun,
    getInitialValueInEffect: false,
    serialize: asKept,
    deserialize: readKept,
  });
  const keep = useCallback((next: Kept | null) => (next ? setKept(next) : forget()), [setKept, forget]);
  return [kept, keep];
}

interface StepsProps {
  storeAs: string;
  name: string;
  blade: BladeModel;
  session: Extract<Session, { can: true }>;
  onDone: (minutes: number) => void;
}

function Steps({ storeAs, name, blade, session, onDone }: StepsProps) {
  const [{ at, began }, keep] = useKept(storeAs);
  const [done, setDone] = useState(false);
  const { steps, caution } = session;
  const step = steps[Math.min(at, steps.length - 1)];
  const last = at >= steps.length - 1;
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), [at]);
  const next = useCallback(() => {
    if (!last) keep({ at: at + 1, began });
  }, [last, at, began, keep]);
  useOnSpace(next);
  const finish = () => {
    onDone(Math.max(1, Math.round((Date.now() - began) / 60_000)));
    setDone(true);
    keep(null);
  };
  if (!step) return null;
  return (
    <section className={css.steps} aria-label={`At the stone: ${name}`}>
      <p className="faded">
        {name}, step {Math.min(at, steps.length - 1) + 1} of {steps.length}
      </p>
      {at === 0 && caution && <p role="alert">{caution}</p>}
      <h1 ref={heading} tabIndex={-1}>
        {step.title}
      </h1>
      {step.draw !== 'none' && <AngleDrawing blade={blade} session={session} flipped={step.draw === 'sides'} />}
      <p className={css.large}>{step.text}</p>
      {step.soaks?.map(({ stone, minutes }) => (
        <Soak key={stone} stone={stone} minutes={minutes} />
      ))}
      {done ? (
        <p role="status">Written into the diary as sharpened today.</p>
      ) : (
        <Button size="xl" onClick={last ? finish : next}>
          {last ? 'It cuts: write it down' : 'Next (space)'}
        </Button>
      )}
      {at > 0 && !done && (
        <Button size="md" variant="default" onClick={() => keep({ at: at - 1, began })}>
          Back
        </Button>
      )}
    </section>
  );
}

/** The space bar goes on, unless it types or presses a button. */
function useOnSpace(next: () => void): void {
  const onSpace = (event: KeyboardEvent) => {
    if (isTyping(event.target) || event.target instanceof HTMLButtonElement) return;
    event.preventDefault();
    next();
  };
  useHotkeys([['space', onSpace, { preventDefault: false }]], []);
}

/** A stone that soaks: its clock runs from when it is put in, beside the others. */
function Soak({ stone, minutes }: { stone: string; minutes: number }) {
  const [since, setSince] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (since === null) return;
    const every = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(every);
  }, [since]);
  const left =
    since === null ? minutes * 60 : Math.max(0, minutes * 60 - Math.round((Math.max(now, since) - since) / 1000));
  return (
    <div className={css.soak}>
      <span>
        {stone}, {minutes} min
      </span>
      {since === null ? (
        <Button
          size="md"
          variant="default"
          aria-label={`In the water: ${stone}`}
          onClick={() => {
            setNow(Date.now());
            setSince(Date.now());
          }}
        >
          In the water
        </Button>
      ) : (
        <b role="timer" className="figure">
          {left === 0 ? 'soaked' : asClock(left)}
        </b>
      )}
    </div>
  );
}

/** The blade on the stone, cut across, its spine held at the height that gives the angle. */
function AngleDrawing({
  blade,
  session: { angleDeg, spineHeightMm },
  flipped,
}: {
  blade: BladeModel;
  session: Extract<Session, { can: true }>;
  flipped: boolean;
}) {
  const { heelHeightMm: heel } = blade;
  const path = pathOf(sectionPoints(blade).map(upsideDown));
  const flat = flipped && blade.bevel === 'single';
  const turn = flat ? 90 : 90 - angleDeg;
  return (
    <svg
      className={css.angle}
      viewBox={`-14 ${-heel * 0.75 - 8} ${heel + 40} ${heel * 0.75 + 26}`}
      role="img"
      aria-label={
        flat
          ? 'The flat back lies on the stone'
          : `A gap of ${spineHeightMm.toFixed(1)} millimetres between the stone and the spine`
      }
    >
      <rect className={css.stone} x={-14} y={0} width={heel + 40} height={14} />
      <g transform={flipped && !flat ? `translate(${heel * 0.9} 0) scale(-1 1)` : undefined}>
        <path className={css.section} d={path} transform={`rotate(${turn})`} />
        {!flat && (
          <>
            <path className={css.height} d={`M${heel * Math.cos((angleDeg * Math.PI) / 180)} 0v${-spineHeightMm}`} />
            <text
              x={heel * Math.cos((angleDeg * Math.PI) / 180) + 3}
              y={-spineHeightMm / 2}
              transform={
                flipped ? `translate(${2 * heel * Math.cos((angleDeg * Math.PI) / 180) + 6} 0) scale(-1 1)` : undefined
              }
            >
              {spineHeightMm.toFixed(1)} mm
            </text>
          </>
        )}
      </g>
    </svg>
  );
}
