import type { Plan, PlanStep } from '../../formats/planFile';
import { fromMinor, showMoney, toMinor } from '../../money/currency';
import { piecesOf, priceOfOne } from '../../formats/planSteps';
import { stepKey } from '../../kitchen/changes';
import { buyingOrder, coverageOf, piecesEach } from './buyingOrder';
import type { Candidate } from '../candidates/candidate';
import { chooseKit, type Chosen, type Effort, THOROUGH } from '../search/choose';
import { copiesWanted } from './copies';
import { fatesOf } from './fates';
import { triedWords } from './tried';
import { pairOffer } from './pairOffer';
import { monthOf } from './order';
import { round, stepContextOf, stepOf } from './step';
import { savingUp } from './savingUp';
import { lengthWanted } from './reasons';
import { WORTH } from '../../constants';
import { upkeepFor } from './upkeep';
import { warningsFor } from './warnings';
import { pointPrice, pointsPaid } from '../search/worth';
import type { PlanningContext } from '../context/planningContext';
import { coverageOfKit, kitOf } from '../search/coverage';
import { unserved } from './unserved';
import { upkeepWarning } from './upkeepWarning';
import { costPerYear, yearlyUpkeep } from './yearlyCost';
import { retirements, serviceStep, upkeepStep } from './furtherSteps';

interface PlanOptions {
  effort?: Effort | undefined;
  /** The kit, when it has been chosen already. */
  chosen?: Chosen | undefined;
}

/** That sound knives are kept, where their like would add something. */
const keptWords = ({ polishGivenUp }: PlanningContext): string[] =>
  polishGivenUp < WORTH.halfPoint.value
    ? []
    : [
        `The sound knives you own are kept: their like would add ${(100 * polishGivenUp).toFixed(1)} points of polish, and no work is brought out of a struggle by it.`,
      ];

/** Steps with their places, and the months that pay for them. */
function numbered({ kitchen: { perMonthMinor, currency } }: PlanningContext, steps: readonly PlanStep[]): PlanStep[] {
  let spent = 0;
  return steps.map((step, i) => {
    spent += toMinor(step.price, currency);
    const month = perMonthMinor && step.action !== 'retire' ? monthOf(spent, perMonthMinor) : 1;
    return { ...step, order: i + 1, month };
  });
}

/** Says of a step that is several pieces how many, and what each costs. */
function withPieces(step: PlanStep, { kitchen, reference }: PlanningContext): PlanStep {
  const pieces = piecesOf(step);
  if (pieces === 1) return step;
  const each = showMoney(toMinor(priceOfOne(step), kitchen.currency), kitchen.currency);
  const isTable = reference.types.get(step.type ?? '')?.role === 'table';
  const why = isTable ? 'one a seat' : 'so that nobody waits for one';
  return { ...step, because: [`${pieces} alike, ${each} each, ${why}.`, ...step.because] };
}

/** The steps that cut, in order, each with what the kit covers by then; a service comes with the first knife it keeps sharp. */
function cuttingSteps(context: PlanningContext, kit: readonly Candidate[], asRequired: readonly Candidate[]) {
  const services = kit.filter((c) => c.action === 'service');
  const { steps: inOrder, orderCosts } = buyingOrder(
    context,
    coverageOf(context, services),
    kit.filter((c) => c.action !== 'service'),
    asRequired,
  );
  const all = piecesEach(inOrder);
  const kept = [...all, ...services].filter((s) => (s.serviceMinor ?? 0) > 0);
  const at =
    kept.length === 0 ? Infinity : services.length > 0 ? 0 : all.findIndex((s) => (s.serviceMinor ?? 0) > 0) + 1;
  const covers = (count: number, serviced: boolean) =>
    coverageOfKit(context.problem, [...all.slice(0, count), ...(serviced ? services : [])], (s) =>
      serviced ? s.usefulness : (s.unserviced?.usefulness ?? s.usefulness),
    );
  const shared = stepContextOf(context, all);
  let first = 0;
  const planned = inOrder.map((bought) => {
    const from = first;
    first += bought.pieces;
    const serviced = from >= at;
    return stepOf(shared, from, bought, { before: covers(from, serviced), after: covers(first, serviced) });
  });
  const withService =
    at === Infinity
      ? planned
      : [
          ...planned.slice(0, at),
          serviceStep(context, kept, covers(at, false), covers(at, true)),
          ...planned.slice(at),
        ];
  const needed = piecesEach(inOrder.filter(({ need }) => need));
  return { all, services, planned, withService, needed, orderCosts, now: covers(0, false) };
}

/** What stands in a plan only where there is something of it: copies wanted, and what trying knives changed. */
function besides(context: PlanningContext, all: readonly Candidate[]): Pick<Plan, 'copies' | 'tried'> {
  const copies = copiesWanted(context, all);
  const tried = triedWords(context, all);
  return { ...(copies.length > 0 ? { copies } : {}), ...(tried.length > 0 ? { tried } : {}) };
}

/** Plans a kitchen that has been laid out. */
export function planFrom(context: PlanningContext, { effort = THOROUGH, chosen: given }: PlanOptions = {}): Plan {
  const { kitchen, problem } = context;
  const { currency } = kitchen;
  const { choice, unmet } = given ?? chooseKit(problem, effort, { seed: context.seed });
  const kit = kitOf(problem, choice);
  const { all, services, planned, withService, needed, orderCosts, now } = cuttingSteps(
    context,
    kit,
    problem.places.flatMap(({ required }, p) => (required ? kitOf(problem, choice.slice(p, p + 1)) : [])),
  );
  const coverage = coverageOfKit(problem, kit);
  const saving = savingUp(context, coverageOf(context, services), all);
  if (saving) planned[saving.step]?.because.push(saving.said);
  const spentMinor = kit.reduce((sum, s) => sum + s.priceMinor, 0);
  const upkeep = upkeepFor(context, all, problem.budgetMinor - spentMinor);
  const kept = (need: boolean, coverageAfter: number) =>
    upkeep.filter((each) => each.need === need).map((each) => upkeepStep(context, each, coverageAfter));
  const totalMinor = upkeep.reduce((sum, each) => sum + each.priceMinor, spentMinor);
  const yearly = yearlyUpkeep(context, all);
  const steps = numbered(context, [
    ...kept(true, now),
    ...withService.map((step) => withPieces(step, context)),
    ...kept(false, coverage),
    ...retirements(context, all, round(coverage, 3)),
  ]);
  return {
    format: 'scabbard.plan',
    version: 1,
    kitchen: kitchen.name,
    currency,
    coverage: {
      now: round(now, 3),
      needs: round(Math.min(coverage, coverageOfKit(problem, [...needed, ...services])), 3),
      all: round(coverage, 3),
    },
    worth: {
      points: round(100 * coverage - pointsPaid(kit, problem.scale), 2),
      pointPrice: pointPrice(problem.scale, currency),
    },
    steps,
    spent: fromMinor(totalMinor, currency),
    costPerYear: fromMinor(Math.round(costPerYear(context, all)), currency),
    upkeep: {
      perYear: fromMinor(Math.round(yearly.costMinor), currency),
      minutesPerYear: Math.round(yearly.minutes),
      replacedPerYear: round(yearly.replaced, 2),
    },
    unserved: unserved(context, all),
    lengthWanted: lengthWanted(context),
    warnings: [...warningsFor(context, all, unmet), ...upkeepWarning(context, all, yearly)],
    assumed: [...context.assumed, ...keptWords(context), ...pairOffer(context, kit)],
    ...besides(context, all),
    ...fatesOf(context, all, steps),
    ...(orderCosts === null ? {} : { orderCosts: round(orderCosts, 4) }),
    proof: { best: false, gap: null },
  };
}

/**
 * The steps of a plan made from this context that have a candidate behind them, in order, each with it; copies of one model are one step. Services,
 * upkeep and retirements have none.
 */
export function stepsWithCandidates(context: PlanningContext, plan: Plan): { step: PlanStep; candidate: Candidate }[] {
  return plan.steps.flatMap((step) => {
    if (step.action === 'service' || step.action === 'retire' || step.upkeep) return [];
    const candidate = context.problem.candidates.find((c) => c.id === stepKey(step));
    return candidate ? [{ step, candidate }] : [];
  });
}

/** How many candidates a step stands for: its copies, but one for a set of table knives. */
const copiesIn = (step: PlanStep, { type }: Candidate): number => (type?.role === 'table' ? 1 : piecesOf(step));

/** The candidates behind the steps of a plan made from this context, in order, a copy each. */
export const stepsOf = (context: PlanningContext, plan: Plan): Candidate[] =>
  stepsWithCandidates(context, plan).flatMap(({ step, candidate }) =>
    Array.from({ length: copiesIn(step, candidate) }, () => candidate),
  );
