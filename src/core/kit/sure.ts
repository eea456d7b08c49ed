import type { Candidate } from './candidates';
import { chooseKit, QUICK } from './choose';
import { normal, seeded } from './random';
import { usefulness } from './value';
import type { Workbench } from './workbench';

/** How far things may be off, as standard deviations: loads by a quarter, each score by three points. House judgement. */
export const DOUBT = { load: 0.25, score: 3 } as const;
const SEED = 20_260;

/**
 * Runs the plan again under small changes of loads and scores and counts how often each step's kind (same action, same blade type or tool)
 * is chosen again. Returns a share 0–1 per step; deterministic.
 */
export function howSure(bench: Workbench, steps: readonly Candidate[], runs: number): number[] {
  const { problem } = bench;
  const random = seeded(SEED);
  const kept = steps.map(() => 0);
  for (let run = 0; run < runs; run++) {
    const weights = problem.demand.weights.map((w) => w * Math.exp(DOUBT.load * normal(random)));
    const candidates = problem.candidates.map((c) => {
      // doubt about a blade is one doubt: a model better than thought is better at all it does
      const off = DOUBT.score * normal(random);
      return { ...c, rows: c.scores.map((s) => (s > 0 ? usefulness(s + off) : 0)) };
    });
    const demand = { ...problem.demand, weights, total: weights.reduce((a, b) => a + b, 0) };
    const { choice } = chooseKit({ ...problem, demand, candidates }, QUICK);
    const again = [...choice].flatMap((index) => (index >= 0 ? (candidates[index] ?? []) : []));
    steps.forEach((step, i) => {
      if (again.some((c) => kindOf(c) === kindOf(step))) kept[i] = (kept[i] ?? 0) + 1;
    });
  }
  return kept.map((count) => count / runs);
}

const kindOf = (c: Candidate) => `${c.action}:${c.type?.id ?? c.id}:${c.owned ?? ''}`;
