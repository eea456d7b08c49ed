import { kindOfWork, type Candidate } from './candidates';
import { chooseKit, QUICK } from './choose';
import { normal, seeded } from './random';
import { usefulness } from './value';
import type { Workbench } from './workbench';

/** How far things may be off, as standard deviations: loads by a quarter, each score by three points. House judgement. */
export const DOUBT = { load: 0.25, score: 3 } as const;
const SEED = 20_260;

const kindOf = (c: Candidate) => `${c.action}:${kindOfWork(c)}:${c.owned ?? ''}`;

/**
 * Runs the plan again under small changes of loads and scores and counts how often each step's kind (same action, same role of
 * knife or same tool) is chosen again. One run at a time, so that a caller may stop; deterministic.
 */
export class Doubt {
  private readonly random = seeded(SEED);
  private readonly kept: number[];
  private runs = 0;

  constructor(
    private readonly bench: Workbench,
    private readonly steps: readonly Candidate[],
  ) {
    this.kept = steps.map(() => 0);
  }

  /** One perturbed plan. */
  run(): void {
    const { problem } = this.bench;
    const { random } = this;
    const weights = problem.demand.weights.map((w) => w * Math.exp(DOUBT.load * normal(random)));
    const candidates = problem.candidates.map((c) => {
      // doubt about a blade is one doubt: a model better than thought is better at all it does
      const off = DOUBT.score * normal(random);
      return { ...c, rows: c.scores.map((s) => (s > 0 ? usefulness(s + off) : 0)) };
    });
    const demand = { ...problem.demand, weights, total: weights.reduce((a, b) => a + b, 0) };
    const { choice } = chooseKit({ ...problem, demand, candidates }, QUICK);
    const again = new Set([...choice].flatMap((index) => (index >= 0 ? (candidates[index] ?? []) : [])).map(kindOf));
    this.steps.forEach((step, i) => {
      if (again.has(kindOf(step))) this.kept[i] = (this.kept[i] ?? 0) + 1;
    });
    this.runs++;
  }

  /** Share of the runs in which each step stayed, 0–1. */
  stayed(): number[] {
    return this.kept.map((count) => count / Math.max(1, this.runs));
  }
}
