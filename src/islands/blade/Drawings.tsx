import type { ReactNode } from 'react';
import { bestContact } from '../../core/blade/contact';
import { fingerThicknessMm } from '../../core/blade/hold';
import { rockAngleRad, rockingRadiusMm, ROCKING_SHARE } from '../../core/blade/rocking';
import type { BladeModel } from '../../core/blade/schema';
import { spineThicknessMm } from '../../core/blade/thickness';
import { sectionPoints } from '../../core/drawing/section';
import { drawKnife, overallMm } from '../../core/drawing/knife';
import { pathOf, upsideDown } from '../../core/drawing/shape';
import { Shapes } from '../shared/Shapes';
import css from './Drawings.module.css';
import { figure } from '../../core/text/figure';

const mm = (value: number, digits = 0) => `${value.toFixed(digits)} mm`;

/** A drawing whose user unit is a millimetre, with a caption that says the same in words. */
function Sheet({
  view,
  caption,
  label,
  children,
}: {
  view: [number, number, number, number];
  caption: ReactNode;
  label: string;
  children: ReactNode;
}) {
  return (
    <figure className={css.sheet}>
      <svg viewBox={view.join(' ')} role="img" aria-label={label}>
        {children}
      </svg>
      <figcaption>{caption}</figcaption>
    </figure>
  );
}

/** A dimension line with ticks at both ends and its figure beside it. */
export function Dimension({
  from,
  to,
  text,
  size = 5,
  below = true,
}: {
  from: [number, number];
  to: [number, number];
  text: string;
  size?: number;
  below?: boolean;
}) {
  const flat = Math.abs(from[1] - to[1]) < Math.abs(from[0] - to[0]);
  const tick = size * 0.5;
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  return (
    <g className={css.dimension}>
      <path
        d={
          `M${from.join(' ')}L${to.join(' ')}` +
          [from, to]
            .map(([a, b]) => (flat ? `M${a} ${b - tick}v${2 * tick}` : `M${a - tick} ${b}h${2 * tick}`))
            .join('')
        }
        strokeWidth={0.5}
      />
      <text
        x={flat ? x : x + size * 0.8}
        y={flat ? y + (below ? size * 1.35 : -size * 0.6) : y + size * 0.35}
        textAnchor={flat ? 'middle' : 'start'}
        fontSize={size * 1.25}
      >
        {text}
      </text>
    </g>
  );
}

/** A knife lying on its edge: heel at x = 0, edge line at y = 0, up negative. */
export function LyingKnife({ blade, line = 0.8 }: { blade: BladeModel; line?: number }) {
  return <Shapes drawing={drawKnife(blade)} place={upsideDown} line={line} />;
}

/** Side view with its lengths, and the pinch. */
export function SideView({ blade }: { blade: BladeModel }) {
  const { lengthMm, heelHeightMm, handleLengthMm } = blade;
  const { top } = drawKnife(blade);
  const pinch = 10;
  return (
    <Sheet
      view={[-handleLengthMm - 8, -top - 20, lengthMm + handleLengthMm + 58, top + 48]}
      label={`Side view: edge ${mm(lengthMm)}, heel ${mm(heelHeightMm)}, overall ${mm(overallMm(blade))}`}
      caption={
        <>
          From the side. The pinch lies about {pinch} mm behind the heel; the balance is{' '}
          {Math.abs(Math.round(blade.balanceMm))} mm {blade.balanceMm >= 0 ? 'in front of' : 'behind'} the heel.
        </>
      }
    >
      <LyingKnife blade={blade} />
      <Dimension from={[0, 10]} to={[lengthMm, 10]} text={mm(lengthMm)} />
      <Dimension from={[-handleLengthMm, 20]} to={[lengthMm, 20]} text={`${mm(overallMm(blade))} overall`} />
      <Dimension from={[lengthMm + 12, 0]} to={[lengthMm + 12, -heelHeightMm]} text={mm(heelHeightMm)} />
      <path className={css.mark} d={`M${blade.balanceMm} ${-top - 12}l-3 -5h6z`} />
      <text className={css.note} x={blade.balanceMm + 6} y={-top - 12} fontSize={6}>
        balance
      </text>
    </Sheet>
  );
}

const TAPER = 6;

/** The spine from above, its thickness drawn six times as large as its length. */
export function SpineView({ blade }: { blade: BladeModel }) {
  const at = (x: number) => (spineThicknessMm(blade, x) * TAPER) / 2;
  const xs = [0, 0.5, 1].map((share) => share * blade.lengthMm);
  const top = xs.map((x) => `${x} ${-at(x)}`).join('L');
  const bottom = [...xs]
    .reverse()
    .map((x) => `${x} ${at(x)}`)
    .join('L');
  const half = at(0);
  return (
    <Sheet
      view={[-6, -half - 22, blade.lengthMm + 32, 2 * half + 32]}
      label={`Spine from above: ${mm(blade.spineHeelMm, 1)} at the heel, ${mm(blade.spineMidMm, 1)} in the middle, ${mm(blade.spineTipMm, 1)} at the tip`}
      caption="The spine from above, thickness drawn six times as large as length."
    >
      <path className={css.steel} stroke="currentColor" strokeWidth={0.7} d={`M${top}L${bottom}Z`} />
      {xs.map((x, i) => (
        <text
          key={x}
          className={css.note}
          x={x}
          y={-half - 5}
          fontSize={10}
          textAnchor={i === 0 ? 'start' : i === 1 ? 'middle' : 'end'}
        >
          {mm(spineThicknessMm(blade, x), 1)}
        </text>
      ))}
    </Sheet>
  );
}

const ACROSS = 4;

/** Cross-section at the heel, four times as thick as it is tall in scale, and the edge enlarged with its angles. */
export function SectionView({ blade }: { blade: BladeModel }) {
  const points = sectionPoints(blade);
  const half = (blade.spineHeelMm * ACROSS) / 2 + 4;
  const height = blade.heelHeightMm;
  const edge = Math.min(40, height);
  const sine = (deg: number) => Math.tan((deg * Math.PI) / 180) * edge * 0.75;
  const back = blade.bevel === 'double' ? blade.edgeAngleDeg : blade.edgeAngleBackDeg;
  const [right, left] = blade.handed === 'left' ? [back, blade.edgeAngleDeg] : [blade.edgeAngleDeg, back];
  const x0 = half + 56;
  return (
    <Sheet
      view={[-half - 6, -height - 8, x0 + 92, height + 18]}
      label={`Cross-section: ${mm(blade.spineHeelMm, 1)} spine, ${mm(blade.behindEdgeMm, 2)} behind the edge, ${figure(blade.edgeAngleDeg)} degrees ${blade.bevel === 'single' ? 'on one side' : 'a side'}`}
      caption={`Cut through at the heel, four times as thick as tall; beside it the edge enlarged. ${mm(blade.behindEdgeMm, 2)} behind the edge.`}
    >
      <path
        className={css.steel}
        stroke="currentColor"
        strokeWidth={0.7}
        d={pathOf(points, (p) => ({ x: p.x * ACROSS, y: -p.y }))}
      />
      <path
        className={css.steel}
        stroke="currentColor"
        strokeWidth={0.7}
        d={`M${x0} 0L${x0 + sine(right)} ${-edge * 0.75}L${x0 + sine(right)} ${-edge}H${x0 - sine(left)}V${-edge * 0.75}Z`}
      />
      <path className={css.dimension} strokeWidth={0.5} strokeDasharray="2 2" d={`M${x0} 2V${-edge - 4}`} />
      {right > 0 && (
        <text className={css.note} x={x0 + sine(right) + 4} y={-edge * 0.45} fontSize={6}>
          {figure(right)}°
        </text>
      )}
      {left > 0 && (
        <text className={css.note} x={x0 - sine(left) - 4} y={-edge * 0.45} fontSize={6} textAnchor="end">
          {figure(left)}°
        </text>
      )}
    </Sheet>
  );
}

/** The edge on the board at its best tilt, and at the end of a rock. */
export function BoardView({ blade }: { blade: BladeModel }) {
  const contact = bestContact(blade);
  const turn = rockAngleRad(blade);
  const { lengthMm, handleLengthMm } = blade;
  const { top } = drawKnife(blade);
  const pivot = ROCKING_SHARE * lengthMm;
  const degrees = (rad: number) => (rad * 180) / Math.PI;
  const lift = Math.sin(turn) * (lengthMm + handleLengthMm);
  return (
    <Sheet
      view={[-handleLengthMm - 10, -top - lift - 10, lengthMm + handleLengthMm + 30, top + lift + 40]}
      label={`On the board: ${Math.round(contact.share * 100)} percent of the edge touches; a rock turns through ${degrees(turn).toFixed(0)} degrees`}
      caption={
        <>
          On the board: {Math.round(contact.share * 100)}% of the edge touches at the best tilt (thick line). A rock
          turns it through {degrees(turn).toFixed(0)}° on a radius of {Math.round(rockingRadiusMm(blade) / 10) * 10} mm
          (faint).
        </>
      }
    >
      <g opacity={0.32} transform={`rotate(${degrees(turn)} ${pivot} 0)`}>
        <LyingKnife blade={blade} />
      </g>
      <g transform={`rotate(${degrees(contact.tiltRad)} ${(contact.fromMm + contact.toMm) / 2} 0)`}>
        <LyingKnife blade={blade} />
      </g>
      <path className={css.board} d={`M${-handleLengthMm} 1H${lengthMm + 14}`} strokeWidth={1.4} />
      <path className={css.touch} d={`M${contact.fromMm} 4H${contact.toMm}`} strokeWidth={3} />
      <text className={css.note} x={(contact.fromMm + contact.toMm) / 2} y={18} fontSize={10} textAnchor="middle">
        {mm(contact.toMm - contact.fromMm)} touches
      </text>
    </Sheet>
  );
}

/** Knuckle room under this cook's hand, seen from the butt. */
export function KnuckleView({
  blade,
  palmBreadthMm,
  roomMm,
}: {
  blade: BladeModel;
  palmBreadthMm: number;
  roomMm: number;
}) {
  const finger = fingerThicknessMm(palmBreadthMm);
  const top = blade.heelHeightMm + blade.handleOffsetMm;
  const bottom = top - blade.handleHeightMm;
  const half = blade.handleThicknessMm / 2;
  const under = bottom - finger;
  return (
    <Sheet
      view={[-60, -top - 14, 150, top + Math.max(12, -under + 12) + 6]}
      label={`Knuckle room: ${mm(roomMm)} under a palm ${mm(palmBreadthMm)} broad`}
      caption={
        roomMm >= 0
          ? `From behind: ${mm(roomMm)} between your knuckles and the board.`
          : `From behind: your knuckles would be ${mm(-roomMm)} into the board; work at its edge.`
      }
    >
      <rect
        className={css.hand}
        x={-half - finger}
        y={-top - 5}
        width={2 * (half + finger)}
        height={blade.handleHeightMm + finger + 5}
        rx={finger * 0.8}
      />
      <rect
        className={css.handle}
        x={-half}
        y={-top}
        width={2 * half}
        height={blade.handleHeightMm}
        rx={5}
        stroke="currentColor"
        strokeWidth={0.7}
      />
      <path
        className={css.steel}
        stroke="currentColor"
        strokeWidth={0.7}
        d={`M-1.500 ${-Math.min(bottom, blade.heelHeightMm)}L0 0L1.500 ${-Math.min(bottom, blade.heelHeightMm)}Z`}
      />
      <path className={css.board} d="M-56 0.500H60" strokeWidth={1.4} />
      <Dimension from={[34, 0]} to={[34, -under]} text="" />
      <text className={css.note} x={40} y={-Math.max(6, under / 2)} fontSize={8}>
        {mm(roomMm)}
      </text>
    </Sheet>
  );
}
