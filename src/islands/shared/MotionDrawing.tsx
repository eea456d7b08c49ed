import { useId } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { LyingKnife } from '../blade/Drawings';
import css from './MotionDrawing.module.css';

/** The four motions on the board: the blade that carries each best, the way it goes and what it wants. */
export const MOTIONS = [
  {
    id: 'rock',
    type: 'chef',
    name: 'Rock',
    about:
      'The tip stays on the board and the belly rolls through the food: herbs, garlic, nuts. It wants a deep belly; a flat edge stops hard.',
    path: 'M60 -66A150 150 0 0 1 20 -20',
    turn: 8,
  },
  {
    id: 'push',
    type: 'gyuto',
    name: 'Push',
    about: 'Forward and down in one stroke, the edge landing flat: onions, carrots, cabbage. It wants a long flat.',
    path: 'M-40 -70L30 -60',
    turn: 0,
  },
  {
    id: 'pull',
    type: 'sujihiki',
    name: 'Pull',
    about:
      'Drawn towards the cook through soft or long food: roasts, raw fish, tomatoes. It wants length and a low blade.',
    path: 'M60 -60L-60 -60',
    turn: 0,
  },
  {
    id: 'chop',
    type: 'nakiri',
    name: 'Chop',
    about: 'Straight down, the whole edge at once: roots and leaves. It wants a flat edge.',
    path: 'M60 -90V-62',
    turn: 0,
  },
] as const;

/** A motion drawn: the blade over the board, with an arrow for the way it goes. */
export function MotionDrawing({ motion, blade }: { motion: (typeof MOTIONS)[number]; blade: BladeModel }) {
  const head = useId();
  return (
    <svg viewBox="-150 -104 440 126" role="img" aria-label={`${motion.name}: ${motion.about}`} className={css.drawing}>
      <g transform={`rotate(${motion.turn} ${blade.lengthMm * 0.8} 0)`}>
        <LyingKnife blade={blade} line={1.2} />
      </g>
      <path className={css.board} d="M-60 2H280" />
      <defs>
        <marker id={head} viewBox="0 0 8 8" refX="6" refY="4" markerWidth="5" markerHeight="5" orient="auto">
          <path className={css.head} d="M0 0L8 4L0 8Z" />
        </marker>
      </defs>
      <path className={css.way} d={motion.path} markerEnd={`url(#${head})`} />
    </svg>
  );
}
