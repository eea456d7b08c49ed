import { DOUBT } from '../../constants';
import type { Candidate } from '../candidates/candidate';
import { kindOfWork } from '../candidates/kinds';
import { chooseKit, ROUGH } from '../search/choose';
import { normal, seeded } from './random';
import type { PlanningContext } from '../context/planningContext';
import { kitOf } from '../search/coverage';
import type { Plan } from '../../formats/planFile';
import { perStep } from '../../formats/planSteps';

const SEED = 20_260;

/** What counts as the same step: the same model at its length, the same thing done to the same owned knife, the same tool. */
const sameAs = (c: Candidate) => c.id;

/**
 * Runs the plan again under small changes of loads and scores and counts how often each step is chosen again, and what takes its place where
 * it is not. One run at a time, so that a caller may stop; deterministic.
 */
export class Robustness {
  private readonly random = seeded(SEED);
  private readonly kept: number[];
  private readonly instead: Map<string, number>[];
  private runs = 0;

  constructor(
    private readonly context: PlanningContext,
    private readonly steps: readonly Candidate[],
  ) {
    this.kept = steps.map(() => 0);
    this.instead = steps.map(() => new Map<string, number>());
  }

  /** One perturbed plan. */
  run(): void {
    const { problem } = this.context;
    const { random } = this;
    const byTask = problem.demand.weights.map(() => Math.exp(DOUBT.load.value * normal(random)));
    const total = problem.demand.weights.reduce((sum, w, t) => sum + w * (byTask[t] ?? 1), 0);
    const scale = total > 0 ? problem.demand.total / total : 1;
    const states = problem.demand.states.map((state) =>
      state.rescue
        ? state
        : { ...state, roles: state.roles.map((r) => ({ ...r, weight: r.weight * (byTask[state.task] ?? 1) * scale })) },
    );
    const candidates = problem.candidates.map((c) => {
      // doubt about a blade is one doubt: a model better than thought is better at all it does
      const off = 1 + DOUBT.usefulness.value * normal(random);
      return { ...c, counted: c.counted.map((u) => Math.min(1, u * off)) };
    });
    const again = kitOf(
      { candidates },
      chooseKit({ ...problem, demand: { ...problem.demand, states }, candidates }, ROUGH).choice,
    );
    const left = again.map(sameAs);
    const chosenBefore = new Set(this.steps.map(sameAs));
    this.steps.forEach((step, i) => {
      const at = left.indexOf(sameAs(step));
      if (at >= 0) {
        left.splice(at, 1);
        this.kept[i] = (this.kept[i] ?? 0) + 1;
        return;
      }
      const other = again.find(
        (c) => kindOfWork(c) === kindOfWork(step) && c.action === step.action && !chosenBefore.has(c.id),
      );
      const counts = this.instead[i];
      if (other && counts) counts.set(other.id, (counts.get(other.id) ?? 0) + 1);
    });
    this.runs++;
  }

  /** Share of the runs in which each step stayed, 0–1. */
  stayed(): number[] {
    return this.kept.map((count) => count / Math.max(1, this.runs));
  }

  /** What took each step's place most often, by id; null where nothing did. */
  closest(): (string | null)[] {
    return this.instead.map(
      (counts) => [...counts].sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1))[0]?.[0] ?? null,
    );
  }
}

/** A plan with how often each step stayed, and what it is close to. */
export function withRobustness(plan: Plan, doubt: Robustness): Plan {
  const stays = perStep(plan, doubt.stayed());
  const closest = perStep(plan, doubt.closest());
  return {
    ...plan,
    steps: plan.steps.map((step, i) => {
      const share = stays[i];
      const close = closest[i];
      return { ...step, stays: share == null ? null : Number(share.toFixed(2)), ...(close ? { closeTo: close } : {}) };
    }),
  };
}
