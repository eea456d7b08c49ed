import type { BladeModel } from '../../core/blade/schema';
import type { LengthBand } from '../../core/formats/planFile';
import { LyingKnife } from '../blade/Drawings';
import { HandShape } from '../shared/HandShape';
import css from './LengthDrawing.module.css';

/** The wanted length drawn true: a knife of the shortest and of the longest that suits, over the board, with the hand that holds it. */
export function LengthDrawing({
  band,
  short,
  long,
  hand,
  board,
}: {
  band: LengthBand;
  short: BladeModel;
  long: BladeModel;
  hand: { lengthMm: number; breadthMm: number };
  board: { lengthMm: number; widthMm: number };
}) {
  const left = -hand.lengthMm * 0.62;
  const butt = -long.handleLengthMm - 4;
  const boardLeft = -40;
  const right = Math.max(boardLeft + board.lengthMm, long.lengthMm) + 12;
  const top = -Math.max(long.heelHeightMm + 46, board.widthMm * 0.42) - 6;
  const bottom = board.widthMm * 0.58;
  const view = [
    Math.min(left, butt, boardLeft) - 8,
    top,
    right - Math.min(left, butt, boardLeft) + 16,
    bottom - top + 16,
  ];
  return (
    <svg
      className={css.drawing}
      viewBox={view.join(' ')}
      role="img"
      aria-label={`Drawn to scale: a board of ${board.lengthMm} by ${board.widthMm} mm, and on it a general knife of ${band.fromMm} to ${band.toMm} mm in a hand of ${hand.lengthMm} mm`}
    >
      <rect
        className={css.board}
        x={boardLeft}
        y={-board.widthMm * 0.42}
        width={board.lengthMm}
        height={board.widthMm}
        rx={8}
      />
      <LyingKnife blade={long} line={1.6} />
      <g className={css.short}>
        <LyingKnife blade={short} line={1.2} />
      </g>
      <g transform={`translate(${left} ${-long.heelHeightMm * 0.55})`}>
        <HandShape lengthMm={hand.lengthMm * 0.66} breadthMm={hand.breadthMm} className={css.hand} />
      </g>
      <path className={css.measure} d={`M0 14v8M${band.fromMm} 14v8M${band.toMm} 14v8M0 18H${band.toMm}`} />
      <path className={css.band} d={`M${band.fromMm} 18H${band.toMm}`} />
      <text className={css.figure} x={band.fromMm - 4} y={40} textAnchor="end">
        {band.fromMm}
      </text>
      <text className={css.figure} x={band.toMm + 4} y={40}>
        {band.toMm} mm
      </text>
    </svg>
  );
}
