import { WORTH } from '../../constants';

const BENDS = WORTH.usefulness;

/**
 * Worth of a score (0–100) to a kit, 0–1, concave above a struggle: bringing work from a struggle to done well is the point of buying, going
 * from well to perfect is pleasant and worth little (handbook 8.1).
 *
 * @example usefulness(55) // 0.5
 */
export function usefulness(score: number): number {
  let before: readonly [number, number] = BENDS[0];
  if (score <= before[0]) return 0;
  for (const bend of BENDS) {
    if (score < bend[0])
      return before[1] + ((bend[1] - before[1]) * (score - before[0])) / Math.max(1e-9, bend[0] - before[0]);
    before = bend;
  }
  return 1;
}
