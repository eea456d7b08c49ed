import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import { lengthsIn, useLengths } from '../shared/units';
import css from './DrawerView.module.css';

const LEAST = 40;
const MOST = 450;
/** Width of the drawing, mm: the longest blade with its handle. */
const WIDE = 470;
/** Space before the handle, mm. */
const LEFT = 8;

/** A blade drawn to scale whose tip is dragged to the length of the real one; arrow keys move it by millimetres. */
export function LengthSlider({
  blade,
  fixed,
  lengthMm,
  onChange,
}: {
  blade: BladeModel;
  fixed: boolean;
  lengthMm: number;
  onChange: (mm: number) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const { length } = useLengths();
  const { height } = placed(blade, false);
  const handle = blade.handleLengthMm;
  const wide = Math.max(WIDE, handle + lengthMm + 30);
  const to = (mm: number) => onChange(Math.round(Math.min(MOST, Math.max(LEAST, mm))));
  const point = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (box) to(((event.clientX - box.left) / box.width) * (wide + LEFT) - LEFT - handle);
  };
  const press = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 10, PageDown: -10 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    to(lengthMm + by);
  };
  const marks = Array.from({ length: Math.floor((wide - handle) / 10) }, (_, i) => i * 10);
  return (
    <svg
      ref={svg}
      className={css.slider}
      viewBox={`${-LEFT} -6 ${wide + LEFT} ${height + 34}`}
      data-fixed={fixed || undefined}
    >
      <KnifeDrawing blade={blade} upright={false} owned line={1.4} />
      <g transform={`translate(${handle} ${height + 4})`}>
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
      </g>
      {!fixed && (
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
            point(e);
          }}
          onPointerMove={(e) => e.currentTarget.hasPointerCapture(e.pointerId) && point(e)}
        >
          <rect x={handle + lengthMm - 16} y={-6} width={32} height={height + 22} fill="transparent" />
          <path d={`M${handle + lengthMm} -4V${height + 12}`} />
          <circle cx={handle + lengthMm} cy={height / 2} r={6} />
        </g>
      )}
      <text className={css.length} x={wide - 4} y={14} textAnchor="end">
        {length(lengthMm)}
      </text>
    </svg>
  );
}
