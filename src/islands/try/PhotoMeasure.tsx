import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { OwnedFile, ProfileFile } from '../../core/formats/kitchenFile';
import { type Grey, greyOf, refinedCorners } from '../../core/measure/picture';
import { profileOf, type Profile } from '../../core/measure/profile';
import { cardPlane, type Spot } from '../../core/measure/rectify';
import { inPlane, traceBlade, type Traces } from '../../core/measure/trace';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { FilePicker } from '../shared/FilePicker';
import { useLengths } from '../shared/units';
import { Working } from '../shared/Working';
import { today } from '../shared/today';
import css from './MeasureView.module.css';

/** Longest side a photo is reduced to, pixels: finer than a hand points. */
const LONGEST = 1600;
const MAX_BYTES = 40 * 1024 * 1024;

/** What is pointed at, in this order. */
const POINTS = [
  'A corner of the card, the first of four round it clockwise',
  'The next corner of the card',
  'The corner after that',
  'The last corner of the card',
  'The heel, where the edge begins',
  'The tip',
  'The spine, straight above the heel',
] as const;

/** Places to begin with: the card's corners, then heel, tip and spine, as shares of the picture. */
const BEGIN: readonly (readonly [number, number])[] = [
  [0.4, 0.6],
  [0.6, 0.6],
  [0.6, 0.8],
  [0.4, 0.8],
  [0.35, 0.4],
  [0.85, 0.4],
  [0.35, 0.3],
];

interface Photo {
  pixels: ImageData;
  grey: Grey;
}

/** A photo of a knife beside a bank card, measured in the browser: nothing is sent anywhere. */
export function PhotoMeasure({
  worker,
  blade,
  onUse,
}: {
  worker: Remote<KitchenWorker>;
  blade: BladeModel;
  onUse: (profile: ProfileFile, shape: Pick<OwnedFile, 'bellyMm' | 'flatShare'>) => void;
}) {
  const [photo, setPhoto] = useState<Photo | null>(null);
  const [points, setPoints] = useState<Spot[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [working, setWorking] = useState(false);
  const [used, setUsed] = useState(false);
  const take = (pixels: ImageData, at?: Spot[]) => {
    setPhoto({ pixels, grey: greyOf(pixels) });
    setPoints(at ?? BEGIN.map(([x, y]) => ({ x: x * pixels.width, y: y * pixels.height })));
    setUsed(false);
  };
  const read = async (work: () => Promise<void>) => {
    setTrouble(null);
    setWorking(true);
    try {
      await work();
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'The photo could not be read.');
    } finally {
      setWorking(false);
    }
  };
  return (
    <section aria-labelledby="photo" className={css.part}>
      <h2 id="photo">From a photo beside a bank card</h2>
      <p>
        Lay the knife flat on a plain surface, a bank card beside its edge, and photograph both from above. The photo
        stays on this device. Cover the card’s number.
      </p>
      <div className={css.row}>
        <FilePicker
          name="Photo of the knife beside a bank card"
          accept="image/*"
          onPick={(file) =>
            void read(async () => {
              take(await pixelsOf(file));
            })
          }
        >
          Choose a photo
        </FilePicker>
        {[0, 1, 2].map((which) => (
          <Button
            key={which}
            variant="default"
            onClick={() =>
              void read(async () => {
                const example = await worker.example(blade, which);
                const { data, width, height, corners, heel, tip, spineAtHeel } = example;
                // as a hand points: near, not exactly
                const near = [...corners, heel, tip, spineAtHeel].map(({ x, y }, i) => ({
                  x: x + 3 * Math.cos(2 * i),
                  y: y + 3 * Math.sin(2 * i),
                }));
                take(new ImageData(data, width, height), near);
              })
            }
          >
            Example {which + 1}
          </Button>
        ))}
      </div>
      {trouble && <p role="alert">{trouble}</p>}
      {working && <Working>Reading the photo</Working>}
      {photo && (
        <OnPhoto
          {...{ photo, points, used }}
          onMove={(next) => {
            setPoints(next);
            setUsed(false);
          }}
          onUse={(profile, shape) => {
            onUse(profile, shape);
            setUsed(true);
          }}
        />
      )}
    </section>
  );
}

/** A photo's pixels, reduced to what a hand can point at. Throws a sentence when it is none. */
async function pixelsOf(file: File): Promise<ImageData> {
  if (file.size > MAX_BYTES) throw new Error('This photo is larger than 40 MB; take a smaller one.');
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Error('This is no photo that can be read here; use a JPEG or PNG.');
  }
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(width, height);
  const on = canvas.getContext('2d');
  if (!on) throw new Error('This browser cannot read photos.');
  on.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return on.getImageData(0, 0, width, height);
}

/** What the points come to: the outline found and the figures, or why there are none. */
function measured(grey: Grey, points: readonly Spot[]): { traces: Traces; profile: Profile } | string {
  const [heel, tip, spine] = points.slice(4);
  const plane = cardPlane(refinedCorners(grey, points.slice(0, 4)));
  if (!plane || !heel || !tip || !spine) return 'The four corners go round the card, clockwise.';
  const traces = traceBlade(grey, plane, heel, tip, spine);
  if (traces.edge.length < 8 || traces.spine.length < 6)
    return 'The outline of the blade does not stand out here: move heel, tip and spine to their places, or take a photo on a darker or lighter surface.';
  const profile = profileOf(inPlane(plane, traces));
  const plausible =
    profile.lengthMm >= 40 && profile.lengthMm <= 450 && profile.heelHeightMm >= 10 && profile.heelHeightMm <= 130;
  return plausible
    ? { traces, profile }
    : `That would be a blade of ${Math.round(profile.lengthMm)} by ${Math.round(profile.heelHeightMm)} mm: look at the points once more.`;
}

const rounded = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(2));

/** What of a profile is kept in the kitchen, to a tenth of a millimetre. */
function kept({ lengthMm, heelHeightMm, edge, bellyMm, flatShare }: Profile) {
  return {
    profile: {
      on: today(),
      lengthMm: rounded(lengthMm, 0.5),
      heelHeightMm: rounded(heelHeightMm, 0.1),
      edge: edge.map(({ x, y }) => ({ x: Math.max(0, rounded(x, 0.1)), y: rounded(y, 0.1) })),
    },
    shape: {
      bellyMm: Math.min(60, Math.max(-15, rounded(bellyMm, 0.1))),
      flatShare: rounded(Math.min(1, Math.max(0, flatShare)), 0.01),
    },
  };
}

function OnPhoto({
  photo: { pixels, grey },
  points,
  used,
  onMove,
  onUse,
}: {
  photo: Photo;
  points: readonly Spot[];
  used: boolean;
  onMove: (points: Spot[]) => void;
  onUse: (profile: ProfileFile, shape: Pick<OwnedFile, 'bellyMm' | 'flatShare'>) => void;
}) {
  const { length } = useLengths();
  const canvas = useRef<HTMLCanvasElement>(null);
  const loupe = useRef<HTMLCanvasElement>(null);
  const [at, setAt] = useState(0);
  const [dragging, setDragging] = useState<number | null>(null);
  useEffect(() => {
    canvas.current?.getContext('2d')?.putImageData(pixels, 0, 0);
  }, [pixels]);
  const shown = points[dragging ?? at];
  useEffect(() => {
    const on = loupe.current?.getContext('2d');
    if (!on || !shown || !canvas.current) return;
    const [size, wide] = [on.canvas.width, 36];
    on.fillStyle = '#888';
    on.fillRect(0, 0, size, size);
    on.imageSmoothingEnabled = false;
    on.drawImage(canvas.current, shown.x - wide / 2, shown.y - wide / 2, wide, wide, 0, 0, size, size);
    on.strokeStyle = '#e3ac3d';
    on.lineWidth = 1.5;
    on.beginPath();
    on.moveTo(size / 2, 0);
    on.lineTo(size / 2, size);
    on.moveTo(0, size / 2);
    on.lineTo(size, size / 2);
    on.stroke();
  }, [shown, pixels]);
  const found = useMemo(() => measured(grey, points), [grey, points]);
  const move = (i: number, to: Spot) =>
    onMove(
      points.map((point, k) =>
        k === i
          ? { x: Math.min(pixels.width, Math.max(0, to.x)), y: Math.min(pixels.height, Math.max(0, to.y)) }
          : point,
      ),
    );
  const spotOf = (e: React.PointerEvent): Spot => {
    const box = e.currentTarget.getBoundingClientRect();
    return {
      x: ((e.clientX - box.left) / box.width) * pixels.width,
      y: ((e.clientY - box.top) / box.height) * pixels.height,
    };
  };
  const radius = pixels.width / 90;
  return (
    <>
      <div className={css.guided}>
        <p>
          <b>
            {at + 1} of {POINTS.length}:
          </b>{' '}
          {POINTS[at]}. Press where it is, or move the ring with the arrow keys; near is enough, sides and outline are
          found by themselves.
        </p>
        <canvas ref={loupe} width={120} height={120} className={css.loupe} aria-hidden="true" />
      </div>
      <div className={css.photo}>
        <canvas ref={canvas} width={pixels.width} height={pixels.height} />
        <svg
          viewBox={`0 0 ${pixels.width} ${pixels.height}`}
          onPointerDown={(e) => {
            const to = spotOf(e);
            // a ring that was pressed is dragged, otherwise the one whose turn it is comes here
            const near = points.findIndex(({ x, y }) => Math.hypot(x - to.x, y - to.y) < 2 * radius);
            const i = near < 0 ? at : near;
            e.currentTarget.setPointerCapture(e.pointerId);
            setAt(i);
            setDragging(i);
            if (near < 0) move(i, to);
          }}
          onPointerMove={(e) => {
            if (dragging !== null) move(dragging, spotOf(e));
          }}
          onPointerUp={() => {
            if (dragging !== null) setAt(Math.min(POINTS.length - 1, dragging + 1));
            setDragging(null);
          }}
        >
          <polygon
            className={css.card}
            points={points
              .slice(0, 4)
              .map(({ x, y }) => `${x},${y}`)
              .join(' ')}
          />
          {typeof found !== 'string' &&
            [...found.traces.edge, ...found.traces.spine].map(({ x, y }, i) => (
              <circle key={i} className={css.traced} cx={x} cy={y} r={radius / 3} />
            ))}
          {points.map(({ x, y }, i) => (
            <circle
              key={i}
              className={css.ring}
              cx={x}
              cy={y}
              r={radius}
              tabIndex={0}
              role="button"
              aria-label={`${POINTS[i] ?? ''}; arrow keys move it`}
              data-on={i === at || undefined}
              onFocus={() => setAt(i)}
              onKeyDown={(e) => {
                const by = e.shiftKey ? 10 : 1;
                const to = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[e.key];
                if (!to) return;
                e.preventDefault();
                move(i, { x: x + (to[0] ?? 0), y: y + (to[1] ?? 0) });
              }}
            />
          ))}
        </svg>
      </div>
      {typeof found === 'string' ? (
        <p role="status">{found}</p>
      ) : (
        <>
          <dl className={css.found} role="status">
            {[
              ['Edge', length(rounded(found.profile.lengthMm, 0.5))],
              ['Height at the heel', length(rounded(found.profile.heelHeightMm, 0.1))],
              ['Rise of the edge to the tip', length(rounded(found.profile.bellyMm, 0.1))],
              ['Flat', `${Math.round(100 * found.profile.flatShare)}% of it`],
              ['Point', found.profile.tip],
            ].map(([name, value]) => (
              <div key={name}>
                <dt>{name}</dt>
                <dd className="figure">{value}</dd>
              </div>
            ))}
          </dl>
          {found.profile.strayMm > 1 && (
            <p>The outline strays by {found.profile.strayMm.toFixed(1)} mm: something else may have been followed.</p>
          )}
          <div className={css.row}>
            <Button
              disabled={used}
              onClick={() => {
                const { profile, shape } = kept(found.profile);
                onUse(profile, shape);
              }}
            >
              {used ? 'In use for this knife' : 'Use these figures'}
            </Button>
          </div>
        </>
      )}
    </>
  );
}
