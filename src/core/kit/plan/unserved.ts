import { SCORE_WORDS, GUIDANCE } from '../../constants';
import type { Plan } from '../../formats/planFile';
import { showMoney } from '../../money/currency';
import { bestScores } from './buyingOrder';
import type { Candidate } from '../candidates/candidate';
import { lowerFirst } from '../../text/case';
import { round } from './step';
import type { PlanningContext } from '../context/planningContext';

/** Unserved tasks shown. */
const UNSERVED_SHOWN = 8;

/** What costs least, of two at one price the first by id. */
const cheapest = (candidates: readonly Candidate[]): Candidate | undefined =>
  candidates.reduce<Candidate | undefined>(
    (best, c) =>
      !best || c.priceMinor < best.priceMinor || (c.priceMinor === best.priceMinor && c.id < best.id) ? c : best,
    undefined,
  );

/** A tool as it stands in a sentence: "a peeler", "kitchen shears". */
const toolInWords = (name: string): string => `${name.endsWith('s') ? '' : 'a '}${lowerFirst(name)}`;

export function unserved(context: PlanningContext, steps: readonly Candidate[]): Plan['unserved'] {
  const best = bestScores(context, steps);
  const { currency } = context.kitchen;
  return context.loads
    .map((load, t) => ({ load, t, score: best[t] ?? 0 }))
    .filter(({ load, score }) => load.weight > 0 && score < SCORE_WORDS.manages.value)
    .sort((a, b) => b.load.weight - a.load.weight || a.t - b.t)
    .slice(0, UNSERVED_SHOWN)
    .map(({ load, t, score }) => {
      const least = Math.max(SCORE_WORDS.manages.value, score + GUIDANCE.cureAdds.value);
      const cure = cheapest(
        [...context.problem.candidates, ...context.buyable].filter((c) => (c.scores[t] ?? 0) >= least),
      );
      const way = cure
        ? `the cheapest way is ${cure.tool ? toolInWords(cure.tool.name) : (cure.blade?.blade.name ?? '')} at ${showMoney(cure.priceMinor, currency)}`
        : 'nothing in the catalogue does it well for this cook';
      const rare = load.occasional ? ' Done so seldom, borrowing or a workaround may do.' : '';
      return {
        task: load.task.id,
        minutesPerWeek: round(load.minutesPerWeek, 1),
        score: Math.round(score),
        why: `${score < 1 ? 'Nothing here may do it' : `The best here scores ${Math.round(score)}`}; ${way}.${rare}`,
      };
    });
}
