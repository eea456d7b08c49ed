import { useMemo } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { drawKnife } from '../../core/drawing/knife';
import type { Drawing, Point } from '../../core/drawing/shape';
import { Shapes } from './Shapes';

/** A drawing put upright (working end down, edge to the left) or lying (working end right), its origin at the top left, mm. */
export interface Placed {
  drawing: Drawing;
  place: (p: Point) => Point;
  width: number;
  height: number;
}

export function placedDrawing(drawing: Drawing, upright: boolean): Placed {
  const { left, right, top, bottom } = drawing;
  return upright
    ? { drawing, width: top - bottom, height: right - left, place: ({ x, y }) => ({ x: y - bottom, y: x - left }) }
    : { drawing, width: right - left, height: top - bottom, place: ({ x, y }) => ({ x: x - left, y: top - y }) };
}

export const placed = (blade: BladeModel, upright: boolean): Placed => placedDrawing(drawKnife(blade), upright);

/** A knife drawn from its numbers inside an SVG whose user unit is a millimetre. `owned` fills it with steel, otherwise it is outlined. */
export function KnifeDrawing({
  blade,
  upright,
  owned,
  line,
}: {
  blade: BladeModel;
  upright: boolean;
  owned: boolean;
  line: number;
}) {
  const { drawing, place } = useMemo(() => placed(blade, upright), [blade, upright]);
  return <Shapes drawing={drawing} place={place} line={line} owned={owned} />;
}
