import { GUIDANCE } from '../../constants';
import type { Plan } from '../../formats/planFile';
import type { WorkKind } from '../../cutting/work';
import type { Candidate } from '../candidates/candidate';
import { kindOfWork } from '../candidates/kinds';
import { crowdAt, workShares } from '../demand/crowds';
import type { PlanningContext } from '../context/planningContext';

/** Where several work at once, the kinds of knife people reach for at the same time, and in words. */
const KINDS: readonly { kind: WorkKind; role: string; work: string }[] = [
  { kind: 'board', role: 'general', work: 'board work' },
  { kind: 'small', role: 'small', work: 'small work' },
  { kind: 'bread', role: 'serrated', work: 'bread' },
  { kind: 'slicing', role: 'slicer', work: 'long slices' },
];

/** How many of a kind are wanted together; `all`: the chance that everybody at work wants one. */
function togetherInWords(wanted: number, atOnce: number, all: number): string {
  if (wanted === 1) return 'one is seldom waited for';
  if (wanted < atOnce) return `more than ${wanted} seldom want one together`;
  const often = all >= GUIDANCE.often.value ? 'often' : 'now and then';
  return `${often} ${atOnce === 2 ? 'both' : `all ${atOnce}`} want one together`;
}

/** How many knives of each kind are wanted where several work at once, and how many there are with the steps taken. */
export function copiesWanted(context: PlanningContext, steps: readonly Candidate[]): NonNullable<Plan['copies']> {
  const { kitchen, loads, owned, cooks } = context;
  const n = kitchen.cooksAtOnce;
  if (n < 2) return [];
  const shares = workShares(loads);
  return KINDS.flatMap(({ kind, role, work }) => {
    const share = shares.get(kind) ?? 0;
    if (share <= 0) return [];
    // chances that 1, 2 … are at it, the one who asks included; one fewer where nobody in particular asks
    const crowd = crowdAt(kind, shares, n, cooks.length);
    let wanted = 1;
    for (let more = 1 - (crowd[0] ?? 0); more > GUIDANCE.waitedFor.value && wanted < crowd.length; wanted++)
      more -= crowd[wanted] ?? 0;
    const have =
      owned.filter(
        (o) =>
          kindOfWork({ type: o.type, id: '' }) === role && o.owned.condition !== 'worn-out' && o.owned.keep === 'use',
      ).length + steps.filter((s) => s.action === 'buy' && kindOfWork(s) === role).length;
    // a kind of which one would do and the kit does without is no lack
    if (have === 0 && wanted === 1) return [];
    const why = `${n} at work at once, ${Math.round(100 * share)} % of the minutes ${work}: ${togetherInWords(wanted, n, crowd[n - 1] ?? 0)}.`;
    return [{ role, wanted, have, why }];
  });
}
