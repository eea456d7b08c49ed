import { useMemo } from 'react';
import { shippedMakers } from '../../../data/names';
import type { BladeModel } from '../../core/blade/schema';
import { UNKNOWN_MAKER } from '../../core/blade/words';
import { drawKnife } from '../../core/drawing/knife';
import type { Drawing as CoreDrawing } from '../../core/drawing/shape';
import { drawTool } from '../../core/drawing/tool';
import type { PlanStep } from '../../core/formats/planFile';
import { placedDrawing } from '../shared/KnifeDrawing';
import { Shapes } from '../shared/Shapes';
import type { Scale } from './scale';
import css from './Pocket.module.css';
import { useLengths } from '../shared/units';
import { money } from '../shared/words';

export interface PocketContent {
  key: string;
  step: PlanStep | null;
  blade: BladeModel | null;
  title: string;
  condition?: string;
  /** Most plans made again are without such a knife. */
  inDoubt: boolean;
}

const DOES: Record<PlanStep['action'], string> = {
  buy: 'Buy',
  sharpen: 'Sharpen',
  repair: 'Repair',
  service: 'Arrange',
  tool: 'Get',
  retire: 'Give away',
};

const LINE_PX = 1.2;

/** Most a piece of furniture is drawn wide in a pocket: it is not to the knives' scale. */
const LARGE_PX = 78;

/** A knife or a tool with the end of its handle towards the reader's top or left: every heel lies on one line. */
function Drawing({
  drawing,
  owned,
  scale,
  isLarge = false,
}: {
  drawing: CoreDrawing;
  owned: boolean;
  scale: Scale;
  isLarge?: boolean;
}) {
  const { place, width, height } = placedDrawing(drawing, scale.upright);
  const { handleMm, bladeMm, upright } = scale;
  const long = (handleMm + bladeMm + 8) * scale.pxPerMm;
  const pxPerMm = isLarge ? Math.min(scale.pxPerMm, LARGE_PX / (upright ? width : height)) : scale.pxPerMm;
  const across = (upright ? width : height) * pxPerMm + 8;
  const heel = (handleMm + 4) * scale.pxPerMm;
  const least = 4 - Math.min(0, long - 8 - (drawing.right - drawing.left) * pxPerMm);
  const shift = Math.max(least, heel + drawing.left * pxPerMm);
  const move = upright ? `translate(4 ${shift})` : `translate(${shift} 4)`;
  return (
    <svg width={upright ? across : long} height={upright ? long : across} aria-hidden="true" className={css.knife}>
      <g transform={`${move} scale(${pxPerMm})`}>
        <Shapes drawing={drawing} place={place} owned={owned} line={LINE_PX / pxPerMm} />
      </g>
    </svg>
  );
}

/** Coverage a step adds, in points of a hundred. */
function pointsAdded(gain: number): string {
  const points = (gain * 100).toFixed(gain >= 0.02 ? 0 : 1);
  return `${points} ${points === '1' ? 'point' : 'points'}`;
}

interface Props {
  content: PocketContent;
  scale: Scale;
  currency: string;
  open: boolean;
  onOpen: (order: number) => void;
}

function Words({ content: { step, blade, title, condition, inDoubt }, currency }: Pick<Props, 'content' | 'currency'>) {
  const { length, told } = useLengths();
  return (
    <span className={css.words}>
      <span className={css.order}>
        {step ? (
          <>
            <b className="figure">{step.order}</b> {DOES[step.action]}
            {inDoubt && ', in doubt'}
          </>
        ) : (
          `Keep, ${condition ?? ''}`
        )}
      </span>
      <span className={css.title}>{title}</span>
      {blade && <span className={`${css.length} figure`}>{length(blade.lengthMm)}</span>}
      {step && step.action !== 'retire' && (
        <span className={css.sums}>
          <b className="figure">{money(step.price, currency)}</b>
          {step.upkeep ? <span>keeps the kit</span> : <span>+{pointsAdded(step.gain)}</span>}
        </span>
      )}
      {blade && blade.maker !== UNKNOWN_MAKER && (
        <span className={css.small}>
          {step?.action === 'buy' && shippedMakers.has(blade.maker) ? `e.g. ${blade.maker}` : blade.maker}
        </span>
      )}
      {step?.because[0] && <span className={css.why}>{told(step.because[0])}</span>}
      {step && <span className="visually-hidden">Open the reasons</span>}
    </span>
  );
}

/** One pocket of the roll: the knife, what it is, what it costs, what it adds and why. */
export function Pocket({ content, scale, currency, open, onOpen }: Props) {
  const { step, blade } = content;
  const owned = step === null || step.action === 'sharpen' || step.action === 'repair' || step.action === 'retire';
  const heel = (scale.handleMm + 4) * scale.pxPerMm;
  const drawing = useMemo(() => (blade ? drawKnife(blade) : null), [blade]);
  const tool = step && !blade ? drawTool(step.type ?? '') : null;
  const body = (
    <>
      <span className={css.sleeve} data-owned={owned || undefined}>
        {drawing && <Drawing drawing={drawing} owned={owned} scale={scale} />}
        {tool && <Drawing drawing={tool} owned={owned} scale={scale} isLarge={tool.isLarge} />}
        {!drawing && !tool && (
          <span style={scale.upright ? { height: (scale.handleMm + scale.bladeMm + 8) * scale.pxPerMm } : undefined} />
        )}
        {scale.upright && <span className={css.hem} style={{ top: heel - 12 }} aria-hidden="true" />}
      </span>
      <Words content={content} currency={currency} />
    </>
  );
  return (
    <li className={css.pocket} data-open={open || undefined}>
      {step ? (
        <button
          type="button"
          className={css.press}
          aria-expanded={open}
          data-pocket={step.order}
          onClick={() => onOpen(step.order)}
        >
          {body}
        </button>
      ) : (
        <div className={css.press}>{body}</div>
      )}
    </li>
  );
}
