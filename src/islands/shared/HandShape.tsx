import { drawHand } from '../../core/drawing/hand';
import { pathOfShape } from '../../core/drawing/shape';

/** An open hand from its two measures, wrist at the origin, fingers along x, thumb up; user unit a millimetre. */
export function HandShape({
  lengthMm,
  breadthMm,
  className,
}: {
  lengthMm: number;
  breadthMm: number;
  className?: string | undefined;
}) {
  return (
    <g className={className}>
      {drawHand(lengthMm, breadthMm).shapes.map((shape, i) => (
        <path key={i} d={pathOfShape(shape)} />
      ))}
    </g>
  );
}
