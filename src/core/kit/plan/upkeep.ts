import type { Tool } from '../../cutting/dish';
import type { BladeTraits } from '../../fit/traits';
import type { Kitchen } from '../../kitchen/kitchen';
import { CATALOGUE_CURRENCY, convertMinor } from '../../money/currency';
import type { Candidate } from '../candidates/candidate';
import type { PlanningContext } from '../context/planningContext';
import { honingAdvice, type HoningAdvice, keptByHoning, rodFor } from './honing';

/** A thing that cuts nothing but keeps the kit: bought with what the knives leave. */
export interface Upkeep {
  tool: Tool;
  priceMinor: number;
  /** Before any knife, or with what is left over. */
  need: boolean;
  why: string;
  /** Coverage it keeps, 0–1; 0 where it only spares the knives. */
  gain: number;
}

/** Something wanted for the kit, whether or not the money reaches. */
interface Wanted {
  id: string;
  need: boolean;
  why: string;
  gain?: number;
  count?: number;
}

/** The rod or strop that suits the hardest steel of a kit and what the cook is used to. */
function honingFor(honing: Kitchen['habits']['honing'], hardest: number, gain: number): Wanted {
  const rod = rodFor(hardest);
  return {
    id: honing === 'strop' ? 'strop' : honing === 'ceramic' ? 'honing-ceramic' : rod.id,
    need: false,
    gain,
    why: `${
      rod.isHard
        ? `Up to ${Math.round(hardest)} HRC here: fine ceramic or a strop between sharpenings, never a grooved steel.`
        : 'Keeps the edge between sharpenings; soft steel takes it well.'
    } Six light strokes a side are enough${gain > 0.0005 ? `; of what the kit covers ${(100 * gain).toFixed(1)} points rest on it` : ''}.`,
  };
}

/** A rod where nobody hones and it would be worth its price. */
const adviceFor = ({ id, gain, everyWeeks }: HoningAdvice): Wanted => ({
  id,
  need: false,
  gain,
  why: `Nobody hones here yet. Honed ${everyWeeks}, six light strokes a side, these edges stay keener: about ${(100 * gain).toFixed(1)} points more, which are not counted above. Say under your habits once you do.`,
});

function wantedFor(context: PlanningContext, blades: readonly BladeTraits[], steps: readonly Candidate[]): Wanted[] {
  const { habits, tools } = context.kitchen;
  const plain = blades.filter((b) => !b.serrated && b.steel.easeOfSharpening > 0);
  const hardest = Math.max(0, ...plain.map((b) => b.hardness));
  const wanted: Wanted[] = [];
  if (habits.storage === 'loose' && !tools.includes('drawer-tray') && blades.length > 0)
    wanted.push({
      id: 'guard',
      need: true,
      count: blades.length,
      why: `One for each of ${blades.length}: loose in a drawer edges knock dull and hands reach in blind.`,
    });
  if (habits.honing !== 'none' && plain.length > 0)
    wanted.push(honingFor(habits.honing, hardest, keptByHoning(context, steps)));
  const advice = honingAdvice(context, steps);
  if (advice) wanted.push(adviceFor(advice));
  const hasStone = context.putAside.some(({ tool }) => tool.id === 'stone-medium');
  if (habits.sharpening === 'stones' && plain.length > 0 && !hasStone)
    wanted.push({
      id: 'stone-medium',
      need: false,
      why: 'You sharpen yourself: a medium stone does most of it, coarse only for damage. On a wet cloth, slowly, edge away at rest.',
    });
  return wanted;
}

/**
 * What the kit needs to last: a board that spares edges, guards where knives lie loose, the honing tool that suits the steel for who hones, a
 * stone for who sharpens. Nothing that is owned or excluded, and no more than the money left reaches, needs first.
 */
export function upkeepFor(context: PlanningContext, steps: readonly Candidate[], leftMinor: number): Upkeep[] {
  const { kitchen, reference, owned, putAside } = context;
  const { tools, limits, currency } = kitchen;
  const kept = owned.filter((o) => o.owned.condition !== 'worn-out').map((o) => o.blade);
  const blades = [...kept, ...steps.flatMap((s) => (s.action === 'buy' && s.blade ? [s.blade] : []))];
  let left = leftMinor;
  const first = putAside.map((each) => ({ ...each, need: true, gain: 0 }));
  const wanted = wantedFor(context, blades, steps);
  const rest = wanted.flatMap(({ id, need, why: reason, count = 1, gain = 0 }) => {
    const tool = reference.tools.get(id);
    if (!tool || tools.includes(id) || limits.never.includes(id)) return [];
    const priceMinor = count * convertMinor(tool.priceMinor, CATALOGUE_CURRENCY, currency);
    if (priceMinor > left) return [];
    left -= priceMinor;
    return [{ tool, priceMinor, need, why: reason, gain }];
  });
  return [...first, ...rest];
}
