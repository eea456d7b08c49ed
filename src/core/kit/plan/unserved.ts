import { GUIDANCE, REASON, SCORE_WORDS } from '../../constants';
import { score } from '../../fit/score';
import { bladeTraits } from '../../fit/traits';
import type { TaskLoad } from '../../load/load';
import { usefulness } from '../demand/usefulness';
import type { Plan } from '../../formats/planFile';
import { showMoney } from '../../money/currency';
import { bestScores } from './buyingOrder';
import { hasHandle } from '../candidates/allowed';
import type { Candidate } from '../candidates/candidate';
import { lowerFirst } from '../../text/case';
import { round } from './step';
import type { PlanningContext } from '../context/planningContext';

/** Unserved tasks shown. */
const UNSERVED_SHOWN = 8;

/** A tool as it stands in a sentence: "a peeler", "kitchen shears". */
const toolInWords = (name: string): string => `${name.endsWith('s') ? '' : 'a '}${lowerFirst(name)}`;

/** A task no piece of the kit does well, by its place among the loads. */
interface Missed {
  load: TaskLoad;
  t: number;
  score: number;
}

/** Whether a cook would miss it: half a minute a week of it, or work that matters. */
const isMissed = ({ load }: Missed): boolean =>
  load.weight > 0 && (load.minutesPerWeek >= REASON.missedFrom.value || load.matters >= REASON.missedMatters.value);

/**
 * What stays badly served with everything bought, most weight first: what a cook would miss, each with the best cure that the limits, hands, school and
 * drawer allow and that is not there already, or with what forbids one (handbook 10.5).
 */
export function unserved(context: PlanningContext, steps: readonly Candidate[]): Plan['unserved'] {
  const best = bestScores(context, steps);
  return context.loads
    .map((load, t): Missed => ({ load, t, score: best[t] ?? 0 }))
    .filter((each) => isMissed(each) && each.score < SCORE_WORDS.manages.value)
    .sort((a, b) => b.load.weight - a.load.weight || a.t - b.t)
    .slice(0, UNSERVED_SHOWN)
    .map((missed) => ({
      task: missed.load.task.id,
      minutesPerWeek: round(missed.load.minutesPerWeek, 1),
      score: Math.round(missed.score),
      why: [
        missed.score < 1 ? 'Nothing here may do it;' : `The best here scores ${Math.round(missed.score)};`,
        `${wayOut(context, steps, missed)}.${missed.load.occasional ? ' Done so seldom, borrowing or a workaround may do.' : ''}`,
      ].join(' '),
    }));
}

/** The cure that is worth most at this task for its price; none of a type that is in the kit or the drawer. */
function bestCure(
  { problem, buyable, owned }: PlanningContext,
  steps: readonly Candidate[],
  { load, t, score }: Missed,
) {
  const total = problem.demand.total;
  const there = new Set([...owned.map((o) => o.type.id), ...steps.map((s) => s.type?.id ?? s.id)]);
  const least = Math.max(REASON.cureFrom.value, score + GUIDANCE.cureAdds.value);
  const worth = (c: Candidate) =>
    (load.weight / total) * (usefulness(c.scores[t] ?? 0) - usefulness(score)) -
    c.priceMinor / (100 * problem.scale.pointMinor);
  return [...problem.candidates, ...buyable]
    .filter((c) => c.owned === null && (c.scores[t] ?? 0) >= least && !there.has(c.type?.id ?? c.id))
    .reduce<Candidate | null>((best, c) => {
      const more = best ? worth(c) - worth(best) : 1;
      return more > 0 || (more === 0 && best && c.id < best.id) ? c : best;
    }, null);
}

/** What would do it, at what price and how well, and why it is not bought; or what forbids it. */
function wayOut(context: PlanningContext, steps: readonly Candidate[], missed: Missed): string {
  const { kitchen, problem, school } = context;
  const cure = bestCure(context, steps, missed);
  if (!cure) return forbidden(context, missed);
  const name = cure.tool ? toolInWords(cure.tool.name) : (cure.blade?.blade.name ?? '');
  const setUp = cure.regrindMinor ? ', opening its edge included' : '';
  const does = `${name} at ${showMoney(cure.priceMinor, kitchen.currency)}${setUp} would do it at ${Math.round(cure.scores[missed.t] ?? 0)}`;
  const left = problem.budgetMinor - steps.reduce((sum, s) => sum + s.priceMinor, 0);
  if (cure.priceMinor > left) return `${does}, and the money does not reach`;
  const knives = steps.filter(({ action }) => action === 'buy');
  const bought = problem.kinds === undefined ? knives.length : new Set(knives).size;
  if (cure.action === 'buy' && school !== 'free') return `${does}, and this school has no place for it`;
  if (cure.action === 'buy' && bought >= kitchen.limits.maxKnives)
    return `${does}, and all ${kitchen.limits.maxKnives} places are taken`;
  return `${does}; it adds less than its price is worth here`;
}

/** Why nothing that may be bought here does a task well. */
function forbidden({ kitchen, models, reference, tasks, cooks, owned }: PlanningContext, { t }: Missed): string {
  const task = tasks[t];
  const { never, handle, steel, maker, list } = kitchen.limits;
  const able = models.filter((model) => {
    if (!task) return false;
    return score(bladeTraits(model, reference, kitchen.habits.roughUse), task, cooks) >= REASON.cureFrom.value;
  });
  if (able.length === 0) return 'nothing on sale does it well for this hand and board';
  const out = (is: (model: (typeof able)[number]) => boolean) => able.every(is);
  if (out((m) => never.includes(m.type) || never.includes(m.id))) return 'what would do it is ruled out by name';
  if (list && out((m) => m.list !== list)) return `nothing in the list ${list} does it well`;
  if (maker && out((m) => m.maker !== maker)) return `nothing of ${maker} does it well`;
  if (handle && out((m) => !hasHandle(m, handle))) return 'no handle of the kind you ask for comes with a blade for it';
  if (steel.length > 0 && out((m) => !steel.includes(m.steel))) return 'no blade for it comes in the steel you ask for';
  const kept = owned.find((o) => o.owned.condition !== 'worn-out' && able.some((m) => m.type === o.type.id));
  if (kept) return `your ${lowerFirst(kept.type.name)} is the knife for it; its edge or its condition holds it back`;
  return 'what is bought already is the kind for it, and does no better here';
}
