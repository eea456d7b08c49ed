import { TRIAL } from '../constants';

/** The marks of one knife at one task, 1 bad … 5 good. */
export interface Run {
  task: string;
  /** Which knife of the trial. */
  knife: number;
  effort: number;
  control: number;
  result: number;
  unsafe?: boolean;
}

/** What the marks of a run stand for as a score, 0–100: their mean; a moment that was unsafe is never good. */
export function scoreOfRun({ effort, control, result, unsafe }: Omit<Run, 'task' | 'knife'>): number {
  const { best, perStep, unsafe: most } = TRIAL.rating;
  const score = Math.max(0, best.value - perStep.value * (5 - (effort + control + result) / 3));
  return unsafe ? Math.min(most.value, score) : score;
}

const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** Mean score of each knife at each task it was tried at. */
export function cellsOf(runs: readonly Run[]): Map<number, Map<string, { score: number; trials: number }>> {
  const marks = new Map<number, Map<string, number[]>>();
  for (const run of runs) {
    const tasks = marks.get(run.knife) ?? new Map<string, number[]>();
    tasks.set(run.task, [...(tasks.get(run.task) ?? []), scoreOfRun(run)]);
    marks.set(run.knife, tasks);
  }
  return new Map(
    [...marks].map(([knife, tasks]) => [
      knife,
      new Map([...tasks].map(([task, scores]) => [task, { score: mean(scores), trials: scores.length }])),
    ]),
  );
}

/** Number of ways in which the signed ranks 1…n sum to each value. */
function signedRankWays(n: number): Float64Array {
  const ways = new Float64Array((n * (n + 1)) / 2 + 1);
  ways[0] = 1;
  for (let rank = 1; rank <= n; rank++)
    for (let sum = ways.length - 1; sum >= rank; sum--) ways[sum] = (ways[sum] ?? 0) + (ways[sum - rank] ?? 0);
  return ways;
}

/** One knife against another over the tasks both were tried at. */
export interface Comparison {
  /** Tasks both were tried at. */
  pairs: number;
  /** How much better the first is, score: the middle of all pairwise means (Hodges and Lehmann). */
  difference: number;
  /** Exact interval of the signed ranks; null where so few pairs allow none. */
  interval: [number, number] | null;
  /** Pairs still wanted before the interval would leave nought out; 0: settled; null: too alike to settle. */
  more: number | null;
}

/**
 * Paired comparison by Wilcoxon's signed ranks, exact: `differences` of scores, one a task, first knife less second. Null where nothing was paired.
 *
 * @example compareByPairs([10, 8, 12, 6, 9])?.interval // [6, 12]
 */
export function compareByPairs(differences: readonly number[]): Comparison | null {
  const n = differences.length;
  if (n === 0) return null;
  const sorted = [...differences].sort((a, b) => a - b);
  const means = sorted.flatMap((a, i) => sorted.slice(i).map((b) => (a + b) / 2)).sort((a, b) => a - b);
  const middle =
    ((means[Math.floor((means.length - 1) / 2)] ?? 0) + (means[Math.ceil((means.length - 1) / 2)] ?? 0)) / 2;
  const ways = signedRankWays(n);
  const tail = (1 - TRIAL.bench.sure.value) / 2;
  let [below, k] = [0, 0];
  // as many of the least means are left out as together are no likelier than the tail
  while (k < means.length && below + (ways[k] ?? 0) / 2 ** n <= tail) below += (ways[k++] ?? 0) / 2 ** n;
  const interval: Comparison['interval'] = k === 0 ? null : [means[k - 1] ?? 0, means[means.length - k] ?? 0];
  return { pairs: n, difference: middle, interval, more: moreWanted(differences, middle, interval) };
}

/** Two-sided normal quantile of 90 %. */
const NORMAL = 1.645;

function moreWanted(differences: readonly number[], middle: number, interval: Comparison['interval']): number | null {
  if (interval && (interval[0] > 0 || interval[1] < 0)) return 0;
  const n = differences.length;
  const average = mean(differences);
  const seen = n < 2 ? 0 : differences.reduce((sum, d) => sum + (d - average) ** 2, 0) / (n - 1);
  // few differences say little of their spread: that of the marks counts as two of them
  const variance = (seen * (n - 1) + 2 * 2 * TRIAL.rating.noise.value ** 2) / (n + 1);
  const wanted = (NORMAL ** 2 * variance) / Math.max(1e-9, middle ** 2);
  const more = Math.max(1, Math.ceil(wanted) - n);
  return more > TRIAL.bench.far.value ? null : more;
}
