import type { BladeModel } from '../blade/schema';
import { drawKnife } from '../drawing/knife';

/** A knife as storage sees it, mm. */
export interface Thing {
  ref: string;
  name: string;
  /** The blade alone. */
  bladeMm: number;
  heelMm: number;
  spineMm: number;
  /** The whole knife lying on its side: its length, its height, and how thick it is. */
  longMm: number;
  highMm: number;
  thickMm: number;
  handleMm: number;
}

/** To a tenth of a millimetre, never less: what is laid side by side does not overlap. */
const up = (mm: number): number => Math.ceil(10 * mm - 1e-6) / 10;

/** A knife's room from its own numbers; length and height are those of its drawing. */
export function thingOf(ref: string, name: string, blade: BladeModel): Thing {
  const { left, right, top, bottom } = drawKnife(blade);
  return {
    ref,
    name,
    bladeMm: blade.lengthMm,
    heelMm: blade.heelHeightMm,
    spineMm: blade.spineHeelMm,
    longMm: up(right - left),
    highMm: up(top - bottom),
    thickMm: up(Math.max(blade.handleThicknessMm, blade.spineHeelMm)),
    handleMm: blade.handleLengthMm,
  };
}
