import type { BladeModel } from '../../core/blade/schema';
import { LyingKnife } from '../blade/Drawings';
import css from './MotionDrawing.module.css';

/** The grips: where the hand lies along a knife, mm from the heel, and what each is good for. */
export const GRIPS = [
  {
    id: 'pinch',
    name: 'Pinch',
    about:
      'Thumb and forefinger on the blade itself, just before the handle: the steadiest hold for board work. Eased corners matter here.',
    from: -6,
    to: 22,
    deep: 34,
  },
  {
    id: 'handle',
    name: 'Handle',
    about: 'The whole hand behind the bolster: strong, and a little further from the tip.',
    from: -84,
    to: -14,
    deep: 34,
  },
  {
    id: 'fingertip',
    name: 'Fingertip',
    about: 'The forefinger along the spine, for drawing a long blade lightly.',
    from: -20,
    to: 60,
    deep: 18,
  },
] as const;

/** A grip drawn: the knife, and where the hand holds it. */
export function GripDrawing({ grip, blade }: { grip: (typeof GRIPS)[number]; blade: BladeModel }) {
  return (
    <svg viewBox="-150 -74 440 92" role="img" aria-label={`${grip.name} grip`} className={css.drawing}>
      <LyingKnife blade={blade} line={1.2} />
      <rect
        className={css.hold}
        x={grip.from}
        y={-blade.heelHeightMm - 8}
        width={grip.to - grip.from}
        height={grip.deep}
        rx={9}
      />
    </svg>
  );
}
