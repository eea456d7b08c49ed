import { daysBetween } from '../../calendar/between';
import type { Day } from '../../calendar/day';
import { USE } from '../../constants';
import type { KitchenFile } from '../../formats/kitchenFile';
import { isBlunt } from '../candidates/owned';
import { reckonedShares } from '../candidates/learnedUse';
import type { PlanningContext } from '../context/planningContext';
import { ownedName, taughtByUse } from '../plan/taught';

/** How an owned knife is drawn, beside how it was reckoned to be. */
export interface UsedKnife {
  /** Its place in the drawer. */
  owned: number;
  name: string;
  uses: number;
  last: Day | null;
  /** Share of all uses: of those written down, and as reckoned from the cooking, 0–1. */
  share: number;
  reckoned: number;
  /** Why it is drawn so seldom, or so often, in a sentence; null where nothing is to be told, or it is too soon. */
  story: string | null;
}

export interface UseReport {
  uses: number;
  days: number;
  knives: UsedKnife[];
  /** What the diary changed in the plan, in sentences. */
  taught: string[];
}

/** Whether an owned knife is worth a multiple of the middle one of the drawer. */
function isPrecious({ owned }: PlanningContext, i: number): boolean {
  const prices = owned.map(({ blade }) => blade.blade.priceMinor);
  const middle = [...prices].sort((a, b) => a - b)[Math.floor((prices.length - 1) / 2)] ?? 0;
  return middle > 0 && (prices[i] ?? 0) >= USE.told.precious.value * middle;
}

/** Why an owned knife that has work waiting is hardly drawn. */
function whySeldom(context: PlanningContext, file: KitchenFile, i: number): string {
  const knife = context.owned[i];
  if (!knife) return '';
  const { keep } = knife.owned;
  if (keep === 'keepsake') return 'Kept for good: a keepsake, outside what is counted.';
  if (keep === 'lend') return 'Kept to be lent.';
  if (context.cooks.every(({ cook }) => cook.mayUse !== null && !cook.mayUse.includes(i)))
    return 'Nobody who cooks here may use it: see who may, under Cooks.';
  if (isBlunt(knife)) return 'Its edge is why: nobody reaches for a dull knife. Put it right, or let it go.';
  const laid = file.storage?.laid?.find(({ owned }) => owned === i);
  const kind = laid && file.storage?.places[laid.place]?.kind;
  if (
    kind === 'roll' ||
    kind === 'drawer' ||
    (!kind && ['roll', 'guards', 'loose'].includes(context.kitchen.habits.storage))
  )
    return 'Badly stored, perhaps: what has to be unwrapped or dug for is not drawn. Give it a place within reach.';
  if (isPrecious(context, i))
    return 'Too precious? It is among the dearest here and has work waiting. It was made to cut: use it, and sharpen it.';
  return 'It has work waiting and something else is taken: hang it where the hand falls, or find out what it lacks.';
}

/** What to tell of how one knife is drawn. */
function storyOf(
  context: PlanningContext,
  file: KitchenFile,
  { owned: i, share, reckoned, uses }: Omit<UsedKnife, 'story'>,
): string | null {
  const { rarely, often } = USE.told;
  if (reckoned < USE.leastShare.value) {
    if (uses > 0)
      return share > 2 * USE.leastShare.value
        ? 'Drawn for work the plan gives to others: they do it better, or you like this one.'
        : null;
    const { keep } = context.owned[i]?.owned ?? {};
    return keep === 'keepsake' || keep === 'lend'
      ? whySeldom(context, file, i)
      : 'Never drawn, and all its work is done better by others: lend it, give it away, or keep it for its story.';
  }
  if (share < rarely.value * reckoned) return whySeldom(context, file, i);
  if (share > often.value * reckoned)
    return 'Drawn far more than reckoned: what it does here weighs more than the cooking told.';
  return null;
}

/** How every owned knife is drawn, by the diary, beside what was reckoned: the most drawn first. Stories are told once there is enough to tell from. */
export function reportOfUse(context: PlanningContext, file: KitchenFile): UseReport {
  const entries = context.kitchen.diary.filter(({ did }) => did === 'used');
  const dates = entries.map(({ on }) => on).sort();
  const [first, last] = [dates[0], dates.at(-1)];
  const days = first !== undefined && last !== undefined ? daysBetween(first, last) + 1 : 0;
  const enough = entries.length >= USE.told.uses.value && days >= USE.told.days.value;
  const reckoned = context.learned?.reckoned ?? reckonedShares(context);
  const knives = context.owned.map((_, i): UsedKnife => {
    const mine = entries.filter(({ knife }) => knife === i).map(({ on }) => on);
    const told = {
      owned: i,
      name: ownedName(context, i),
      uses: mine.length,
      last: mine.reduce<Day | null>((latest, on) => (latest === null || on > latest ? on : latest), null),
      share: entries.length > 0 ? mine.length / entries.length : 0,
      reckoned: reckoned[i] ?? 0,
    };
    return { ...told, story: enough ? storyOf(context, file, told) : null };
  });
  return {
    uses: entries.length,
    days,
    knives: knives.sort((a, b) => b.uses - a.uses || b.reckoned - a.reckoned),
    taught: taughtByUse(context),
  };
}
