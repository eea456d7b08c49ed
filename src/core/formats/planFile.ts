import type { BladeModel } from '../blade/schema';
import type { LengthBand } from '../fit/wantedLength';

/** One step of a plan. Money is decimal, exact to the currency's minor unit; coverage is 0–1. Documented in docs/formats.md. */
export interface PlanStep {
  order: number;
  action: 'buy' | 'sharpen' | 'repair' | 'tool' | 'retire';
  need: 'need' | 'want';
  type: string | null;
  model: string | null;
  maker: string | null;
  /** Plain name of the thing: model, owned knife or tool. */
  name: string;
  lengthMm: number | null;
  heelHeightMm: number | null;
  weightG: number | null;
  hrc: number | null;
  steel: BladeModel['steel'] | null;
  bevel: BladeModel['bevel'] | null;
  handed: BladeModel['handed'] | null;
  price: number;
  month: number;
  coverageAfter: number;
  gain: number;
  /** Share of perturbed plans in which a step of this kind (action and role of the knife) stayed; null until it has been asked. */
  stays: number | null;
  because: string[];
  takesOver: { task: string; minutesPerWeek: number; score: number }[];
  runnersUp: { model: string; costsCoverage: number; price: number }[];
  /** Index of the owned knife that the step is about. */
  owned?: number;
  /** It cuts nothing but keeps the kit: a board, guards, something to hone or sharpen with. */
  upkeep?: true;
}

/** The answer to a kitchen file: steps in order, what they cost and reach, and what stays badly served. */
export interface Plan {
  format: 'scabbard.plan';
  version: 1;
  kitchen: string;
  currency: string;
  coverage: { now: number; needs: number; all: number };
  steps: PlanStep[];
  spent: number;
  costPerYear: number;
  unserved: { task: string; minutesPerWeek: number; score: number; why: string }[];
  lengthWanted: LengthBand;
  warnings: string[];
  assumed: string[];
  /** Where an order was asked for: coverage given up on the way, on average, 0–1. */
  orderCosts?: number;
  /** Whether the coverage aimed at is proven the best within the limits, and how much more it could be; null before a search. */
  proof: { best: boolean; gap: number | null };
}

const isOfKit = (step: PlanStep) => !step.upkeep && step.action !== 'retire';

/** The steps that cut: neither upkeep nor what is retired. */
export const kitSteps = ({ steps }: Pick<Plan, 'steps'>): PlanStep[] => steps.filter(isOfKit);

/** What stands for each step of a plan, given for {@link kitSteps}; null for the others. */
export function perStep<T>({ steps }: Pick<Plan, 'steps'>, values: readonly T[]): (T | null)[] {
  let next = 0;
  return steps.map((step) => (isOfKit(step) ? (values[next++] ?? null) : null));
}

/** Coverage once every step is taken, 0–1: a little above what the plan promises in whole points. */
export const coverageReached = ({ steps, coverage }: Plan): number =>
  steps.reduce((most, step) => Math.max(most, step.coverageAfter), coverage.now);
