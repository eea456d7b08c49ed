import { useMemo } from 'react';
import { edgeHeightMm } from '../../core/blade/edgeCurve';
import { drawGrip } from '../../core/drawing/hand';
import { drawKnife } from '../../core/drawing/knife';
import { sectionPoints } from '../../core/drawing/section';
import { pathOf, upsideDown } from '../../core/drawing/shape';
import { placedAt, type CutScene, type Pose } from '../../core/fit/scene';
import type { SeenCut } from '../../workers/trying';
import { Shapes } from '../shared/Shapes';
import css from './CutView.module.css';

/** The pose between two poses. */
function between(poses: readonly Pose[], at: number): Pose {
  const place = at * (poses.length - 1);
  const [a, b] = [poses[Math.floor(place)], poses[Math.ceil(place)]];
  if (!a || !b) return { x: 0, y: 0, turn: 0 };
  const share = place - Math.floor(place);
  const mix = (from: number, to: number) => from + share * (to - from);
  return { x: mix(a.x, b.x), y: mix(a.y, b.y), turn: mix(a.turn, b.turn) };
}

/** Half the food shown from the front, mm. */
const FRONT_HALF = 30;
const GAP = 16;
const BOARD = 12;

/** What of a cut is seen over its whole stroke, mm: left, right and top of the side view. */
export interface View {
  left: number;
  right: number;
  top: number;
}

/** The view that holds the whole stroke of every cut, so that they are seen at one scale. */
export function viewOf(cuts: readonly SeenCut[]): View {
  const each = cuts.map(({ scene: { poses, food }, blade }) => {
    const xs = poses.map(({ x }) => x);
    const tops = poses.flatMap((pose) =>
      [0, blade.lengthMm, -blade.handleLengthMm].map((x) => placedAt(pose, { x, y: blade.heelHeightMm }).y),
    );
    return {
      left: Math.min(-30, Math.min(...xs) - 1.02 * blade.handleLengthMm),
      right: Math.max(food.widthMm + 30, Math.max(...xs) + blade.lengthMm + 8),
      top: Math.min(260, Math.max(food.heightMm + 20, ...tops) + 8),
    };
  });
  return {
    left: Math.min(...each.map(({ left }) => left)),
    right: Math.max(...each.map(({ right }) => right)),
    top: Math.max(...each.map(({ top }) => top)),
  };
}

/** A cut from the side and, beside it, from the front, both to one scale. */
export function Stage({ cut, view: { left, right, top }, at }: { cut: SeenCut; view: View; at: number }) {
  const { scene, blade } = cut;
  const frame = Math.round(at * (scene.poses.length - 1));
  const inAir = scene.move === 'hand';
  const wide = right - left + GAP + 2 * FRONT_HALF;
  return (
    <svg
      className={css.stage}
      viewBox={`${left} ${-top} ${wide} ${top + BOARD}`}
      role="img"
      aria-label={`${blade.name}: the cut from the side and from the front`}
    >
      <defs>
        <clipPath id={`side-${blade.id}`}>
          <rect x={left} y={-top} width={right - left + GAP / 2} height={top + BOARD} />
        </clipPath>
      </defs>
      {!inAir && <rect className={css.board} x={left} y={0} width={right - left} height={BOARD} />}
      <g clipPath={`url(#side-${blade.id})`}>
        <Side cut={cut} pose={between(scene.poses, at)} frame={frame} />
      </g>
      <g transform={`translate(${right + GAP + FRONT_HALF} 0)`}>
        <Front cut={cut} frame={frame} />
      </g>
    </svg>
  );
}

const degrees = (radians: number) => (radians * 180) / Math.PI;

function Side({ cut: { scene, blade, hand }, pose, frame }: { cut: SeenCut; pose: Pose; frame: number }) {
  const knife = useMemo(() => drawKnife(blade), [blade]);
  const grip = useMemo(() => drawGrip(hand.grip, blade, hand.handLengthMm, hand.palmBreadthMm), [hand, blade]);
  const onBoard = scene.touching[frame]?.map((x) => placedAt(pose, { x, y: edgeHeightMm(blade, x) }).x);
  return (
    <>
      <Food scene={scene} frame={frame} />
      <g transform={`translate(${pose.x.toFixed(2)} ${(-pose.y).toFixed(2)}) rotate(${degrees(pose.turn).toFixed(2)})`}>
        <Shapes drawing={grip.behind} place={upsideDown} line={1} />
        <Shapes drawing={knife} place={upsideDown} line={1.1} />
        <Shapes drawing={grip.before} place={upsideDown} line={1} />
      </g>
      {onBoard && <line className={css.touch} x1={onBoard[0]} x2={onBoard[1]} y1={1.5} y2={1.5} />}
      {frame === scene.poses.length - 1 && <Hanging scene={scene} />}
    </>
  );
}

/** The food in the plane of the cut: what the edge has been through, and what is still whole. */
function Food({ scene: { food, reached }, frame }: { scene: CutScene; frame: number }) {
  const heights = reached[frame] ?? reached[0];
  if (!heights) return null;
  const step = food.widthMm / heights.length;
  const steps = Array.from(
    heights,
    (y, i) => `L${(i * step).toFixed(1)} ${(-y).toFixed(1)}H${((i + 1) * step).toFixed(1)}`,
  );
  return (
    <>
      <rect className={css.through} x={0} y={-food.heightMm} width={food.widthMm} height={food.heightMm} />
      <path className={css.whole} d={`M0 0${steps.join('')}V0Z`} />
    </>
  );
}

/** Where the cut still hangs together when the stroke is over. */
function Hanging({ scene: { food, reached, hanging } }: { scene: CutScene }) {
  const heights = reached.at(-1);
  if (!heights || hanging === 0) return null;
  const step = food.widthMm / heights.length;
  return (
    <>
      {Array.from(heights, (y, i) =>
        y > 0.5 ? (
          <rect key={i} className={css.hanging} x={i * step} y={-Math.max(2, y)} width={step} height={Math.max(2, y)} />
        ) : null,
      )}
    </>
  );
}

/** The blade cut across in the food: the slit it opens, a crack ahead of the edge, and drift. */
function Front({ cut: { scene, blade }, frame }: { cut: SeenCut; frame: number }) {
  const section = useMemo(() => pathOf(sectionPoints(blade).map(upsideDown)), [blade]);
  const { food, reached, slit, crackMm, driftMm } = scene;
  const heights = reached[frame];
  const low = heights ? Math.min(...heights) : food.heightMm;
  const deep = food.heightMm - low;
  const aside = food.heightMm > 0 ? (driftMm * deep) / food.heightMm : 0;
  const half = FRONT_HALF - 4;
  const crack = deep > 2 ? Math.min(low, crackMm) : 0;
  // each half gives way by half the blade at every height
  const opening = slit.filter(({ y }) => y <= deep);
  const side = (sign: 1 | -1) =>
    [
      `M${sign * half} 0`,
      `L${sign * 0.15} 0`,
      `L${sign * 0.15} ${-(low - crack)}`,
      ...opening.map(
        ({ y, half: open }) =>
          `L${(aside * (1 - y / Math.max(1, deep)) + sign * Math.max(0.15, open)).toFixed(2)} ${-(low + y)}`,
      ),
      `L${sign * Math.max(0.15, opening.at(-1)?.half ?? 0)} ${-food.heightMm}`,
      `L${sign * half} ${-food.heightMm}Z`,
    ].join('');
  const tilt = deep > 1 ? (Math.atan(aside / deep) * 180) / Math.PI : 0;
  return (
    <>
      <rect className={css.board} x={-FRONT_HALF} y={0} width={2 * FRONT_HALF} height={BOARD} />
      <path className={css.whole} d={side(-1)} />
      <path className={css.whole} d={side(1)} />
      {crack > 1 && <line className={css.crack} x1={aside} x2={aside} y1={-low} y2={-(low - crack)} />}
      <path className={css.section} d={section} transform={`translate(${aside} ${-low}) rotate(${-tilt})`} />
    </>
  );
}
