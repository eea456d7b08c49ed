import { DOUBT } from '../../constants';
import type { Candidate } from '../candidates/candidate';
import { calledByKind, isAllRound, kindOfPiece, kindOfWork } from '../candidates/kinds';
import { chooseKit, ROUGH } from '../search/choose';
import { normal, seeded } from './random';
import type { PlanningContext } from '../context/planningContext';
import { kitOf } from '../search/coverage';
import type { Plan } from '../../formats/planFile';
import { perStep } from '../../formats/planSteps';
import { lowerFirst } from '../../text/case';
import { doubtfulWords, doubtWords } from './robustnessWord';

const SEED = 20_260;

/** The levels at which a person chooses, from the coarsest: a kind of knife about so long, a type, a model. */
const LEVELS = ['kind', 'type', 'model'] as const;
type Level = (typeof LEVELS)[number];

/** How often a step stayed at each level, shares 0–1. */
export type Stays = Record<Level, number>;

const lengthOf = ({ blade }: Candidate) => blade?.blade.lengthMm ?? 0;

/** Whether another step stands for this one at a level; what is not bought is the same only as itself. */
function isSame(level: Level, step: Candidate, other: Candidate): boolean {
  if (step.id === other.id) return true;
  if (level === 'model' || step.action !== 'buy' || other.action !== 'buy') return false;
  const isNear = Math.abs(lengthOf(step) - lengthOf(other)) <= DOUBT.sameLength.value;
  return level === 'type' ? step.type?.id === other.type?.id : kindOfPiece(step) === kindOfPiece(other) && isNear;
}

/**
 * Runs the plan again under small changes of loads and scores and counts how often each step is chosen again, and what takes its place where
 * it is not. One run at a time, so that a caller may stop; deterministic.
 */
export class Robustness {
  private readonly random = seeded(SEED);
  private readonly kept: Stays[];
  private readonly instead: Map<string, number>[];
  private runs = 0;

  constructor(
    private readonly context: PlanningContext,
    private readonly steps: readonly Candidate[],
  ) {
    this.kept = steps.map(() => ({ kind: 0, type: 0, model: 0 }));
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
    for (const level of LEVELS) this.count(level, again);
    const chosenBefore = new Set(this.steps.map(({ id }) => id));
    this.steps.forEach((step, i) => {
      const stayed = again.some(({ id }) => id === step.id);
      const other = again.find(
        (c) => kindOfWork(c) === kindOfWork(step) && c.action === step.action && !chosenBefore.has(c.id),
      );
      const counts = this.instead[i];
      if (!stayed && other && counts) counts.set(other.id, (counts.get(other.id) ?? 0) + 1);
    });
    this.runs++;
  }

  /** Counts which steps stayed at a level: each of the plan made again stands for one at most. */
  private count(level: Level, again: readonly Candidate[]): void {
    const left = [...again];
    this.steps.forEach((step, i) => {
      const same = (other: Candidate) => isSame(level, step, other);
      // its own model first, so that copies are not taken for one another
      const at = left.some(({ id }) => id === step.id)
        ? left.findIndex(({ id }) => id === step.id)
        : left.findIndex(same);
      if (at < 0) return;
      left.splice(at, 1);
      const kept = this.kept[i];
      if (kept) kept[level]++;
    });
  }

  /** Share of the runs in which each step stayed, by level. */
  stayed(): Stays[] {
    const share = (count: number) => Number((count / Math.max(1, this.runs)).toFixed(4));
    return this.kept.map(({ kind, type, model }) => ({ kind: share(kind), type: share(type), model: share(model) }));
  }

  /** What took each step's place most often, by id; null where nothing did. */
  closest(): (string | null)[] {
    return this.instead.map(
      (counts) => [...counts].sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1))[0]?.[0] ?? null,
    );
  }
}

/** How sure a step is: whether most plans made again are without such a knife, and what is said of it. */
export interface Sureness {
  inDoubt: boolean;
  words: string[];
}

/** How sure each step is so far, in the order of the steps. */
export function surenessOf(context: PlanningContext, steps: readonly Candidate[], doubt: Robustness): Sureness[] {
  const closest = doubt.closest();
  return doubt.stayed().map((stays, i) => {
    const step = steps[i];
    const rival = context.problem.candidates.find(({ id }) => id === closest[i]);
    const inDoubt = stays.kind < DOUBT.doubtful.value;
    if (step?.action !== 'buy' || !step.type) {
      const share = Math.round(100 * stays.kind);
      return { inDoubt, words: [`${inDoubt ? 'Not a sure pick: chosen' : 'Chosen'} in ${share} of 100 test plans.`] };
    }
    const named = ({ type, blade }: Candidate) => ({
      type: lowerFirst(type?.name ?? ''),
      name: blade?.blade.name ?? '',
    });
    const lengthMm = isAllRound(step.type) ? lengthOf(step) : null;
    const about = {
      kind: calledByKind(step.type),
      lengthMm,
      type: named(step).type,
      rival: rival ? named(rival) : null,
    };
    return { inDoubt, words: doubtWords(stays, about) };
  });
}

/** A plan with how often each step stayed, and what it is close to; a step that mostly goes says so first of all. */
export function withRobustness(plan: Plan, doubt: Robustness): Plan {
  const stays = perStep(plan, doubt.stayed());
  const closest = perStep(plan, doubt.closest());
  const round = (share: number) => Number(share.toFixed(2));
  return {
    ...plan,
    steps: plan.steps.map((step, i) => {
      const share = stays[i];
      const close = closest[i];
      if (!share) return step;
      return {
        ...step,
        stays: round(share.model),
        staysAs: { kind: round(share.kind), type: round(share.type) },
        ...(close ? { closeTo: close } : {}),
        because: [...doubtfulWords(share), ...step.because],
      };
    }),
  };
}
