import type { BladeModel } from '../blade/schema';

/** One step of a plan. Money is decimal, exact to the currency's minor unit; coverage is 0–1. Documented in docs/formats.md. */
export interface PlanStep {
  order: number;
  action: 'buy' | 'sharpen' | 'repair' | 'service' | 'tool' | 'retire';
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
  /** What it costs a year: price over its life, sharpening, replacement; an estimate. */
  costPerYear: number;
  /** Points it adds less points paid at the price of a point. */
  worth: number;
  /** Highest price at which it stays in the plan; null until it is asked for. */
  walkAwayPrice: number | null;
  /** How its edge fares on the work that goes to it here; null for what has no edge to keep. */
  edge: {
    averageKeenness: number;
    sharpenEveryWeeks: number | null;
    honeEveryDays: number | null;
    angleDeg: number;
  } | null;
  /** Share of perturbed plans in which this model at this length stayed; null until it has been asked. */
  stays: number | null;
  /** The model that takes its place most often where it does not stay. */
  closeTo?: string;
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
  /** Coverage in points less what the kit is paid, and the price of a point behind it, in the kitchen's currency. */
  worth: { points: number; pointPrice: number };
  steps: PlanStep[];
  spent: number;
  costPerYear: number;
  unserved: { task: string; minutesPerWeek: number; score: number; why: string }[];
  lengthWanted: LengthBand;
  warnings: string[];
  assumed: string[];
  /** Where several work at once: how many of each kind are wanted, and are there. */
  copies?: { role: string; wanted: number; have: number; why: string }[];
  /** Where an order was asked for: coverage given up on the way, on average, 0–1. */
  orderCosts?: number;
  /** Whether the kit is proven to be of the greatest worth within the limits, and how much more it could be, 0–1; null before a search. */
  proof: { best: boolean; gap: number | null };
}

const isOfKit = (step: PlanStep) => !step.upkeep && step.action !== 'retire' && step.action !== 'service';

/** The steps that cut: neither upkeep nor service nor what is retired. */
export const kitSteps = ({ steps }: Pick<Plan, 'steps'>): PlanStep[] => steps.filter(isOfKit);

/** What stands for each step of a plan, given for {@link kitSteps}; null for the others. */
export function perStep<T>({ steps }: Pick<Plan, 'steps'>, values: readonly T[]): (T | null)[] {
  let next = 0;
  return steps.map((step) => (isOfKit(step) ? (values[next++] ?? null) : null));
}

/** The band of edge lengths that suits a cook's general knife, mm, with the reasons that moved it. */
export interface LengthBand {
  fromMm: number;
  toMm: number;
  why: string[];
}
