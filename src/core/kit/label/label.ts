import type { BladeModel } from '../../blade/schema';

/** What a shop's label tells of a knife; null where it does not. Mm, g, HRC, degrees a side; the price in the shop's money. */
export interface Label {
  type: string | null;
  lengthMm: number | null;
  heelHeightMm: number | null;
  weightG: number | null;
  hrc: number | null;
  spineHeelMm: number | null;
  edgeAngleDeg: number | null;
  bevel: BladeModel['bevel'] | null;
  handed: BladeModel['handed'] | null;
  steel: BladeModel['steel'] | null;
  stainless: boolean | null;
  handleStyle: BladeModel['handleStyle'] | null;
  serrated: boolean | null;
  price: number | null;
  currency: string | null;
}

/** A label as it was read. */
export interface LabelRead {
  /** False for a board, a block, a set and whatever else is no single knife. */
  knife: boolean;
  read: Label;
  /** What stands on the label and can be read in two ways. */
  asks: (keyof Label)[];
  /** Pieces with a figure or a name in them that were not understood. */
  unread: string[];
}

/** A label that says nothing. */
export const NOTHING_READ: Label = {
  type: null,
  lengthMm: null,
  heelHeightMm: null,
  weightG: null,
  hrc: null,
  spineHeelMm: null,
  edgeAngleDeg: null,
  bevel: null,
  handed: null,
  steel: null,
  stainless: null,
  handleStyle: null,
  serrated: null,
  price: null,
  currency: null,
};
