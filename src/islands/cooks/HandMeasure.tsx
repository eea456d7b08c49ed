import { CARD_MM } from '../../core/measure/rectify';
import { BOUNDS } from '../../core/formats/kitchenBounds';
import { Button } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { DEFAULTS } from '../../core/kitchen/defaults';
import { Figure, LengthFigure } from '../shared/NumberField';
import { SLIDER_STEPS } from '../shared/keySteps';
import { HandShape } from '../shared/HandShape';
import { Calibrate } from '../shared/Calibrate';
import { handFromCards, placedMark, USUAL_PX_PER_MM, useScreenScale } from '../shared/calibration';
import css from './HandMeasure.module.css';

interface Props {
  who: string;
  lengthMm: number;
  breadthMm: number;
  onMeasured: (hand: { handLengthMm?: number; palmBreadthMm?: number }) => void;
}

/** Room around the hand, mm. */
const MARGIN = 14;
const TALL_MM = 124;
const WIDE_MM = 250;
const LIMITS = { length: [120, 230], breadth: [55, 120] } as const;

/** Measures a hand: against the calibrated screen, by bank cards laid along it, or typed in millimetres. */
export function HandMeasure(props: Props) {
  const [scale, keepScale] = useScreenScale();
  const [calibrating, setCalibrating] = useState(false);
  const [laying, setLaying] = useState(false);
  const { who, lengthMm, breadthMm, onMeasured } = props;
  return (
    <div className={css.measure}>
      <Typed lengthMm={lengthMm} breadthMm={breadthMm} onMeasured={onMeasured} />
      <div className={css.actions}>
        <Button
          variant="default"
          size="sm"
          aria-expanded={laying}
          onClick={() => (scale === null ? setCalibrating(true) : setLaying(!laying))}
        >
          {laying ? 'Done' : 'Lay the hand on the screen'}
        </Button>
        {scale !== null && (
          <Button
            variant="subtle"
            color="gray"
            size="sm"
            className={css.quiet ?? ''}
            onClick={() => setCalibrating(true)}
          >
            Calibrate again
          </Button>
        )}
      </div>
      {calibrating && (
        <Calibrate
          start={scale ?? USUAL_PX_PER_MM}
          onDone={(found) => {
            keepScale(found);
            setCalibrating(false);
            setLaying(true);
          }}
        />
      )}
      {laying && !calibrating && scale !== null && (
        <Pad key={who} scale={scale} lengthMm={lengthMm} breadthMm={breadthMm} onMeasured={onMeasured} />
      )}
    </div>
  );
}

function Typed({ lengthMm, breadthMm, onMeasured }: Omit<Props, 'who'>) {
  return (
    <div className={css.figures}>
      <LengthFigure
        label="Wrist crease to middle fingertip"
        bounds={BOUNDS.handLengthMm}
        value={lengthMm}
        onChange={(handLengthMm) => onMeasured({ handLengthMm })}
      />
      <LengthFigure
        label="Across the palm"
        bounds={BOUNDS.palmBreadthMm}
        value={breadthMm}
        onChange={(palmBreadthMm) => onMeasured({ palmBreadthMm })}
      />
      <Figure
        label="Or: bank cards along the hand"
        bounds={[1.4, 3]}
        step={0.05}
        value={Math.round((lengthMm / CARD_MM.width) * 20) / 20}
        onChange={(cards) => onMeasured({ handLengthMm: handFromCards(cards) })}
      />
    </div>
  );
}

function Pad({ scale, lengthMm, breadthMm, onMeasured }: { scale: number } & Omit<Props, 'who'>) {
  const { ref: frame, width: roomPx } = useElementSize();
  const roomMm = roomPx / scale;
  const whole = roomMm >= lengthMm + 2 * MARGIN + 4;
  const width = Math.min(WIDE_MM, roomMm);
  const middle = TALL_MM / 2;
  const half = breadthMm / 2;
  const lengthTo = (mm: number) => onMeasured({ handLengthMm: Math.round(placedMark(mm - MARGIN, ...LIMITS.length)) });
  const breadthTo = (mm: number) => {
    const palmBreadthMm = Math.round(placedMark(2 * Math.abs(mm - middle), ...LIMITS.breadth));
    onMeasured(
      whole ? { palmBreadthMm } : { palmBreadthMm, handLengthMm: Math.round(palmBreadthMm / DEFAULTS.palmPerHand) },
    );
  };
  return (
    <div ref={frame} className={css.panel}>
      <p>
        {whole
          ? 'Lay the hand flat, wrist crease on the left line, fingers to the right. Then move the marks to the middle fingertip and to the sides of the palm.'
          : 'This screen is smaller than a hand: lay the palm across it and move the marks to its sides. The length is guessed from that; cards or a rule measure it better.'}
      </p>
      {roomMm > 0 && (
        <svg className={css.pad} width={width * scale} height={TALL_MM * scale} viewBox={`0 0 ${width} ${TALL_MM}`}>
          <g transform={`translate(${MARGIN} ${middle})`}>
            <HandShape lengthMm={lengthMm} breadthMm={breadthMm} className={css.hand} />
          </g>
          <path className={css.line} d={`M${MARGIN} 4V${TALL_MM - 4}`} />
          {whole && (
            <Mark
              label="Middle fingertip"
              axis="x"
              at={MARGIN + lengthMm}
              value={lengthMm}
              limits={LIMITS.length}
              from={4}
              to={TALL_MM - 4}
              onMove={lengthTo}
              onStep={(by) => lengthTo(MARGIN + lengthMm + by)}
            />
          )}
          <Mark
            label="Sides of the palm"
            axis="y"
            at={middle + half}
            twin={middle - half}
            value={breadthMm}
            limits={LIMITS.breadth}
            from={4}
            to={width - 4}
            onMove={breadthTo}
            onStep={(by) => breadthTo(middle + half + by / 2)}
          />
        </svg>
      )}
    </div>
  );
}

interface MarkProps {
  label: string;
  axis: 'x' | 'y';
  at: number;
  /** The same mark on the other side. */
  twin?: number;
  value: number;
  limits: readonly [number, number];
  from: number;
  to: number;
  onMove: (mm: number) => void;
  onStep: (mm: number) => void;
}

/** A line to be dragged, or moved with the arrow keys, a millimetre at a time. */
function Mark({ label, axis, at, twin, value, limits, from, to, onMove, onStep }: MarkProps) {
  const pointTo = (event: PointerEvent<SVGGElement>) => {
    const svg = event.currentTarget.ownerSVGElement;
    const box = svg?.getBoundingClientRect();
    if (!svg || !box) return;
    const perMm = box.width / svg.viewBox.baseVal.width;
    onMove((axis === 'x' ? event.clientX - box.left : event.clientY - box.top) / perMm);
  };
  const press = (event: KeyboardEvent) => {
    const by = SLIDER_STEPS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onStep(by);
  };
  const path = (mm: number) => (axis === 'x' ? `M${mm} ${from}V${to}` : `M${from} ${mm}H${to}`);
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={limits[0]}
      aria-valuemax={limits[1]}
      aria-valuenow={Math.round(value)}
      aria-valuetext={`${Math.round(value)} millimetres`}
      className={css.mark}
      data-axis={axis}
      onKeyDown={press}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        pointTo(e);
      }}
      onPointerMove={(e) => e.currentTarget.hasPointerCapture(e.pointerId) && pointTo(e)}
    >
      {[at, ...(twin === undefined ? [] : [twin])].map((mm) => (
        <g key={mm}>
          <path className={css.grab} d={path(mm)} />
          <path className={css.seen} d={path(mm)} />
        </g>
      ))}
    </g>
  );
}
