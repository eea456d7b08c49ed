import { WORTH } from '../../constants';

/** Where the curve bends: scores, and what they are worth. */
const SCORES = new Float64Array(WORTH.usefulness.map(([score]) => score));
const WORTHS = new Float64Array(WORTH.usefulness.map(([, worth]) => worth));

/**
 * Worth of a score (0–100) to a kit, 0–1, concave above a struggle: bringing work from a struggle to done well is the point of buying, going
 * from well to perfect is pleasant and worth little (handbook 8.1).
 *
 * @example usefulness(55) // 0.5
 */
export function usefulness(score: number): number {
  const count = SCORES.length;
  if (score <= (SCORES[0] ?? 0)) return 0;
  for (let k = 1; k < count; k++) {
    const above = SCORES[k] ?? 0;
    if (score >= above) continue;
    const from = SCORES[k - 1] ?? 0;
    const low = WORTHS[k - 1] ?? 0;
    const high = WORTHS[k] ?? 0;
    return low + ((high - low) * (score - from)) / Math.max(1e-9, above - from);
  }
  return 1;
}
