import { Button } from '@mantine/core';
import { type ComponentProps, useEffect, useMemo, useRef, useState } from 'react';
import type { Profile } from '../../core/measure/profile';
import type { Spot } from '../../core/measure/rectify';
import { ARROWS } from '../shared/keySteps';
import { useLengths } from '../shared/units';
import css from './MeasureView.module.css';
import { type Kept, kept, measured, movedPoint, type Photo, POINTS, rounded } from './photo';

interface Props {
  photo: Photo;
  points: readonly Spot[];
  /** These figures are in use already. */
  used: boolean;
  onMove: (points: Spot[]) => void;
  onUse: (kept: Kept) => void;
}

/** A photo with its points to move, the outline found between them and the figures it comes to. */
export function OnPhoto({ photo: { pixels, grey }, points, used, onMove, onUse }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [at, setAt] = useState(0);
  const [dragging, setDragging] = useState<number | null>(null);
  useEffect(() => {
    canvas.current?.getContext('2d')?.putImageData(pixels, 0, 0);
  }, [pixels]);
  const shown = points[dragging ?? at];
  const found = useMemo(() => measured(grey, points), [grey, points]);
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
        <Loupe from={canvas} pixels={pixels} at={shown} />
      </div>
      <div className={css.photo}>
        <canvas ref={canvas} width={pixels.width} height={pixels.height} />
        <Rings {...{ pixels, points, radius, at, dragging }} onAt={setAt} onDragging={setDragging} onMove={onMove}>
          {typeof found !== 'string' &&
            [...found.traces.edge, ...found.traces.spine].map(({ x, y }, i) => (
              <circle key={i} className={css.traced} cx={x} cy={y} r={radius / 3} />
            ))}
        </Rings>
      </div>
      {typeof found === 'string' ? (
        <p role="status">{found}</p>
      ) : (
        <Found profile={found.profile} used={used} onUse={() => onUse(kept(found.profile))} />
      )}
    </>
  );
}

/** The spot that is pointed at, enlarged under a cross. */
function Loupe({
  from,
  pixels,
  at,
}: {
  from: React.RefObject<HTMLCanvasElement | null>;
  pixels: ImageData;
  at: Spot | undefined;
}) {
  const loupe = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const on = loupe.current?.getContext('2d');
    if (!on || !at || !from.current) return;
    const [size, wide] = [on.canvas.width, 36];
    on.fillStyle = '#888';
    on.fillRect(0, 0, size, size);
    on.imageSmoothingEnabled = false;
    on.drawImage(from.current, at.x - wide / 2, at.y - wide / 2, wide, wide, 0, 0, size, size);
    on.strokeStyle = '#e3ac3d';
    on.lineWidth = 1.5;
    on.beginPath();
    on.moveTo(size / 2, 0);
    on.lineTo(size / 2, size);
    on.moveTo(0, size / 2);
    on.lineTo(size, size / 2);
    on.stroke();
  }, [at, from, pixels]);
  return <canvas ref={loupe} width={120} height={120} className={css.loupe} aria-hidden="true" />;
}

interface RingsProps {
  pixels: ImageData;
  points: readonly Spot[];
  radius: number;
  /** The point whose turn it is, and the one being dragged. */
  at: number;
  dragging: number | null;
  onAt: (point: number) => void;
  onDragging: (point: number | null) => void;
  onMove: (points: Spot[]) => void;
  children: React.ReactNode;
}

/** A ring round every point, moved by pointer or keys. */
function Rings({ pixels, points, radius, at, dragging, onAt, onDragging, onMove, children }: RingsProps) {
  const move = (i: number, to: Spot) => onMove(movedPoint(points, i, to, pixels));
  return (
    <svg
      viewBox={`0 0 ${pixels.width} ${pixels.height}`}
      onPointerDown={(e) => {
        const to = spotOf(e, pixels);
        // a ring that was pressed is dragged, otherwise the one whose turn it is comes here
        const near = points.findIndex(({ x, y }) => Math.hypot(x - to.x, y - to.y) < 2 * radius);
        const i = near < 0 ? at : near;
        e.currentTarget.setPointerCapture(e.pointerId);
        onAt(i);
        onDragging(i);
        if (near < 0) move(i, to);
      }}
      onPointerMove={(e) => {
        if (dragging !== null) move(dragging, spotOf(e, pixels));
      }}
      onPointerUp={() => {
        if (dragging !== null) onAt(Math.min(POINTS.length - 1, dragging + 1));
        onDragging(null);
      }}
    >
      <polygon
        className={css.card}
        points={points
          .slice(0, 4)
          .map(({ x, y }) => `${x},${y}`)
          .join(' ')}
      />
      {children}
      {points.map((point, i) => (
        <Ring
          key={i}
          label={`${POINTS[i] ?? ''}; arrow keys move it`}
          {...{ point, radius }}
          on={i === at}
          onFocus={() => onAt(i)}
          onMove={(to) => move(i, to)}
        />
      ))}
    </svg>
  );
}

const spotOf = (e: React.PointerEvent, { width, height }: ImageData): Spot => {
  const box = e.currentTarget.getBoundingClientRect();
  return { x: ((e.clientX - box.left) / box.width) * width, y: ((e.clientY - box.top) / box.height) * height };
};

function Ring({
  label,
  point: { x, y },
  radius,
  on,
  onMove,
  ...rest
}: {
  label: string;
  point: Spot;
  radius: number;
  on: boolean;
  onMove: (to: Spot) => void;
} & Pick<ComponentProps<'circle'>, 'onFocus'>) {
  return (
    <circle
      className={css.ring}
      cx={x}
      cy={y}
      r={radius}
      tabIndex={0}
      role="button"
      aria-label={label}
      data-on={on || undefined}
      {...rest}
      onKeyDown={(e) => {
        const by = e.shiftKey ? 10 : 1;
        const to = ARROWS[e.key];
        if (!to) return;
        e.preventDefault();
        onMove({ x: x + by * to[0], y: y + by * to[1] });
      }}
    />
  );
}

/** The figures of a measured blade, and the button that takes them. */
function Found({ profile, used, onUse }: { profile: Profile; used: boolean; onUse: () => void }) {
  const { length } = useLengths();
  return (
    <>
      <dl className={css.found} role="status">
        {[
          ['Edge', length(rounded(profile.lengthMm, 0.5))],
          ['Height at the heel', length(rounded(profile.heelHeightMm, 0.1))],
          ['Rise of the edge to the tip', length(rounded(profile.bellyMm, 0.1))],
          ['Flat', `${Math.round(100 * profile.flatShare)}% of it`],
          ['Point', profile.tip],
        ].map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd className="figure">{value}</dd>
          </div>
        ))}
      </dl>
      {profile.strayMm > 1 && (
        <p>The outline strays by {profile.strayMm.toFixed(1)} mm: something else may have been followed.</p>
      )}
      <div className={css.row}>
        <Button disabled={used} onClick={onUse}>
          {used ? 'In use for this knife' : 'Use these figures'}
        </Button>
      </div>
    </>
  );
}
