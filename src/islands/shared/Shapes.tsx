import { pathOfShape, type Drawing, type Point } from '../../core/drawing/shape';
import css from './Shapes.module.css';

/** A drawing of the core inside an SVG whose user unit is a millimetre, each shape painted by what it is of. */
export function Shapes({
  drawing,
  place,
  line,
  owned = false,
}: {
  drawing: Drawing;
  /** Where a point of the drawing lies in the picture. */
  place: (p: Point) => Point;
  /** Width of the outlines, mm. */
  line: number;
  /** Painted as a thing one has; otherwise only outlined. */
  owned?: boolean;
}) {
  return (
    <g className={css.drawing} strokeWidth={line} data-owned={owned || undefined}>
      {drawing.shapes.map((shape, i) => (
        <path
          key={i}
          className={css[shape.role]}
          d={pathOfShape(shape, place)}
          strokeWidth={shape.role === 'faint' ? line * 0.6 : undefined}
        />
      ))}
    </g>
  );
}
