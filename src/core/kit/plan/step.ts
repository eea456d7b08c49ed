import type { Plan, PlanStep } from '../../formats/planFile';
import { costPerYearMinor } from './costPerYear';
import { edgeLife, type EdgeLife } from '../../edge/keenness';
import { isMeasured } from '../../fit/measuredScore';
import type { Kitchen } from '../../kitchen/kitchen';
import { fromMinor } from '../../money/currency';
import { bestScores, type Bought, piecesEach } from './buyingOrder';
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
function runnersUp(
  context: PlanningContext,
  { step, pieces }: Bought,
  steps: readonly Candidate[],
): PlanStep['runnersUp'] {
  if (step.action !== 'buy' || step.inSet) return [];
  const { budgetMinor } = context.problem;
  const others = steps.filter((other) => other !== step);
  const spent = others.reduce((sum, s) => sum + s.priceMinor, 0);
  const now = coverageOfKit(context.problem, steps);
  const kit = kitWith(context.problem, others);
  const without = kit.value(false);
  const covered = (c: Candidate) =>
    pieces === 1
      ? Math.min(1, without + kit.gain(c.usefulness, false))
      : coverageOfKit(context.problem, [...others, ...piecesEach([{ step: c, pieces }])]);
  return context.buyable
    .filter(
      (c) => c.id !== step.id && kindOfWork(c) === kindOfWork(step) && spent + pieces * c.priceMinor <= budgetMinor,
    )
    .map((c) => ({ c, costs: now - covered(c) }))
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

/** How many pieces a step is and what one costs, where it is several: copies, or table knives, one a seat. */
function quantityOf(
  { step, pieces }: Bought,
  priceMinor: number,
  { seats, currency }: Kitchen,
): Pick<PlanStep, 'quantity' | 'unitPrice'> {
  const isTable = step.action === 'buy' && step.type?.role === 'table';
  const quantity = isTable ? seats : pieces;
  return quantity > 1 ? { quantity, unitPrice: fromMinor(Math.round(priceMinor / quantity), currency) } : {};
}

/**
 * A step of a plan: what it is, what it adds, what it costs, and why. `first`: where its first piece stands among all; `before`, `after`: what the
 * kit covers without and with its pieces.
 */
export function stepOf(
  { context, all, minutes }: StepContext,
  first: number,
  bought: Bought & { need: boolean },
  { before, after }: { before: number; after: number },
): PlanStep {
  const { step, pieces, need } = bought;
  const { kitchen, problem } = context;
  const { currency } = kitchen;
  const earlier = all.slice(0, first);
  const was = bestScores(context, earlier);
  const isBought = step.action === 'buy';
  const price = step.priceMinor - (step.serviceMinor ?? 0);
  const edge = edgeOf(context, step, minutes[first] ?? 0);
  const perYear =
    edge && step.blade
      ? costPerYearMinor(
          step.blade.serrated,
          isBought ? price : 0,
          edge,
          kitchen.habits.sharpening,
          sharpeningMinor(kitchen),
        )
      : 0;
  const gain = round(after - before, 3);
  return {
    ...BLANK_STEP,
    order: first + 1,
    action: step.action,
    need: need ? 'need' : 'want',
    ...bladeFigures(step),
    ...(step.tool ? { type: step.tool.id } : {}),
    model: isBought ? (step.blade?.blade.id ?? null) : null,
    maker: isBought ? (step.blade?.blade.maker ?? null) : null,
    name: step.tool?.name ?? (isBought ? (step.blade?.blade.name ?? '') : `Your ${lowerFirst(step.type?.name ?? '')}`),
    price: fromMinor(pieces * price, currency),
    ...quantityOf(bought, pieces * price, kitchen),
    coverageAfter: round(after, 3),
    gain,
    costPerYear: fromMinor(Math.round(pieces * perYear), currency),
    worth: round(100 * gain - pieces * pointsPaid([{ ...step, priceMinor: price }], problem.scale), 2),
    edge: edge && edgeTold(edge),
    because: reasonsFor(context, bought, was, { gain, priceMinor: pieces * price, earlier }),
    takesOver: takenOver(context, step, was)
      .slice(0, SHOWN.takesOver)
      .map(({ load, score }) => ({
        task: load.task.id,
        minutesPerWeek: round(load.minutesPerWeek, 1),
        score: Math.round(score),
        ...(isMeasured(context.cooks, step.blade, load.task.id) ? { measured: true as const } : {}),
      })),
    runnersUp: runnersUp(context, bought, all),
    ...(step.owned === null ? {} : { owned: step.owned }),
  };
}

/** What a plan says of the search behind it. */
export const proofOf = ({ proven, gap }: Proof): Plan['proof'] => ({ best: proven, gap: round(gap, 4) });
