import { SCHOOL_IDS } from '../formats/kitchenWords';
import type { Plan, PlanStep } from '../formats/planFile';
import { CATALOGUE_CURRENCY, convertMinor, fromMinor, showMoney } from '../money/currency';
import { costPerYearMinor } from '../money/costPerYear';
import { SHARPENING_COST, toolScores, type Candidate } from './candidates';
import { Chooser, chooseKit, NEED_GAIN, THOROUGH, wholePoint, type Choice, type Effort } from './choose';
import type { Proof } from './exact';
import { bestOrder } from './order';
import { Doubt } from './sure';
import { DONE_WELL, isGeneral, lengthWanted, reasonsFor, STRUGGLE_BELOW, takenOver } from './story';
import { warningsFor } from './warnings';
import type { Workbench } from './workbench';

/** The general knife goes first when its first gain is within a tenth of the leader's (handbook 5.2). */
export const GENERAL_FIRST_WITHIN = 0.9;
/** A general knife already owned goes first with this share of the strongest one's gain: sharpening costs little. House judgement. */
const YOURS_FIRST = 0.4;
/** Runners-up and unserved tasks shown. */
const SHOWN = { runnersUp: 3, takesOver: 12, unserved: 8 } as const;

export interface PlanOptions {
  school?: (typeof SCHOOL_IDS)[number] | undefined;
  /** Perturbed plans to run for `stays`; 0 leaves it null. */
  perturbed: number;
  effort?: Effort;
  /** What an exact search found, when one has been made. */
  proof?: Proof;
  /** The bench whose doubts count, where this one is bound by an offer. */
  doubtOn?: Workbench;
  /** Coverage already promised that the plan must keep if it can, 0–1. */
  atLeast?: number;
}

/** Best score so far per task, over owned knives, owned tools and the steps taken. Dull rows give way to sharpened ones. */
function bestScores(bench: Workbench, steps: readonly Candidate[]): Float64Array {
  const replaced = new Set(steps.flatMap((s) => (s.owned === null ? [] : [s.owned])));
  const rows = [
    ...bench.owned.filter((_, i) => !replaced.has(i)).map((o) => o.scores),
    ...steps.map((s) => s.scores),
    ...bench.kitchen.tools.map((id) => toolScores(id, bench.loads)),
  ];
  return Float64Array.from(bench.loads, (_, t) => rows.reduce((best, row) => Math.max(best, row[t] ?? 0), 0));
}

/** Puts the chosen steps in buying order, wants after needs; an order asked for goes before both, and what it costs is told. */
function ordered(
  bench: Workbench,
  valueOf: ValueOf,
  chosen: readonly Candidate[],
): { steps: { step: Candidate; need: boolean }[]; orderCosts: number | null } {
  const pick = (indices: readonly number[]) => indices.flatMap((i) => chosen[i] ?? []);
  const now = valueOf([]);
  const gains = chosen.map((step) => valueOf([step]) - now);
  const leader = Math.max(0, ...gains);
  const generals = chosen.flatMap((step, i) => (isGeneral(step) ? [i] : []));
  const strongest = Math.max(0, ...generals.map((i) => gains[i] ?? 0));
  // a decent general knife already there is put right before its like is bought
  const yours = generals.filter((i) => chosen[i]?.owned !== null && (gains[i] ?? 0) >= YOURS_FIRST * strongest);
  const leading =
    strongest >= GENERAL_FIRST_WITHIN * leader ? generals.filter((i) => (gains[i] ?? 0) >= strongest) : [];
  const first = yours.length > 0 ? yours : leading;
  const order = pick(
    bestOrder(
      chosen.map((s) => s.priceMinor),
      (steps) => valueOf(pick(steps)),
      first,
      Math.max(1, bench.problem.keepMinor),
    ),
  );
  const judge = (steps: readonly Candidate[]) =>
    steps.map((step, i) => ({ step, need: isNeed(bench, valueOf, steps.slice(0, i), step, steps.slice(i + 1)) }));
  const judged = judge(order);
  const best = [...judged.filter(({ need }) => need), ...judged.filter(({ need }) => !need)];
  const { order: asked } = bench.kitchen.limits;
  if (asked.length === 0) return { steps: best, orderCosts: null };
  const place = (c: Candidate) => (asked.includes(c.id) ? asked.indexOf(c.id) : Infinity);
  const forced = best.map(({ step }) => step).sort((a, b) => (place(a) === place(b) ? 0 : place(a) - place(b)));
  const costs =
    missingOnTheWay(bench, valueOf, forced) -
    missingOnTheWay(
      bench,
      valueOf,
      best.map(({ step }) => step),
    );
  return { steps: judge(forced), orderCosts: Math.max(0, costs) };
}

/** Coverage still missing while the steps are being paid for, on average, 0–1: what {@link bestOrder} makes small. */
function missingOnTheWay(bench: Workbench, valueOf: ValueOf, steps: readonly Candidate[]): number {
  const wait = Math.max(1, bench.problem.keepMinor);
  const all = valueOf(steps);
  const outlay = steps.reduce((sum, s) => sum + s.priceMinor + wait, 0);
  const missing = steps.reduce((sum, s, i) => sum + (s.priceMinor + wait) * (all - valueOf(steps.slice(0, i))), 0);
  return outlay > 0 ? missing / outlay : 0;
}

/** Coverage of the owned knives plus some steps, 0–1. */
type ValueOf = (steps: readonly Candidate[]) => number;

function coverageOf(bench: Workbench): ValueOf {
  const { candidates, places } = bench.problem;
  const chooser = new Chooser(bench.problem);
  const index = new Map(candidates.map((c, i) => [c, i]));
  return (steps) => {
    const choice = new Int32Array(Math.max(places.length, steps.length)).fill(-1);
    steps.forEach((step, i) => (choice[i] = index.get(step) ?? -1));
    return chooser.value(choice);
  };
}

function isNeed(
  bench: Workbench,
  valueOf: ValueOf,
  before: readonly Candidate[],
  step: Candidate,
  later: readonly Candidate[],
): boolean {
  if (valueOf([...before, step]) - valueOf(before) >= NEED_GAIN) return true;
  const others = bestScores(bench, [...before, ...later]);
  return bench.loads.some(
    ({ weight, matters, timesPerYear }, t) =>
      weight > 0 &&
      (matters >= 2 || timesPerYear >= 52) &&
      (others[t] ?? 0) < STRUGGLE_BELOW &&
      (step.scores[t] ?? 0) >= DONE_WELL,
  );
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
  const spent = [...before, step].reduce((sum, s) => sum + s.priceMinor, 0);
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
    month: kitchen.perMonthMinor ? Math.max(1, Math.ceil(spent / kitchen.perMonthMinor)) : 1,
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
function retirements(bench: Workbench, steps: readonly Candidate[], taken: number): PlanStep[] {
  const best = bestScores(bench, steps);
  return bench.owned.flatMap((knife, i) => {
    const { condition, use } = knife.owned;
    const idle = bench.loads.every((_, t) => (knife.scores[t] ?? 0) < (best[t] ?? 0) || (knife.scores[t] ?? 0) < 35);
    const kept = steps.some((s) => s.owned === i);
    if (kept || !idle || !(condition === 'worn-out' || use === 'never')) return [];
    const { blade } = knife.blade;
    return [
      {
        order: taken + 1 + i,
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

/** Months over which saving for a better main knife is weighed against buying now, and what it must add to be worth naming. */
const SAVING = { months: 8, points: 0.01 } as const;

/** Where money comes by the month: what saving up for the main knife would buy, against buying the planned one now. */
function saveUp(
  bench: Workbench,
  valueOf: ValueOf,
  steps: readonly Candidate[],
): { step: number; said: string } | null {
  const { perMonthMinor, currency, budgetMinor } = bench.kitchen;
  const at = steps.findIndex((s) => s.action === 'buy' && isGeneral(s));
  const main = steps[at];
  if (!perMonthMinor || !main) return null;
  const others = steps.filter((_, i) => i !== at);
  const now = valueOf(steps);
  const most = Math.min(budgetMinor ?? Infinity, perMonthMinor * SAVING.months);
  const better = bench.problem.candidates
    .filter((c) => c.action === 'buy' && isGeneral(c) && c.priceMinor > main.priceMinor && c.priceMinor <= most)
    .map((c) => ({ c, more: valueOf([...others, c]) - now }))
    .sort((a, b) => b.more - a.more || a.c.priceMinor - b.c.priceMinor)[0];
  const months = (minor: number) => Math.max(1, Math.ceil(minor / perMonthMinor));
  const bought = `Buying now: yours in month ${months(main.priceMinor)}.`;
  if (!better || better.more < SAVING.points)
    return {
      step: at,
      said: `${bought} Saving up to ${SAVING.months} months for a dearer one would add less than a point.`,
    };
  return {
    step: at,
    said: `${bought} Saving up until month ${months(better.c.priceMinor)} would buy ${better.c.blade?.blade.name ?? ''} at ${showMoney(better.c.priceMinor, currency)}, worth ${(100 * better.more).toFixed(1)} points more; until then there is nothing new to cut with.`,
  };
}

/** Plans a kitchen that has been laid out. */
export function planFrom(bench: Workbench, options: Omit<PlanOptions, 'school'>): Plan {
  const { kitchen, problem } = bench;
  const { choice, value, promised, unmet } = chooseKit(
    problem,
    options.effort ?? THOROUGH,
    options.proof,
    options.atLeast,
  );
  const chosen = candidatesOf(bench, choice);
  const valueOf = coverageOf(bench);
  const { steps: inOrder, orderCosts } = ordered(bench, valueOf, chosen);
  const steps = inOrder.map(({ step }) => step);
  const planned = inOrder.map(({ step, need }, i) => stepOf(bench, valueOf, step, steps.slice(0, i), steps, need));
  if (options.perturbed > 0) {
    const doubt = new Doubt(options.doubtOn ?? bench, steps);
    for (let run = 0; run < options.perturbed; run++) doubt.run();
    const stayed = doubt.stayed();
    planned.forEach((step, i) => (step.stays = round(stayed[i] ?? 0, 2)));
  }
  const needed = inOrder.flatMap(({ step, need }) => (need ? [step] : []));
  const now = valueOf([]);
  const saving = saveUp(bench, valueOf, steps);
  if (saving) planned[saving.step]?.because.push(saving.said);
  const retired = retirements(bench, steps, planned.length).map((step, i) => ({
    ...step,
    order: planned.length + 1 + i,
    coverageAfter: round(value, 3),
  }));
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
    steps: [...planned, ...retired],
    spent: fromMinor(
      steps.reduce((sum, s) => sum + s.priceMinor, 0),
      kitchen.currency,
    ),
    costPerYear: fromMinor(Math.round(costPerYear(bench, steps)), kitchen.currency),
    unserved: unserved(bench, steps),
    lengthWanted: lengthWanted(bench),
    warnings: warningsFor(bench, steps, unmet),
    assumed: bench.assumed,
    ...(orderCosts === null ? {} : { orderCosts: round(orderCosts, 4) }),
    proof: { best: options.proof?.proven ?? false, gap: options.proof ? round(options.proof.gap, 4) : null },
  };
}

/** The candidates of a choice. */
export function candidatesOf(bench: Workbench, choice: Choice): Candidate[] {
  return [...choice].flatMap((index) => (index >= 0 ? (bench.problem.candidates[index] ?? []) : []));
}

/** The candidates behind the steps of a plan made from this bench, in order; retirements have none. */
export function stepsOf(bench: Workbench, plan: Plan): Candidate[] {
  return plan.steps.flatMap((step) => {
    const found = bench.problem.candidates.find((c) =>
      step.action === 'tool'
        ? c.id === step.type
        : step.action === 'buy'
          ? c.id === step.model
          : c.action === step.action && c.owned === step.owned,
    );
    return found ? [found] : [];
  });
}
