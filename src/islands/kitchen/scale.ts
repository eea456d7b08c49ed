/** One scale for the whole roll: pixels for a millimetre, and how far the longest handle and blade reach from the heel line. */
export interface Scale {
  upright: boolean;
  pxPerMm: number;
  handleMm: number;
  bladeMm: number;
}
