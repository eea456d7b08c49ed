import { useMemo } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { drawGrip } from '../../core/drawing/hand';
import { drawKnife } from '../../core/drawing/knife';
import { sectionPoints } from '../../core/drawing/section';
import { pathOf, upsideDown, type Point } from '../../core/drawing/shape';
import { fingerThicknessMm, gripMm } from '../../core/blade/hold';
import type { HandCheck } from '../../core/trial/handCheck';
import { Shapes } from '../shared/Shapes';
import type { Hand } from '../shared/hand';
import css from './HandView.module.css';

interface Box {
  left: number;
  right: number;
  low: number;
  high: number;
}

/** What of knife and hand a check looks at, mm in the knife's own coordinates. */
function boxOf(check: HandCheck['draw'], blade: BladeModel, { lengthMm }: Hand): Box {
  const { heelHeightMm: heel, handleLengthMm: handle, lengthMm: length } = blade;
  switch (check) {
    case 'bite':
      return { left: -62, right: 62, low: -16, high: Math.max(heel + 26, 62) };
    case 'built':
      return { left: -86, right: 34, low: -12, high: Math.max(heel + 18, 56) };
    case 'balance':
      return { left: -handle - 12, right: length + 10, low: -34, high: heel + 22 };
    case 'reach':
      return { left: -handle - 30, right: length + 12, low: -16, high: heel + 110 };
    case 'knuckles':
      return { left: -0.75 * lengthMm, right: 80, low: -18, high: heel + 40 };
    default:
      return { left: -0.95 * lengthMm, right: Math.min(length, 130) + 8, low: -16, high: heel + 44 };
  }
}

/** A check of the hand test, drawn for this knife in this hand; for left hands mirrored. */
export function CheckDrawing({ check, blade, hand }: { check: HandCheck; blade: BladeModel; hand: Hand }) {
  const knife = useMemo(() => drawKnife(blade), [blade]);
  const grip = useMemo(
    () => drawGrip(hand.grip, blade, hand.lengthMm, hand.breadthMm),
    [hand.grip, hand.lengthMm, hand.breadthMm, blade],
  );
  if (check.draw === 'fill') return <HandleSection blade={blade} hand={hand} label={check.title} />;
  if (check.draw === 'hand') return <BevelSection blade={blade} label={check.title} />;
  const { left, right, low, high } = boxOf(check.draw, blade, hand);
  const held = check.draw !== 'built' && check.draw !== 'balance';
  const onBoard = check.draw === 'knuckles' || check.draw === 'reach';
  // the tip stays on the board while the handle is lifted
  const turn =
    check.draw === 'reach' ? `translate(0 ${blade.bellyMm}) rotate(14 ${blade.lengthMm} ${-blade.bellyMm})` : undefined;
  const mirrored = hand.handed === 'left' ? `translate(${left + right} 0) scale(-1 1)` : undefined;
  return (
    <svg
      className={css.drawing}
      viewBox={`${left} ${-high} ${right - left} ${high - low}`}
      role="img"
      aria-label={`${check.title}: this knife${held ? ' in your hand' : ''}`}
    >
      <g transform={mirrored}>
        {onBoard && <rect className={css.board} x={left - 500} y={0} width={right - left + 1000} height={-low} />}
        <g transform={turn}>
          {held && <Shapes drawing={grip.behind} place={upsideDown} line={1} />}
          <Shapes drawing={knife} place={upsideDown} line={1} />
          {held && <Shapes drawing={grip.before} place={upsideDown} line={1} />}
        </g>
        <Marks check={check.draw} blade={blade} hand={hand} />
      </g>
    </svg>
  );
}

/** Where to look and feel. */
function Marks({ check, blade, hand }: { check: HandCheck['draw']; blade: BladeModel; hand: Hand }) {
  const ring = ({ x, y }: Point) => <circle key={`${x}`} className={css.mark} cx={x} cy={-y} r={7} />;
  const { heelHeightMm: heel } = blade;
  if (check === 'bite')
    return (
      <>
        {[
          { x: 0, y: heel },
          { x: -1, y: 0 },
          { x: -10, y: 0.6 * heel },
        ].map(ring)}
      </>
    );
  if (check === 'built') return <>{ring({ x: -12, y: 0.72 * heel })}</>;
  if (check === 'wet')
    return (
      <>
        {[-30, -52, -74].map((x, i) => (
          <path key={x} className={css.drop} d={`M${x} ${-heel - 14 - 5 * (i % 2)}q6 9 0 12q-6 -3 0 -12`} />
        ))}
      </>
    );
  if (check === 'balance') {
    const at = gripMm(hand.grip);
    return (
      <>
        <path className={css.rest} d={`M${at} 6l9 17h-18z`} />
        <line className={css.mark} x1={at} x2={at} y1={4} y2={-heel - 14} />
      </>
    );
  }
  return null;
}

/** The handle cut across, in the palm: drawn where the fingers close round it. */
function HandleSection({ blade, hand, label }: { blade: BladeModel; hand: Hand; label: string }) {
  const [wide, high] = [blade.handleThicknessMm, blade.handleHeightMm];
  const finger = fingerThicknessMm(hand.breadthMm);
  const around = (grow: number) => ({
    x: -wide / 2 - grow,
    y: -high / 2 - grow,
    width: wide + 2 * grow,
    height: high + 2 * grow,
    rx: Math.min(wide, high) / 2.4 + grow,
  });
  const reach = finger + 6;
  return (
    <svg
      className={css.drawing}
      viewBox={`${-wide / 2 - 2.4 * reach} ${-high / 2 - reach} ${wide + 4.8 * reach} ${high + 2 * reach}`}
      role="img"
      aria-label={`${label}: cut across, ${Math.round(wide)} mm wide and ${Math.round(high)} mm high, in your fingers`}
    >
      <rect className={css.palm} {...around(finger * 0.9)} />
      <rect className={css.inside} {...around(0)} />
    </svg>
  );
}

/** The blade cut across, as it is seen from the handle. */
function BevelSection({ blade, label }: { blade: BladeModel; label: string }) {
  const points = sectionPoints(blade);
  const high = Math.min(22, blade.heelHeightMm);
  return (
    <svg
      className={css.drawing}
      viewBox={`-14 ${-high} 28 ${high + 2}`}
      role="img"
      aria-label={`${label}: the blade cut across, seen from the handle`}
    >
      <path className={css.inside} strokeWidth={0.3} d={pathOf(points.map(({ x, y }) => ({ x: 2 * x, y: -y })))} />
    </svg>
  );
}
