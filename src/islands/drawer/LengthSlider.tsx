import { useRef, type KeyboardEvent } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import { SLIDER_STEPS } from '../shared/keySteps';
import { lengthsIn, useLengths } from '../shared/units';
import css from './DrawerView.module.css';

const LEAST = 40;
const MOST = 450;
/** Width of the drawing, mm: the longest blade with its handle. */
const WIDE = 470;
/** Space before the handle, mm. */
const LEFT = 8;

interface Props {
  blade: BladeModel;
  fixed: boolean;
  lengthMm: number;
  onChange: (mm: number) => void;
}

/** A blade drawn to scale whose tip is dragged to the length of the real one; arrow keys move it by millimetres. */
export function LengthSlider({ blade, fixed, lengthMm, onChange }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const { length } = useLengths();
  const { height } = placed(blade, false);
  const handle = blade.handleLengthMm;
  const wide = Math.max(WIDE, handle + lengthMm + 30);
  const to = (mm: number) => onChange(Math.round(Math.min(MOST, Math.max(LEAST, mm))));
  return (
    <svg
      ref={svg}
      className={css.slider}
      viewBox={`${-LEFT} -6 ${wide + LEFT} ${height + 34}`}
      data-fixed={fixed || undefined}
    >
      <KnifeDrawing blade={blade} upright={false} owned line={1.4} />
      <g transform={`translate(${handle} ${height + 4})`}>
        <Ruler longMm={wide - handle} />
      </g>
      {!fixed && (
        <Knob
          {...{ lengthMm, height }}
          x={handle + lengthMm}
          onMove={(by) => to(lengthMm + by)}
          onPoint={(clientX) => {
            const box = svg.current?.getBoundingClientRect();
            if (box) to(((clientX - box.left) / box.width) * (wide + LEFT) - LEFT - handle);
          }}
        />
      )}
      <text className={css.length} x={wide - 4} y={14} textAnchor="end">
        {length(lengthMm)}
      </text>
    </svg>
  );
}

/** Marks every 10 mm, figures every 50. */
function Ruler({ longMm }: { longMm: number }) {
  const marks = Array.from({ length: Math.floor(longMm / 10) }, (_, i) => i * 10);
  return (
    <>
      {marks.map((mm) => (
        <path key={mm} className={css.tick} d={`M${mm} 0v${mm % 50 === 0 ? 7 : 4}`} />
      ))}
      {marks
        .filter((mm) => mm % 50 === 0)
        .map((mm) => (
          <text key={mm} className={css.figure} x={mm} y={19} textAnchor="middle">
            {mm}
          </text>
        ))}
    </>
  );
}

interface KnobProps {
  lengthMm: number;
  x: number;
  height: number;
  onMove: (byMm: number) => void;
  onPoint: (clientX: number) => void;
}

function Knob({ lengthMm, x, height, onMove, onPoint }: KnobProps) {
  const press = (event: KeyboardEvent) => {
    const by = SLIDER_STEPS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onMove(by);
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label="Length of the edge"
      aria-valuemin={LEAST}
      aria-valuemax={MOST}
      aria-valuenow={Math.round(lengthMm)}
      aria-valuetext={`${Math.round(lengthMm)} millimetres, ${lengthsIn('inches').length(lengthMm)}`}
      className={css.knob}
      onKeyDown={press}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        onPoint(e.clientX);
      }}
      onPointerMove={(e) => e.currentTarget.hasPointerCapture(e.pointerId) && onPoint(e.clientX)}
    >
      <rect x={x - 16} y={-6} width={32} height={height + 22} fill="transparent" />
      <path d={`M${x} -4V${height + 12}`} />
      <circle cx={x} cy={height / 2} r={6} />
    </g>
  );
}
