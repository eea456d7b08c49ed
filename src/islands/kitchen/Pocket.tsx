import { IconScissors, IconTool } from '@tabler/icons-react';
import type { BladeModel } from '../../core/blade/schema';
import type { PlanStep } from '../../core/formats/planFile';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import type { Scale } from './Roll';
import css from './Pocket.module.css';
import { inches, money } from '../shared/words';

export interface PocketContent {
  key: string;
  step: PlanStep | null;
  blade: BladeModel | null;
  title: string;
  condition?: string;
  stays: number | null;
}

const DOES: Record<PlanStep['action'], string> = {
  buy: 'Buy',
  sharpen: 'Sharpen',
  repair: 'Repair',
  service: 'Arrange',
  tool: 'Get',
  retire: 'Retire',
};

const LEAST_WIDTH_PX = 92;
const NARROW_LINE_MM = 1.2;

function Drawing({ blade, owned, scale }: { blade: BladeModel; owned: boolean; scale: Scale }) {
  const { width, height } = placed(blade, scale.upright);
  const { pxPerMm, handleMm, bladeMm } = scale;
  const long = (handleMm + bladeMm + 8) * pxPerMm;
  const across = (scale.upright ? width : height) * pxPerMm + 8;
  // every heel lies on one line
  const shift = handleMm + 4 - blade.handleLengthMm;
  const line = NARROW_LINE_MM / Math.max(0.6, pxPerMm);
  return scale.upright ? (
    <svg width={across} height={long} aria-hidden="true" className={css.knife}>
      <g transform={`translate(4 ${shift * pxPerMm}) scale(${pxPerMm})`}>
        <KnifeDrawing blade={blade} upright owned={owned} line={line} />
      </g>
    </svg>
  ) : (
    <svg width={long} height={across} aria-hidden="true" className={css.knife}>
      <g transform={`translate(${shift * pxPerMm} 4) scale(${pxPerMm})`}>
        <KnifeDrawing blade={blade} upright={false} owned={owned} line={line} />
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

/** One pocket of the roll: the knife, what it is, what it costs, what it adds and why. */
export function Pocket({ content, scale, currency, open, onOpen }: Props) {
  const { step, blade, title } = content;
  const owned = step === null || step.action === 'sharpen' || step.action === 'repair' || step.action === 'retire';
  const tall = blade ? blade.heelHeightMm * scale.pxPerMm + 28 : 0;
  const heel = (scale.handleMm + 4) * scale.pxPerMm;
  const ToolIcon = step?.type === 'shears' ? IconScissors : IconTool;
  const body = (
    <>
      <span className={css.sleeve} data-owned={owned || undefined}>
        {blade ? (
          <Drawing blade={blade} owned={owned} scale={scale} />
        ) : (
          <span
            className={css.tool}
            style={scale.upright ? { height: (scale.handleMm + scale.bladeMm + 8) * scale.pxPerMm } : undefined}
          >
            <ToolIcon size={46} stroke={1.4} aria-hidden="true" />
          </span>
        )}
        {scale.upright && <span className={css.hem} style={{ top: heel - 12 }} aria-hidden="true" />}
      </span>
      <span className={css.words}>
        <span className={css.order}>
          {step ? (
            <>
              <b className="figure">{step.order}</b> {DOES[step.action]}
            </>
          ) : (
            `Keep, ${content.condition ?? ''}`
          )}
        </span>
        <span className={css.title}>{title}</span>
        {blade && (
          <span className={`${css.length} figure`}>
            <span>{Math.round(blade.lengthMm)} mm</span> <span>{inches(blade.lengthMm)}</span>
          </span>
        )}
        {step && step.action !== 'retire' && (
          <span className={css.sums}>
            <b className="figure">{money(step.price, currency)}</b>
            {step.upkeep ? <span>keeps the kit</span> : <span>+{pointsAdded(step.gain)}</span>}
          </span>
        )}
        {blade && blade.maker !== 'Unknown' && <span className={css.small}>{blade.maker}</span>}
        {step?.because[0] && <span className={css.why}>{step.because[0]}</span>}
        {step && <span className="visually-hidden">Open the reasons</span>}
      </span>
    </>
  );
  return (
    <li
      className={css.pocket}
      style={scale.upright ? { width: Math.max(LEAST_WIDTH_PX, tall) } : undefined}
      data-open={open || undefined}
    >
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
