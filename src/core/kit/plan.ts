import type { Plan, PlanStep } from '../formats/planFile';
import { CATALOGUE_CURRENCY, convertMinor, fromMinor, showMoney, toMinor } from '../money/currency';
import { costPerYearMinor } from '../money/costPerYear';
import { stepKey } from './actions';
import { bestScores, buyingOrder, coverageOf, type ValueOf } from './buyingOrder';
import { SHARPENING_COST, type Candidate } from './candidates';
import { Chooser, chooseKit, THOROUGH, wholePoint, type Choice, type Chosen, type Effort } from './choose';
import type { Proof } from './exact';
import { monthOf } from './order';
import { saveUp } from './saveUp';
import { lengthWanted, reasonsFor, STRUGGLE_BELOW, takenOver } from './story';
import { upkeepFor, type Upkeep } from './upkeep';
import { warningsFor } from './warnings';
import type { Workbench } from './workbench';

/** Runners-up and unserved tasks shown. */
const SHOWN = { runnersUp: 3, takesOver: 12, unserved: 8 } as const;

export interface PlanOptions {
  effort?: Effort | undefined;
  /** The kit, when it has been chosen already. */
  chosen?: Chosen | undefined;
}

function runnersUp(bench: Workbench, step: Candidate, steps: readonly Candidate[]): PlanStep['runnersUp'] {
  if (step.action !== 'buy' || step.inSet) return [];
  const { budgetMinor } = bench.problem;
  // by place, not by identity: of a knife bought twice only one copy is given up
  const place = steps.indexOf(step);
  const spent = steps.reduce((sum, s, i) => sum + (i === place ? 0 : s.priceMinor), 0);
  const chooser = new Chooser({ ...bench.problem, candidates: steps });
  const choice = Int32Array.from(steps, (_, i) => (i === place ? -1 : i));
  const kit = chooser.load(choice);
  const now = kit.gain(step.rows);
  return bench.buyable
    .filter((c) => c.id !== step.id && spent + c.priceMinor <= budgetMinor)
    .map((c) => ({ c, costs: now - kit.gain(c.rows) }))
    .sort((a, b) => a.costs - b.costs || a.c.priceMinor - b.c.priceMinor || (a.c.id < b.c.id ? -1 : 1))
    .slice(0, SHOWN.runnersUp)
    .map(({ c, costs }) => ({
      model: c.id,
      costsCoverage: round(costs, 4),
      price: fromMinor(c.priceMinor, bench.kitchen.currency),
    }));
}

const round = (value: number, digits: number) => Number(value.toFixed(digits)) + 0;

function stepOf(
  bench: Workbench,
  valueOf: ValueOf,
  step: Candidate,
  before: readonly Candidate[],
  all: readonly Candidate[],
  need: boolean,
): PlanStep {
  const { kitchen } = bench;
  const after = valueOf([...before, step]);
  const was = bestScores(bench, before);
  const blade = step.blade?.blade ?? null;
  return {
    order: before.length + 1,
    action: step.action,
    need: need ? 'need' : 'want',
    type: step.type?.id ?? step.tool?.id ?? null,
    model: step.action === 'buy' ? (blade?.id ?? null) : null,
    maker: step.action === 'buy' ? (blade?.maker ?? null) : null,
    name:
      step.tool?.name ?? (step.action === 'buy' ? (blade?.name ?? '') : `Your ${lowerFirst(step.type?.name ?? '')}`),
    lengthMm: blade?.lengthMm ?? null,
    heelHeightMm: blade ? round(blade.heelHeightMm, 1) : null,
    weightG: blade ? Math.round(blade.weightG) : null,
    hrc: blade?.hrc ?? null,
    steel: blade?.steel ?? null,
    bevel: blade?.bevel ?? null,
    handed: blade?.handed ?? null,
    price: fromMinor(step.priceMinor, kitchen.currency),
    month: 1,
    coverageAfter: round(after, 3),
    gain: round(after - valueOf(before), 3),
    stays: null,
    because: reasonsFor(bench, step, was),
    takesOver: takenOver(bench, step, was)
      .slice(0, SHOWN.takesOver)
      .map(({ load, score }) => ({
        task: load.task.id,
        minutesPerWeek: round(load.minutesPerWeek, 1),
        score: Math.round(score),
      })),
    runnersUp: runnersUp(bench, step, all),
    ...(step.owned === null ? {} : { owned: step.owned }),
  };
}

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

function unserved(bench: Workbench, steps: readonly Candidate[]): Plan['unserved'] {
  const best = bestScores(bench, steps);
  const { currency } = bench.kitchen;
  return bench.loads
    .map((load, t) => ({ load, t, score: best[t] ?? 0 }))
    .filter(({ load, score }) => load.weight > 0 && score < STRUGGLE_BELOW)
    .sort((a, b) => b.load.weight - a.load.weight || a.t - b.t)
    .slice(0, SHOWN.unserved)
    .map(({ load, t, score }) => {
      const cure = [...bench.problem.candidates, ...bench.buyable]
        .filter((c) => (c.scores[t] ?? 0) >= Math.max(STRUGGLE_BELOW, score + 10))
        .sort((a, b) => a.priceMinor - b.priceMinor || (a.id < b.id ? -1 : 1))[0];
      const way = cure
        ? `the cheapest way is ${cure.tool ? `a ${lowerFirst(cure.tool.name)}` : (cure.blade?.blade.name ?? '')} at ${showMoney(cure.priceMinor, currency)}`
        : 'nothing in the catalogue does it well for this cook';
      const rare = load.occasional ? ' Done so seldom, borrowing or a workaround may do.' : '';
      return {
        task: load.task.id,
        minutesPerWeek: round(load.minutesPerWeek, 1),
        score: Math.round(score),
        why: `${score < 1 ? 'Nothing here may do it' : `The best here scores ${Math.round(score)}`}; ${way}.${rare}`,
      };
    });
}

function costPerYear(bench: Workbench, steps: readonly Candidate[]): number {
  const { kitchen } = bench;
  const knives = [
    ...bench.owned.map((o) => ({ blade: o.blade, scores: o.scores, priceMinor: 0 })),
    ...steps.flatMap((s) =>
      s.action === 'buy' && s.blade ? [{ blade: s.blade, scores: s.scores, priceMinor: s.priceMinor }] : [],
    ),
  ];
  const minutes = knives.map(() => 0);
  bench.loads.forEach((load, t) => {
    let best = -1;
    knives.forEach((knife, i) => {
      if ((knife.scores[t] ?? 0) > (best < 0 ? 0 : (knives[best]?.scores[t] ?? 0))) best = i;
    });
    if (best >= 0) minutes[best] = (minutes[best] ?? 0) + load.minutesPerWeek;
  });
  const event = convertMinor(SHARPENING_COST[kitchen.habits.sharpening], CATALOGUE_CURRENCY, kitchen.currency);
  return knives.reduce(
    (sum, knife, i) => sum + costPerYearMinor(knife.blade, knife.priceMinor, minutes[i] ?? 0, kitchen, event),
    0,
  );
}

/** Owned knives that no task goes to once the plan is carried out, worn out or never used: to be retired. */
function retirements(bench: Workbench, steps: readonly Candidate[]): PlanStep[] {
  const best = bestScores(bench, steps);
  return bench.owned.flatMap((knife, i) => {
    const { condition, use } = knife.owned;
    const idle = bench.loads.every((_, t) => (knife.scores[t] ?? 0) < (best[t] ?? 0) || (knife.scores[t] ?? 0) < 35);
    const kept = steps.some((s) => s.owned === i);
    if (kept || !idle || !(condition === 'worn-out' || use === 'never')) return [];
    const { blade } = knife.blade;
    return [
      {
        order: 0,
        action: 'retire' as const,
        need: 'want' as const,
        type: knife.type.id,
        model: null,
        maker: null,
        name: `Your ${lowerFirst(knife.type.name)}`,
        lengthMm: blade.lengthMm,
        heelHeightMm: round(blade.heelHeightMm, 1),
        weightG: Math.round(blade.weightG),
        hrc: blade.hrc,
        steel: blade.steel,
        bevel: blade.bevel,
        handed: blade.handed,
        price: 0,
        month: 1,
        coverageAfter: 0,
        gain: 0,
        stays: null,
        because: ['No task in this kitchen goes to it: give it away, or keep it out of the drawer.'],
        takesOver: [],
        runnersUp: [],
        owned: i,
      },
    ];
  });
}

/** A step that cuts nothing but keeps the kit. */
function upkeepStep({ kitchen }: Workbench, { tool, priceMinor, need, why }: Upkeep, coverageAfter: number): PlanStep {
  return {
    order: 0,
    action: 'tool',
    need: need ? 'need' : 'want',
    type: tool.id,
    model: null,
    maker: null,
    name: tool.name,
    lengthMm: null,
    heelHeightMm: null,
    weightG: null,
    hrc: null,
    steel: null,
    bevel: null,
    handed: null,
    price: fromMinor(priceMinor, kitchen.currency),
    month: 1,
    coverageAfter: round(coverageAfter, 3),
    gain: 0,
    stays: null,
    because: [why],
    takesOver: [],
    runnersUp: [],
    upkeep: true,
  };
}

/** Steps with their places, and the months that pay for them. */
function numbered({ kitchen: { perMonthMinor, currency } }: Workbench, steps: readonly PlanStep[]): PlanStep[] {
  let spent = 0;
  return steps.map((step, i) => {
    spent += toMinor(step.price, currency);
    const month = perMonthMinor && step.action !== 'retire' ? monthOf(spent, perMonthMinor) : 1;
    return { ...step, order: i + 1, month };
  });
}

/** Plans a kitchen that has been laid out. */
export function planFrom(bench: Workbench, { effort = THOROUGH, chosen: given }: PlanOptions = {}): Plan {
  const { kitchen, problem } = bench;
  const { choice, value, promised, unmet } = given ?? chooseKit(problem, effort);
  const chosen = candidatesOf(bench, choice);
  const valueOf = coverageOf(bench);
  const { steps: inOrder, orderCosts } = buyingOrder(bench, valueOf, chosen);
  const steps = inOrder.map(({ step }) => step);
  const planned = inOrder.map(({ step, need }, i) => stepOf(bench, valueOf, step, steps.slice(0, i), steps, need));
  const needed = inOrder.flatMap(({ step, need }) => (need ? [step] : []));
  const now = valueOf([]);
  const saving = saveUp(bench, valueOf, steps);
  if (saving) planned[saving.step]?.because.push(saving.said);
  const spentMinor = steps.reduce((sum, s) => sum + s.priceMinor, 0);
  const upkeep = upkeepFor(bench, steps, problem.budgetMinor - spentMinor);
  const kept = (need: boolean, coverageAfter: number) =>
    upkeep.filter((each) => each.need === need).map((each) => upkeepStep(bench, each, coverageAfter));
  const retired = retirements(bench, steps).map((step) => ({ ...step, coverageAfter: round(value, 3) }));
  return {
    format: 'scabbard.plan',
    version: 1,
    kitchen: kitchen.name,
    currency: kitchen.currency,
    coverage: {
      now: round(wholePoint(now), 2),
      needs: round(Math.min(promised, wholePoint(valueOf(needed))), 2),
      all: round(promised, 2),
    },
    steps: numbered(bench, [...kept(true, now), ...planned, ...kept(false, value), ...retired]),
    spent: fromMinor(
      upkeep.reduce((sum, each) => sum + each.priceMinor, spentMinor),
      kitchen.currency,
    ),
    costPerYear: fromMinor(Math.round(costPerYear(bench, steps)), kitchen.currency),
    unserved: unserved(bench, steps),
    lengthWanted: lengthWanted(bench),
    warnings: warningsFor(bench, steps, unmet),
    assumed: bench.assumed,
    ...(orderCosts === null ? {} : { orderCosts: round(orderCosts, 4) }),
    proof: { best: false, gap: null },
  };
}

/** What a plan says of the search behind it. */
export const proofOf = ({ proven, gap }: Proof): Plan['proof'] => ({ best: proven, gap: round(gap, 4) });

/** The candidates of a choice. */
export function candidatesOf(bench: Workbench, choice: Choice): Candidate[] {
  return [...choice].flatMap((index) => (index >= 0 ? (bench.problem.candidates[index] ?? []) : []));
}

/** The candidates behind the steps of a plan made from this bench, in order; retirements have none. */
export function stepsOf(bench: Workbench, plan: Plan): Candidate[] {
  return plan.steps.flatMap((step) => {
    const found = bench.problem.candidates.find((c) => c.id === stepKey(step));
    return found ? [found] : [];
  });
}
