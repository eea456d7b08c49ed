import { WORTH } from '../../constants';
import { isFaceTheDish } from '../../cutting/eaten';
import type { Cook } from '../../kitchen/kitchen';
import type { TaskLoad } from '../../load/load';

/** Where a curve bends: scores, and what they are worth. */
const curve = (points: readonly (readonly [number, number])[]) => ({
  scores: new Float64Array(points.map(([score]) => score)),
  worths: new Float64Array(points.map(([, worth]) => worth)),
});
const USUAL = curve(WORTH.usefulness);
const OF_FACE = curve(WORTH.usefulnessOfFace);

/**
 * Worth of a score (0–100) to a kit, 0–1, concave above a struggle: bringing work from a struggle to done well is the point of buying, going
 * from well to perfect is pleasant and worth little (handbook 8.1). Where the face is the dish the last ten points are the point (10.2).
 *
 * @example usefulness(55) // 0.5
 */
export function usefulness(score: number, ofFace = false): number {
  const { scores, worths } = ofFace ? OF_FACE : USUAL;
  const count = scores.length;
  if (score <= (scores[0] ?? 0)) return 0;
  for (let k = 1; k < count; k++) {
    const above = scores[k] ?? 0;
    if (score >= above) continue;
    const from = scores[k - 1] ?? 0;
    const low = worths[k - 1] ?? 0;
    const high = worths[k] ?? 0;
    return low + ((high - low) * (score - from)) / Math.max(1e-9, above - from);
  }
  return 1;
}

/** Whether a cook looks at the face of this work as who eats it does: the trained and keen always, others where it matters to them. */
export const looksAtFace = ({ task, matters }: TaskLoad, { experience }: Pick<Cook, 'experience'>): boolean =>
  isFaceTheDish(task) &&
  (experience === 'trained' || experience === 'keen' || (experience === 'home' && matters >= WORTH.faceMatters.value));
