import { useMemo } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { drawKnife } from '../../core/drawing/knife';
import { sectionPoints } from '../../core/drawing/section';
import { pathOf, upsideDown } from '../../core/drawing/shape';
import { Shapes } from '../shared/Shapes';
import css from './MeasureView.module.css';

export type Guide = 'heel' | 'weight' | 'balance' | 'spine' | 'edge' | 'flex';

/** Where and how a measure is taken, drawn on the knife itself. */
export function GuideDrawing({ guide, blade }: { guide: Guide; blade: BladeModel }) {
  const knife = useMemo(() => drawKnife(blade), [blade]);
  if (guide === 'spine' || guide === 'edge') return <Section guide={guide} blade={blade} />;
  const { heelHeightMm: heel, lengthMm: length, handleLengthMm: handle } = blade;
  return (
    <svg
      className={css.guide}
      viewBox={`${-handle - 14} ${-heel - 34} ${handle + length + 28} ${heel + 68}`}
      aria-hidden="true"
    >
      <g
        transform={guide === 'flex' ? `translate(0 ${blade.bellyMm}) rotate(8 ${length} ${-blade.bellyMm})` : undefined}
      >
        <Shapes drawing={knife} place={upsideDown} line={1.1} owned />
      </g>
      {guide === 'heel' && (
        <g className={css.onSteel}>
          <path d={`M8 0V${-heel}M2 0h12M2 ${-heel}h12`} />
        </g>
      )}
      {guide === 'balance' && <path className={css.rest} d={`M${blade.balanceMm} 4l10 20h-20z`} />}
      {guide === 'weight' && (
        <g className={css.mark}>
          <path d={`M-70 6h140M-50 6l8 20h84l8 -20`} />
        </g>
      )}
      {guide === 'flex' && (
        <g className={css.mark}>
          <path d={`M${length - 60} 4h76M${-0.5 * handle} ${-heel - 30}v22m-6 -8l6 8l6 -8`} />
        </g>
      )}
    </svg>
  );
}

/** The blade cut across at the heel, with the callipers' jaws. */
function Section({ guide, blade }: { guide: 'spine' | 'edge'; blade: BladeModel }) {
  const points = sectionPoints(blade);
  const { heelHeightMm: heel } = blade;
  const at = guide === 'spine' ? -heel + 1.5 : -1.2;
  const half = guide === 'spine' ? blade.spineHeelMm / 2 : blade.behindEdgeMm / 2 + 0.2;
  return (
    <svg className={css.guide} viewBox={`-40 ${-heel - 6} 80 ${heel + 12}`} aria-hidden="true">
      <path className={css.section} d={pathOf(points.map(upsideDown))} />
      <g className={css.mark}>
        <path d={`M-26 ${at}H${-half}m-3 -2l3 2l-3 2M26 ${at}H${half}m3 -2l-3 2l3 2`} />
      </g>
    </svg>
  );
}
