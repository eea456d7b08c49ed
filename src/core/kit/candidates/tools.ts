import { REASON, WORTH } from '../../constants';
import type { TaskLoad } from '../../load/load';
import { latelyOf } from '../../text/lately';
import { usefulness } from '../demand/usefulness';
import type { Scoring } from './scoring';
import { rescued, rescues } from '../demand/rescue';
import { convertMinor, CATALOGUE_CURRENCY } from '../../money/currency';
import type { Candidate } from './candidate';
import type { Making } from './making';
import { isSound, type OwnedKnife } from './owned';

const scoresMet = latelyOf<Float64Array>(40);
const rowsMet = latelyOf<Float64Array>(4);

/** Scores of a tool on the kitchen's tasks, 0–100. */
export const toolScores = (toolId: string, loads: readonly TaskLoad[]): Float64Array =>
  scoresMet(loads, toolId, () => new Float64Array(loads.map(({ task }) => 100 * (task.tools[toolId] ?? 0))));

/** A tool serves every hand alike. `scores`: on the loads. */
export const toolRows = (
  scores: Float64Array,
  { loads, hands, pooled }: Pick<Scoring, 'loads' | 'hands' | 'pooled'>,
): Float64Array =>
  rowsMet(scores, `${hands.length} ${pooled}`, () => {
    const useful = [...scores].map((score) => usefulness(score));
    const saved = rescued(loads).map((t) => rescues(scores[t] ?? 0));
    return new Float64Array([...hands.flatMap(() => useful), ...(pooled ? useful : []), ...saved]);
  });

/** Tools that stand in for a blade in this kitchen and are not owned yet. */
export function toolSteps(making: Making, owned: readonly OwnedKnife[]): Candidate[] {
  const { kitchen, loads, reference } = making;
  const hasSmall = owned.some((o) => o.type.role === 'small' && isSound(o));
  const ownedAt = (t: number) => Math.max(0, ...owned.map((o) => o.restored.scores[t] ?? 0));
  return [...reference.tools.values()]
    .filter((tool) => !kitchen.tools.includes(tool.id) && !kitchen.limits.never.includes(tool.id))
    .flatMap((tool) => {
      const scores = toolScores(tool.id, loads);
      if (!scores.some((s) => s > 0)) return [];
      const rows = toolRows(scores, making);
      // work that would be missed and that no knife does, or none in a drawer that has a small one
      const isRescuer = loads.some(
        ({ task, minutesPerWeek }, t) =>
          (task.motions.length === 0 || (hasSmall && ownedAt(t) < WORTH.needFrom.value)) &&
          minutesPerWeek >= REASON.missedFrom.value &&
          (scores[t] ?? 0) >= WORTH.likeCap.value,
      );
      return [
        {
          id: tool.id,
          action: 'tool' as const,
          type: null,
          blade: null,
          tool,
          owned: null,
          priceMinor: convertMinor(tool.priceMinor, CATALOGUE_CURRENCY, kitchen.currency),
          ...(isRescuer ? { isRescuer } : {}),
          scores,
          usefulness: rows,
          counted: rows,
          edge: null,
        },
      ];
    });
}
