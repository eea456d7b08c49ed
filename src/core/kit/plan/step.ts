import type { Plan, PlanStep } from '../../formats/planFile';
import { costPerYearMinor } from './costPerYear';
import { edgeLife, type EdgeLife } from '../../edge/keenness';
import { isMeasured } from '../../fit/measuredScore';
import { fromMinor } from '../../money/currency';
import { bestScores } from './buyingOrder';
import { sharpeningMinor } from '../candidates/making';
import type { Candidate } from '../candidates/candidate';
import { kindOfWork } from '../candidates/kinds';
import type { PlanningContext } from '../context/planningContext';
import { coverageOfKit, kitWith } from '../search/coverage';
import { reasonsFor, takenOver } from './reasons';
import { minutesServed } from './assignment';
import { pointsPaid } from '../search/worth';
import type { Proof } from '../search/exact';
import { lowerFirst } from '../../text/case';

/** Runners-up and tasks shown with a step. */
const SHOWN = { runnersUp: 3, takesOver: 12 } as const;

/** A number of a plan with so many digits; never −0. */
export const round = (value: number, digits: number) => Number(value.toFixed(digits)) + 0;

/** Everything a step has in common with a step about nothing: filled in by those that are about something. */
export const BLANK_STEP: Omit<PlanStep, 'order' | 'action' | 'name'> = {
  need: 'want',
  type: null,
  model: null,
  maker: null,
  lengthMm: null,
  heelHeightMm: null,
  weightG: null,
  hrc: null,
  steel: null,
  bevel: null,
  handed: null,
  price: 0,
  month: 1,
  coverageAfter: 0,
  gain: 0,
  costPerYear: 0,
  worth: 0,
  walkAwayPrice: null,
  edge: null,
  stays: null,
  because: [],
  takesOver: [],
  runnersUp: [],
};

/** The figures of a blade that a step tells. */
export function bladeFigures({ blade, type }: Pick<Candidate, 'blade' | 'type'>): Partial<PlanStep> {
  const model = blade?.blade;
  if (!model) return { type: type?.id ?? null };
  return {
    type: type?.id ?? null,
    lengthMm: model.lengthMm,
    heelHeightMm: round(model.heelHeightMm, 1),
    weightG: Math.round(model.weightG),
    hrc: model.hrc,
    steel: model.steel,
    bevel: model.bevel,
    handed: model.handed,
  };
}

/** Other models for the same kind of work within the money, by what they cost in coverage. */
function runnersUp(context: PlanningContext, step: Candidate, steps: readonly Candidate[]): PlanStep['runnersUp'] {
  if (step.action !== 'buy' || step.inSet) return [];
  const { budgetMinor } = context.problem;
  // by place, not by identity: of a knife bought twice only one copy is given up
  const place = steps.indexOf(step);
  const others = steps.filter((_, i) => i !== place);
  const spent = others.reduce((sum, s) => sum + s.priceMinor, 0);
  const now = coverageOfKit(context.problem, steps);
  const kit = kitWith(context.problem, others);
  const without = kit.value(false);
  return context.buyable
    .filter((c) => c.id !== step.id && kindOfWork(c) === kindOfWork(step) && spent + c.priceMinor <= budgetMinor)
    .map((c) => ({ c, costs: now - Math.min(1, without + kit.gain(c.usefulness, false)) }))
    .sort((a, b) => a.costs - b.costs || a.c.priceMinor - b.c.priceMinor || (a.c.id < b.c.id ? -1 : 1))
    .slice(0, SHOWN.runnersUp)
    .map(({ c, costs }) => ({
      model: c.id,
      costsCoverage: round(costs, 4),
      price: fromMinor(c.priceMinor - (c.serviceMinor ?? 0), context.kitchen.currency),
    }));
}

/** How the edge of a step fares on the minutes that go to it once the plan is carried out. */
function edgeOf(context: PlanningContext, step: Candidate, minutes: number): EdgeLife | null {
  if (!step.blade || !step.edge) return null;
  return edgeLife(step.blade.blade, step.blade.steel, context.service ?? context.care, minutes);
}

/** An edge as a plan tells it. */
const edgeTold = ({ averageKeenness, sharpenEveryWeeks, honeEveryDays, angleDeg }: EdgeLife): PlanStep['edge'] => ({
  averageKeenness: round(averageKeenness, 2),
  sharpenEveryWeeks: sharpenEveryWeeks === null ? null : round(sharpenEveryWeeks, 1),
  honeEveryDays,
  angleDeg: round(angleDeg, 1),
});

/** What the steps of a plan share. */
interface StepContext {
  context: PlanningContext;
  /** All steps that cut, in order. */
  all: readonly Candidate[];
  minutes: readonly number[];
}

export const stepContextOf = (context: PlanningContext, all: readonly Candidate[]): StepContext => ({
  context,
  all,
  minutes: minutesServed(context, all),
});

/** A step of a plan: what it is, what it adds, what it costs, and why. */
export function stepOf(
  { context, all, minutes }: StepContext,
  index: number,
  { need, before, after }: { need: boolean; before: number; after: number },
): PlanStep | null {
  const step = all[index];
  if (!step) return null;
  const { kitchen, problem } = context;
  const { currency } = kitchen;
  const earlier = all.slice(0, index);
  const was = bestScores(context, earlier);
  const bought = step.action === 'buy';
  const price = step.priceMinor - (step.serviceMinor ?? 0);
  const edge = edgeOf(context, step, minutes[index] ?? 0);
  const perYear =
    edge && step.blade
      ? costPerYearMinor(
          step.blade.serrated,
          bought ? price : 0,
          edge,
          kitchen.habits.sharpening,
          sharpeningMinor(kitchen),
        )
      : 0;
  const gain = round(after - before, 3);
  return {
    ...BLANK_STEP,
    order: index + 1,
    action: step.action,
    need: need ? 'need' : 'want',
    ...bladeFigures(step),
    ...(step.tool ? { type: step.tool.id } : {}),
    model: bought ? (step.blade?.blade.id ?? null) : null,
    maker: bought ? (step.blade?.blade.maker ?? null) : null,
    name: step.tool?.name ?? (bought ? (step.blade?.blade.name ?? '') : `Your ${lowerFirst(step.type?.name ?? '')}`),
    price: fromMinor(price, currency),
    coverageAfter: round(after, 3),
    gain,
    costPerYear: fromMinor(Math.round(perYear), currency),
    worth: round(100 * gain - pointsPaid([{ ...step, priceMinor: price }], problem.scale), 2),
    edge: edge && edgeTold(edge),
    because: reasonsFor(context, step, was, { gain, priceMinor: price, earlier }),
    takesOver: takenOver(context, step, was)
      .slice(0, SHOWN.takesOver)
      .map(({ load, score }) => ({
        task: load.task.id,
        minutesPerWeek: round(load.minutesPerWeek, 1),
        score: Math.round(score),
        ...(isMeasured(context.cooks, step.blade, load.task.id) ? { measured: true as const } : {}),
      })),
    runnersUp: runnersUp(context, step, all),
    ...(step.owned === null ? {} : { owned: step.owned }),
  };
}

/** What a plan says of the search behind it. */
export const proofOf = ({ proven, gap }: Proof): Plan['proof'] => ({ best: proven, gap: round(gap, 4) });
