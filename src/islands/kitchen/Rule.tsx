import css from './Roll.module.css';
import type { Scale } from './scale';

const EVERY_MM = 10;
const NUMBERED_MM = 50;

/** A millimetre rule at the roll's own scale, nought at the heel. */
export function Rule({ scale }: { scale: Scale }) {
  const { upright, pxPerMm, handleMm, bladeMm } = scale;
  const long = (handleMm + bladeMm + 8) * pxPerMm;
  const marks = Array.from({ length: Math.floor(bladeMm / EVERY_MM) + 1 }, (_, i) => i * EVERY_MM);
  const at = (mm: number) => (handleMm + 4 + mm) * pxPerMm;
  return (
    <svg
      className={css.rule}
      width={upright ? 38 : long}
      height={upright ? long : 26}
      role="img"
      aria-label={`Rule: the drawings are to one scale; the longest edge here is ${Math.round(bladeMm)} millimetres`}
    >
      {marks.map((mm) => {
        const numbered = mm % NUMBERED_MM === 0;
        const size = numbered ? 10 : 5;
        return upright ? (
          <g key={mm}>
            <path d={`M38 ${at(mm)}h-${size}`} stroke="currentColor" strokeWidth={numbered ? 1.4 : 0.8} />
            {numbered && (
              <text x={25} y={at(mm) + 4} textAnchor="end">
                {mm}
              </text>
            )}
          </g>
        ) : (
          <g key={mm}>
            <path d={`M${at(mm)} 26v-${size}`} stroke="currentColor" strokeWidth={numbered ? 1.4 : 0.8} />
            {numbered && (
              <text x={at(mm)} y={12} textAnchor="middle">
                {mm}
              </text>
            )}
          </g>
        );
      })}
      <text x={upright ? 4 : at(0) - 8} y={upright ? at(0) - 8 : 12} textAnchor={upright ? 'start' : 'end'}>
        mm
      </text>
    </svg>
  );
}
