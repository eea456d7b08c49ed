import { RULER, UPKEEP } from '../../constants';
import type { EdgeCare } from '../../edge/keenness';
import type { EdgeKnife } from '../../formats/edgeFile';
import { sharpeningsPerYear } from '../plan/costPerYear';
import { round } from '../plan/step';
import type { KeptKnife } from './edgeKnives';

/**
 * Life by the ruler (handbook 9.5): heights at the heel and the sharpenings between the first and the last of them give millimetres a sharpening, and
 * the height still allowed the years left. Null where fewer than {@link RULER}.leastEvents sharpenings lie between measurements.
 */
export function rulerLife({ diary, edge }: Pick<KeptKnife, 'diary' | 'edge'>, care: EdgeCare): EdgeKnife['ruler'] {
  const measured = diary.filter(({ did, heelHeightMm }) => did === 'measured' && heelHeightMm !== undefined);
  const [first, last] = [measured[0], measured.at(-1)];
  if (!first || !last || first === last) return null;
  const between = diary.filter(({ did, on }) => did === 'sharpened' && on > first.on && on <= last.on);
  if (between.length < RULER.leastEvents.value) return null;
  const lost = Math.max(0, (first.heelHeightMm ?? 0) - (last.heelHeightMm ?? 0));
  const mmEach = lost / between.length;
  const left = Math.max(0, UPKEEP.allowedLoss.value - lost);
  const aYear = mmEach * sharpeningsPerYear(edge);
  const by = between.at(-1)?.by ?? (care.sharpening === 'none' ? 'professional' : care.sharpening);
  const usual = UPKEEP.heightLost[by].value;
  return {
    mmEach: round(mmEach, 2),
    yearsLeft: round(aYear > 0 ? Math.min(UPKEEP.longestLife.value, left / aYear) : UPKEEP.longestLife.value, 1),
    alarm:
      mmEach > RULER.alarm.value * usual
        ? `Every sharpening takes ${mmEach.toFixed(2)} mm, where ${usual} mm is usual: less pressure, a finer stone, or another sharpener.`
        : null,
  };
}
