import { TRIAL } from '../constants';
import { cellsOf, compareByPairs, type Comparison, type Run } from './paired';

/** What a trial came to. */
export interface TrialResult {
  /** By task in the trial's order: the score of each knife, null where it was not tried, and the better one; null where none is. */
  tasks: { task: string; scores: (number | null)[]; winner: number | null }[];
  /** The first knife against each other one. */
  against: { knife: number; comparison: Comparison }[];
  unsafe: number[];
}

/** The one knife that is clearly ahead, or null. */
function winnerOf(scores: readonly (number | null)[]): number | null {
  const known = scores.filter((score) => score !== null);
  if (known.length < 2) return null;
  const [best = 0, second = 0] = [...known].sort((a, b) => b - a);
  return best - second >= TRIAL.bench.ahead.value ? scores.indexOf(best) : null;
}

/** Reads the runs of a trial of `knives` knives on some tasks: winners by task, and the first knife (the candidate) against each known one. */
export function resultOf(tasks: readonly string[], knives: number, runs: readonly Run[]): TrialResult {
  const cells = cellsOf(runs);
  const score = (knife: number, task: string) => cells.get(knife)?.get(task)?.score ?? null;
  const all = [...Array(knives).keys()];
  const rows = tasks.map((task) => {
    const scores = all.map((knife) => score(knife, task));
    return { task, scores, winner: winnerOf(scores) };
  });
  return {
    tasks: rows,
    against: all.slice(1).flatMap((knife) => {
      const differences = rows.flatMap(({ scores }) => {
        const [mine, theirs] = [scores[0], scores[knife]];
        return mine == null || theirs == null ? [] : [mine - theirs];
      });
      const comparison = compareByPairs(differences);
      return comparison ? [{ knife, comparison }] : [];
    }),
    unsafe: all.map((each) => runs.filter(({ knife, unsafe }) => knife === each && unsafe === true).length),
  };
}
