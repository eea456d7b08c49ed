import { chooseKit, ROUGH } from './choose';
import { Chooser } from './greedy';
import type { Problem } from './problem';
import { coverageOfKit, kitOf } from './coverage';

/** What some money buys: the coverage of the kit found for it. */
interface FrontierPoint {
  spentMinor: number;
  coverage: number;
}

/** Amounts tried between nothing and the most that is worth spending. */
const AMOUNTS = 18;

/** The most tried, as a multiple of what the best kit found without a ceiling costs or of the budget, whichever is less. */
const REACH = 1.6;

/**
 * Coverage against money, from what is owned today upward: for rising amounts the kit the plan would choose, kept only where it covers more
 * than a cheaper one. Found, not proven. Yields after every amount so that a caller may breathe.
 */
export function* frontier(problem: Problem): Generator<FrontierPoint[], FrontierPoint[]> {
  const most = chooseKit({ ...problem, budgetMinor: Infinity }, ROUGH);
  const chooser = new Chooser(problem);
  const dearest = chooser.price(most.choice);
  const ceiling = Number.isFinite(problem.budgetMinor)
    ? Math.min(Math.max(dearest, problem.budgetMinor), problem.budgetMinor * REACH)
    : dearest;
  const points: FrontierPoint[] = [{ spentMinor: 0, coverage: coverageOfKit(problem, []) }];
  for (let i = 1; i <= AMOUNTS; i++) {
    // small amounts lie closer together: that is where the curve bends
    const budgetMinor = Math.round(ceiling * (i / AMOUNTS) ** 1.5);
    const { choice } = chooseKit({ ...problem, budgetMinor }, ROUGH);
    points.push({ spentMinor: chooser.price(choice), coverage: coverageOfKit(problem, kitOf(problem, choice)) });
    yield rising(points);
  }
  return rising(points);
}

/** The points no cheaper one equals, by money. */
function rising(points: readonly FrontierPoint[]): FrontierPoint[] {
  let best = -1;
  return [...points]
    .sort((a, b) => a.spentMinor - b.spentMinor || b.coverage - a.coverage)
    .filter(({ coverage }) => {
      const more = coverage > best + 1e-6;
      if (more) best = coverage;
      return more;
    });
}

/** Where the curve bends most: the point farthest above the straight line from its first to its last. Null for fewer than three points. */
export function knee(points: readonly FrontierPoint[]): FrontierPoint | null {
  const [from, to] = [points[0], points.at(-1)];
  if (!from || !to || points.length < 3 || to.spentMinor === from.spentMinor) return null;
  const above = (p: FrontierPoint) =>
    p.coverage -
    from.coverage -
    ((to.coverage - from.coverage) * (p.spentMinor - from.spentMinor)) / (to.spentMinor - from.spentMinor);
  return points.reduce((best, p) => (above(p) > above(best) + 1e-12 ? p : best));
}
