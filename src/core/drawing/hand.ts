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

/** A hand on a knife: what lies behind the knife, and what lies before it. */
export interface GripDrawing {
  behind: Drawing;
  before: Drawing;
}

/**
 * A right hand on a knife by one of the three grips, seen from the thumb's side: the palm behind the handle, fingertips round it, the thumb, and
 * the forefinger where the grip puts it. Mm, in the knife's own coordinates.
 */
export function drawGrip(grip: Grip, blade: BladeModel, handLengthMm: number, palmBreadthMm: number): GripDrawing {
  const thick = palmBreadthMm / 4.4;
  const top = handleTopMm(blade);
  const low = top - blade.handleHeightMm;
  const middle = (top + low) / 2;
  const front = { pinch: -4, handle: -NECK_MM - 6, fingertip: -NECK_MM }[grip];
  const wrapped = grip === 'handle' ? 4 : 3;
  const back = front - wrapped * thick;
  const wrist = back - 0.26 * handLengthMm;
  const palm = closed('hand', [
    { x: front + 0.6 * thick, y: top - 0.2 * thick },
    { x: front, y: top + 0.5 * thick },
    { x: back + thick, y: top + 0.95 * thick },
    { x: back - 0.1 * handLengthMm, y: top + 1.15 * thick },
    { x: wrist, y: top + 1.1 * thick, corner: true },
    { x: wrist, y: top - 1.9 * thick, corner: true },
    { x: back - 0.1 * handLengthMm, y: low - 0.55 * thick },
    { x: back + 0.5 * thick, y: low - 0.75 * thick },
    { x: front - 0.3 * thick, y: low - 0.55 * thick },
    { x: front + 0.5 * thick, y: low + 0.2 * thick },
  ]);
  const tips = Array.from({ length: wrapped }, (_, i) => {
    const x = front - (i + 0.5) * thick;
    return finger({ x: x - 2, y: low - 0.5 * thick }, { x, y: middle + 0.1 * thick }, 0.92 * thick);
  });
  const root = { x: front - 0.8 * thick, y: top + 0.35 * thick };
  const thumb = {
    pinch: finger(root, { x: 0.085 * handLengthMm, y: 0.62 * blade.heelHeightMm }, thick),
    handle: finger(root, { x: root.x + 0.13 * handLengthMm, y: middle + 0.1 * blade.handleHeightMm }, thick),
    fingertip: finger(root, { x: 0.01 * handLengthMm, y: middle + 0.1 * blade.handleHeightMm }, thick),
  }[grip];
  const along = finger(
    { x: front - 4, y: top + 0.55 * thick },
    { x: 0.32 * handLengthMm, y: blade.heelHeightMm + 0.25 * thick },
    0.88 * thick,
  );
  const bent = finger({ x: front + 4, y: top }, { x: 0.1 * handLengthMm, y: 0.36 * blade.heelHeightMm }, 0.88 * thick);
  return {
    behind: drawingOf([palm, ...(grip === 'pinch' ? [bent] : [])]),
    before: drawingOf([...tips, ...(grip === 'fingertip' ? [along] : []), thumb]),
  };
}
