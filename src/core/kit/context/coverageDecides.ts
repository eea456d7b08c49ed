import { type Chosen, chooseKit, ROUGH } from '../search/choose';
import { kitOf, coverageOfKit } from '../search/coverage';
import { partOf } from '../search/shortlist';
import type { PlanningContext } from './planningContext';

/** Prices of a point beside which a kit must not fall back, as shares of the kitchen's own: those of less money. */
const LESS_MONEY = [0.75, 0.5] as const;

/**
 * A dearer point never covers less: where the least a step must add makes the kit of a lower price of a point, within the same limits, cover
 * more, that one is taken (handbook 8.1: where anything but money would lower coverage, coverage decides).
 */
export function coverageDecides({ problem, kitchen }: PlanningContext, chosen: Chosen): Chosen {
  if (kitchen.budgetMinor === null) return chosen;
  const { choice, among } = chosen;
  const part = partOf(problem, (i) => !among || among.has(i) || choice.includes(i));
  let best = chosen;
  const kit = kitOf(problem, choice);
  const seed = kit.map((c) => c.id);
  let covered = coverageOfKit(problem, kit);
  for (const share of LESS_MONEY) {
    const scale = { ...problem.scale, pointMinor: problem.scale.pointMinor * share };
    const cheaper = chooseKit({ ...part.problem, scale }, ROUGH, { seed }).choice;
    const covers = coverageOfKit(problem, kitOf(part.problem, cheaper));
    if (covers > covered + 1e-9) {
      covered = covers;
      best = { ...chosen, choice: part.inWhole(cheaper) };
    }
  }
  return best;
}
