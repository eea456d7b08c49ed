/** A rectangle to be laid into a tray, mm. */
export interface Piece {
  long: number;
  high: number;
}

/** Where a piece lies: the corner nearest the tray's, mm; `turned`: across the tray. */
export interface Laid {
  x: number;
  y: number;
  turned: boolean;
}

/** What lies in a tray already and stays there, mm. */
export interface Fixed {
  x: number;
  y: number;
  wide: number;
  deep: number;
}

/** Lengths closer than this are equal, mm. */
export const SLACK = 1e-6;

export const overlaps = (from: number, to: number, otherFrom: number, otherTo: number): boolean =>
  from < otherTo - SLACK && otherFrom < to - SLACK;
