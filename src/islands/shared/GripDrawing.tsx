import type { BladeModel } from '../../core/blade/schema';
import { drawGrip } from '../../core/drawing/hand';
import { upsideDown } from '../../core/drawing/shape';
import { LyingKnife } from '../blade/Drawings';
import { Shapes } from './Shapes';
import css from './MotionDrawing.module.css';

/** The grips: where the hand lies along a knife and what each is good for. */
export const GRIPS = [
  {
    id: 'pinch',
    name: 'Pinch',
    about:
      'Thumb and forefinger on the blade itself, just before the handle: the steadiest hold for board work. Eased corners matter here.',
  },
  {
    id: 'handle',
    name: 'Handle',
    about: 'The whole hand behind the bolster: strong, and a little further from the tip.',
  },
  {
    id: 'fingertip',
    name: 'Fingertip',
    about: 'The forefinger along the spine, for drawing a long blade lightly.',
  },
] as const;

/** A middling hand, where none has been measured, mm. */
const HAND = { lengthMm: 185, breadthMm: 84 };

/** A grip drawn: the knife, and the hand that holds it. */
export function GripDrawing({
  grip,
  blade,
  hand = HAND,
}: {
  grip: (typeof GRIPS)[number];
  blade: BladeModel;
  hand?: { lengthMm: number; breadthMm: number };
}) {
  const { behind, before } = drawGrip(grip.id, blade, hand.lengthMm, hand.breadthMm);
  return (
    <svg viewBox="-190 -80 440 116" role="img" aria-label={`${grip.name} grip`} className={css.drawing}>
      <Shapes drawing={behind} place={upsideDown} line={1.2} />
      <LyingKnife blade={blade} line={1.2} />
      <Shapes drawing={before} place={upsideDown} line={1.2} />
    </svg>
  );
}
