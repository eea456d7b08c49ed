import { EDGE_CALENDAR, UPKEEP } from '../../constants';
import { edgeLife, isSharpened, type EdgeCare } from '../../edge/keenness';
import type { EdgeReport } from '../../formats/edgeFile';
import { CATALOGUE_CURRENCY, convertMinor, fromMinor, toMinor } from '../../money/currency';
import { sharpeningMinor } from '../candidates/making';
import type { PlanningContext } from '../context/planningContext';
import { sharpeningsPerYear } from '../plan/costPerYear';
import { likeMinor } from '../plan/likePrice';
import { round } from '../plan/step';
import type { KeptKnife } from './edgeKnives';

const METHODS = ['stones', 'professional', 'pull-through', 'powered'] as const;
const YEARS = 5;
/** Tools bought once for each way of sharpening, unless they are there. */
const TOOLS: Record<(typeof METHODS)[number], readonly string[]> = {
  stones: ['stone-medium', 'stone-fine'],
  professional: [],
  'pull-through': ['pull-through'],
  powered: [],
};

/** What the tools of a way of sharpening cost, minor units: as said for this kitchen, or what is not there of them at usual prices. */
function toolsMinor({ kitchen, reference }: PlanningContext, method: (typeof METHODS)[number]): number {
  const said = method === 'professional' ? 0 : kitchen.habits.sharpenerPrices[method];
  if (said !== undefined) return toMinor(said, kitchen.currency);
  const tools = TOOLS[method]
    .filter((id) => !kitchen.tools.includes(id))
    .reduce((sum, id) => sum + (reference.tools.get(id)?.priceMinor ?? 0), 0);
  const machine = method === 'powered' ? 100 * EDGE_CALENDAR.poweredEur.value : 0;
  return convertMinor(tools + machine, CATALOGUE_CURRENCY, kitchen.currency);
}

/** Price of a knife, or of its like where it is owned, minor units. */
const priceOf = (context: PlanningContext, knife: KeptKnife | undefined): number =>
  knife?.owned ? likeMinor(context, knife.blade.blade) : (knife?.priceMinor ?? 0);

/** What every way of sharpening comes to over five years for these knives: what it costs with the blades it
 * wears out, the height it eats, how keen they are on average. */
export function fiveYears(
  context: PlanningContext,
  knives: readonly KeptKnife[],
  care: EdgeCare,
): EdgeReport['fiveYears'] {
  const { kitchen } = context;
  const kept = knives.filter(({ blade }) => isSharpened(blade.blade));
  return METHODS.map((method) => {
    const edges = kept.map(({ blade, edge }) =>
      edgeLife(blade.blade, blade.steel, { ...care, sharpening: method }, edge.minutesPerWeek),
    );
    const events = edges.map((edge) => YEARS * sharpeningsPerYear(edge));
    const all = events.reduce((sum, many) => sum + many, 0);
    const tools = toolsMinor(context, method);
    const lost = events.map((many) => many * UPKEEP.heightLost[method].value);
    const replaced = lost.map((mm) => Math.floor(mm / UPKEEP.allowedLoss.value));
    const blades = replaced.reduce((sum, many, i) => sum + many * priceOf(context, kept[i]), 0);
    const cost = all * sharpeningMinor(kitchen, method) + (all > 0 ? tools : 0) + blades;
    const minutes = edges.reduce((sum, edge) => sum + edge.minutesPerWeek, 0);
    const keen = edges.reduce((sum, edge) => sum + edge.averageKeenness * edge.minutesPerWeek, 0);
    const busiest = edges.reduce(
      (best, edge, i) => (edge.minutesPerWeek > (edges[best]?.minutesPerWeek ?? -1) ? i : best),
      0,
    );
    return {
      method,
      cost: fromMinor(Math.round(cost), kitchen.currency),
      tools: fromMinor(Math.round(tools), kitchen.currency),
      replaced: replaced.reduce((sum, many) => sum + many, 0),
      // of a blade that was replaced in the meantime, what the first one lost until it was
      heightLostMm: round(Math.min(UPKEEP.allowedLoss.value, lost[busiest] ?? 0), 2),
      averageKeenness: round(minutes > 0 ? keen / minutes : 0, 3),
    };
  });
}
