import type { BladeModel } from '../blade/schema';
import { handleTopMm, NECK_MM } from './handle';
import { closed, drawingOf, type Drawing, type Point, type Shape } from './shape';

/** Where the finger tips lie, index to little finger, as shares of the hand's length. */
const TIPS = [0.93, 1, 0.95, 0.8] as const;
/** Where the fingers part, as a share of the hand's length. */
const PARTING = 0.57;

/**
 * The outline of an open right hand laid flat, from its two measures (mm): wrist at the origin, middle finger along x, thumb towards negative y.
 *
 * @example drawHand(185, 84).right // 185
 */
export function drawHand(lengthMm: number, breadthMm: number): Drawing {
  const across = breadthMm / 4;
  const half = 0.44 * across;
  const fingers = TIPS.flatMap((tip, i): Point[] => {
    const y = -breadthMm / 2 + (i + 0.5) * across;
    // the outer fingers spread a little
    const spread = (i - 1.2) * 0.035 * lengthMm;
    const end = tip * lengthMm;
    const joint = end - 0.1 * lengthMm;
    return [
      { x: PARTING * lengthMm, y: y - half },
      { x: joint, y: y + 0.7 * spread - half },
      { x: end - 0.02 * lengthMm, y: y + spread - 0.6 * half },
      { x: end, y: y + spread },
      { x: end - 0.02 * lengthMm, y: y + spread + 0.6 * half },
      { x: joint, y: y + 0.7 * spread + half },
      { x: PARTING * lengthMm, y: y + half },
    ];
  });
  const b = breadthMm;
  const l = lengthMm;
  return drawingOf([
    closed('hand', [
      { x: 0, y: -0.33 * b, corner: true },
      { x: 0.1 * l, y: -0.42 * b },
      { x: 0.26 * l, y: -0.72 * b },
      { x: 0.43 * l, y: -0.98 * b },
      { x: 0.485 * l, y: -0.97 * b },
      { x: 0.49 * l, y: -0.87 * b },
      { x: 0.4 * l, y: -0.68 * b },
      { x: 0.4 * l, y: -0.53 * b },
      ...fingers,
      { x: 0.42 * l, y: 0.52 * b },
      { x: 0.16 * l, y: 0.42 * b },
      { x: 0, y: 0.33 * b, corner: true },
    ]),
  ]);
}

export type Grip = 'pinch' | 'handle' | 'fingertip';

/** A finger seen from its side: a rounded bar from one point to another. */
function finger(from: Point, to: Point, thick: number): Shape {
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [ux, uy] = [(to.x - from.x) / long, (to.y - from.y) / long];
  const half = thick / 2;
  const at = (along: number, side: number): Point => ({
    x: from.x + along * ux - side * uy,
    y: from.y + along * uy + side * ux,
  });
  return closed('hand', [
    at(0, half),
    at(0.5 * long, 0.96 * half),
    at(long - 0.3 * half, 0.7 * half),
    at(long + 0.3 * half, 0),
    at(long - 0.3 * half, -0.7 * half),
    at(0.5 * long, -0.96 * half),
    at(0, -half),
    at(-0.5 * half, 0),
  ]);
}

/**
 * A right hand on a knife by one of the three grips, seen from the thumb's side: back of the hand, three or four fingers round the handle, the
 * thumb, and the forefinger where the grip puts it. Mm, in the knife's own coordinates.
 */
export function drawGrip(grip: Grip, blade: BladeModel, handLengthMm: number, palmBreadthMm: number): Drawing {
  const thick = palmBreadthMm / 4.4;
  const top = handleTopMm(blade);
  const low = top - blade.handleHeightMm;
  const front = { pinch: -4, handle: -NECK_MM - 6, fingertip: -NECK_MM }[grip];
  const wrapped = grip === 'handle' ? 4 : 3;
  const curled = Array.from({ length: wrapped }, (_, i) => {
    const x = front - (i + 0.5) * thick;
    return finger({ x: x - 3, y: top - 2 }, { x: x + 2, y: low - 0.45 * thick }, 0.94 * thick);
  });
  const back = front - wrapped * thick;
  const palm = closed('hand', [
    { x: front + 0.4 * thick, y: top - 1 },
    { x: front - thick, y: top + 0.75 * thick },
    { x: back, y: top + 0.95 * thick },
    { x: back - 0.3 * handLengthMm, y: top + 0.9 * thick, corner: true },
    { x: back - 0.3 * handLengthMm, y: top - 1.9 * thick, corner: true },
    { x: back - 4, y: low + 1 },
    { x: back + thick, y: low + 0.5 * blade.handleHeightMm },
  ]);
  const joint = { x: front - 0.3 * thick, y: top - 0.1 * thick };
  const thumb = {
    pinch: finger(joint, { x: 0.09 * handLengthMm, y: 0.6 * blade.heelHeightMm }, thick),
    handle: finger(joint, { x: joint.x + 0.12 * handLengthMm - thick, y: top - 0.5 * blade.handleHeightMm }, thick),
    fingertip: finger(joint, { x: 0.02 * handLengthMm, y: top - 0.55 * blade.handleHeightMm }, thick),
  }[grip];
  const forefinger = {
    pinch: [
      finger({ x: front + 2, y: top - 2 }, { x: 0.075 * handLengthMm, y: 0.38 * blade.heelHeightMm }, 0.9 * thick),
    ],
    handle: [],
    fingertip: [
      finger(
        { x: front - 4, y: top + 0.3 * thick },
        { x: 0.34 * handLengthMm, y: blade.heelHeightMm + 0.2 * thick },
        0.9 * thick,
      ),
    ],
  }[grip];
  return drawingOf([palm, ...curled, ...forefinger, thumb]);
}
