import type { Plan, PlanStep } from '../formats/planFile';
import { costPerYearMinor } from '../money/costPerYear';
import { edgeLife } from '../edge/keenness';
import { fromMinor, showMoney, toMinor } from '../money/currency';
import { stepKey } from './actions';
import { bestScores, buyingOrder, coverageOf } from './buyingOrder';
import { sharpeningMinor, type Candidate } from './candidates';
import { chooseKit, ROUGH, THOROUGH, type Chosen, type Effort } from './choose';
import { judgeBox } from './boxes';
import { copiesWanted } from './copies';
import type { Proof } from './exact';
import { offersFor, taking } from './offers';
import { monthOf } from './order';
import { BLANK_STEP, bladeFigures, contextOf, lowerFirst, round, stepOf } from './planStep';
import { saveUp } from './saveUp';
import { lengthWanted } from './story';
import { EDGE, GUIDANCE, SCORE_WORDS, WORTH } from '../constants';
import { minutesServedBy } from './strip';
import { upkeepFor, type Upkeep } from './upkeep';
import { warningsFor } from './warnings';
import { pointPrice, pointsPaid } from './worth';
import { coverageDecides, coverageOfKit, kitOf, type Workbench } from './workbench';

/** Unserved tasks shown. */
const UNSERVED_SHOWN = 8;

export interface PlanOptions {
  effort?: Effort | undefined;
  /** The kit, when it has been chosen already. */
  chosen?: Chosen | undefined;
}

function unserved(bench: Workbench, steps: readonly Candidate[]): Plan['unserved'] {
  const best = bestScores(bench, steps);
  const { currency } = bench.kitchen;
  return bench.loads
    .map((load, t) => ({ load, t, score: best[t] ?? 0 }))
    .filter(({ load, score }) => load.weight > 0 && score < SCORE_WORDS.manages.value)
    .sort((a, b) => b.load.weight - a.load.weight || a.t - b.t)
    .slice(0, UNSERVED_SHOWN)
    .map(({ load, t, score }) => {
      const cure = [...bench.problem.candidates, ...bench.buyable]
        .filter((c) => (c.scores[t] ?? 0) >= Math.max(SCORE_WORDS.manages.value, score + GUIDANCE.cureAdds.value))
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

/** What the whole drawer costs a year once the plan is carried out, minor units: an estimate. */
function costPerYear(bench: Workbench, steps: readonly Candidate[]): number {
  const { kitchen, owned } = bench;
  const { sharpening } = kitchen.habits;
  const served = minutesServedBy(bench, steps);
  const knives = [
    ...owned.map((o, i) => ({ blade: o.blade, priceMinor: 0, minutes: served.owned[i] ?? 0 })),
    ...steps.flatMap((s, i) =>
      s.action === 'buy' && s.blade
        ? [{ blade: s.blade, priceMinor: s.priceMinor - (s.serviceMinor ?? 0), minutes: served.steps[i] ?? 0 }]
        : [],
    ),
  ];
  const event = sharpeningMinor(kitchen);
  const services = steps.reduce((sum, s) => sum + (s.serviceMinor ?? 0), 0);
  return knives.reduce((sum, { blade, priceMinor, minutes }) => {
    const edge = edgeLife(blade.blade, blade.steel, bench.service ?? bench.care, minutes);
    return sum + costPerYearMinor(blade.serrated, priceMinor, edge, sharpening, bench.service ? 0 : event);
  }, services);
}

/** Owned knives that no task goes to once the plan is carried out, worn out or never used: to be retired. */
function retirements(bench: Workbench, steps: readonly Candidate[], coverageAfter: number): PlanStep[] {
  const best = bestScores(bench, steps);
  return bench.owned.flatMap((knife, i) => {
    const { condition, use, keep } = knife.owned;
    const idle = bench.loads.every(
      (_, t) => (knife.scores[t] ?? 0) < (best[t] ?? 0) || (knife.scores[t] ?? 0) < SCORE_WORDS.struggles.value,
    );
    const kept = steps.some((s) => s.owned === i) || keep !== 'use';
    if (kept || !idle || !(condition === 'worn-out' || use === 'never' || (condition === 'dull' && use === 'rarely')))
      return [];
    return [
      {
        ...BLANK_STEP,
        order: 0,
        action: 'retire' as const,
        ...bladeFigures(knife),
        name: `Your ${lowerFirst(knife.type.name)}`,
        coverageAfter,
        because: ['No task in this kitchen goes to it: give it away, or keep it out of the drawer.'],
        owned: i,
      },
    ];
  });
}

/** A step that cuts nothing but keeps the kit. */
const upkeepStep = (
  { kitchen }: Workbench,
  { tool, priceMinor, need, why }: Upkeep,
  coverageAfter: number,
): PlanStep => ({
  ...BLANK_STEP,
  order: 0,
  action: 'tool',
  need: need ? 'need' : 'want',
  type: tool.id,
  name: tool.name,
  price: fromMinor(priceMinor, kitchen.currency),
  coverageAfter: round(coverageAfter, 3),
  because: [why],
  upkeep: true,
});

/** The year's sharpening that is bought along, as a step with its gain. */
function serviceStep(bench: Workbench, knives: readonly Candidate[], before: number, after: number): PlanStep {
  const { currency } = bench.kitchen;
  const priceMinor = knives.reduce((sum, s) => sum + (s.serviceMinor ?? 0), 0);
  const count = knives.filter((s) => (s.serviceMinor ?? 0) > 0).length;
  const gain = round(after - before, 3);
  return {
    ...BLANK_STEP,
    order: 0,
    action: 'service',
    need: 'need',
    name: 'A sharpening service',
    price: fromMinor(priceMinor, currency),
    coverageAfter: round(after, 3),
    gain,
    costPerYear: fromMinor(priceMinor, currency),
    worth: round(100 * gain - priceMinor / bench.problem.scale.pointMinor, 2),
    because: [
      `Nobody sharpens here: an edge left alone is dull within months and stays so. ${count === 1 ? 'One knife' : `${count} knives`} sharpened ${EDGE.visits.service.value} times a year cost ${showMoney(priceMinor, currency)} a year and give back ${(100 * gain).toFixed(1)} points.`,
    ],
  };
}

/** That sound knives are kept, where their like would add something. */
const keptWords = ({ polishGivenUp }: Workbench): string[] =>
  polishGivenUp < WORTH.halfPoint.value
    ? []
    : [
        `The sound knives you own are kept: their like would add ${(100 * polishGivenUp).toFixed(1)} points of polish, and no work is brought out of a struggle by it.`,
      ];

/** Steps with their places, and the months that pay for them. */
function numbered({ kitchen: { perMonthMinor, currency } }: Workbench, steps: readonly PlanStep[]): PlanStep[] {
  let spent = 0;
  return steps.map((step, i) => {
    spent += toMinor(step.price, currency);
    const month = perMonthMinor && step.action !== 'retire' ? monthOf(spent, perMonthMinor) : 1;
    return { ...step, order: i + 1, month };
  });
}

/** The steps that cut, in order, each with what the kit covers by then; a service comes with the first knife it keeps sharp. */
function cuttingSteps(bench: Workbench, kit: readonly Candidate[], asRequired: readonly Candidate[]) {
  const services = kit.filter((c) => c.action === 'service');
  const { steps: inOrder, orderCosts } = buyingOrder(
    bench,
    coverageOf(bench, services),
    kit.filter((c) => c.action !== 'service'),
    asRequired,
  );
  const all = inOrder.map(({ step }) => step);
  const kept = [...all, ...services].filter((s) => (s.serviceMinor ?? 0) > 0);
  const at =
    kept.length === 0 ? Infinity : services.length > 0 ? 0 : all.findIndex((s) => (s.serviceMinor ?? 0) > 0) + 1;
  const covers = (count: number, serviced: boolean) =>
    coverageOfKit(bench.problem, [...all.slice(0, count), ...(serviced ? services : [])], (s) =>
      serviced ? s.rows : (s.unserviced?.rows ?? s.rows),
    );
  const context = contextOf(bench, all);
  const planned = inOrder.flatMap(({ need }, i) => {
    const serviced = i >= at;
    const step = stepOf(context, i, { need, before: covers(i, serviced), after: covers(i + 1, serviced) });
    return step ? [step] : [];
  });
  const withService =
    at === Infinity
      ? planned
      : [...planned.slice(0, at), serviceStep(bench, kept, covers(at, false), covers(at, true)), ...planned.slice(at)];
  const needed = inOrder.flatMap(({ step, need }) => (need ? [step] : []));
  return { all, services, planned, withService, needed, orderCosts, now: covers(0, false) };
}

/** Plans a kitchen that has been laid out. */
export function planFrom(bench: Workbench, { effort = THOROUGH, chosen: given }: PlanOptions = {}): Plan {
  const { kitchen, problem } = bench;
  const { currency } = kitchen;
  const { choice, unmet } = given ?? chooseKit(problem, effort, undefined, bench.seed);
  const kit = kitOf(problem, choice);
  const { all, services, planned, withService, needed, orderCosts, now } = cuttingSteps(
    bench,
    kit,
    problem.places.flatMap(({ required }, p) => (required ? kitOf(problem, choice.slice(p, p + 1)) : [])),
  );
  const coverage = coverageOfKit(problem, kit);
  const saving = saveUp(bench, coverageOf(bench, services), all);
  if (saving) planned[saving.step]?.because.push(saving.said);
  const spentMinor = kit.reduce((sum, s) => sum + s.priceMinor, 0);
  const upkeep = upkeepFor(bench, all, problem.budgetMinor - spentMinor);
  const kept = (need: boolean, coverageAfter: number) =>
    upkeep.filter((each) => each.need === need).map((each) => upkeepStep(bench, each, coverageAfter));
  const copies = copiesWanted(bench, all);
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
    steps: numbered(bench, [
      ...kept(true, now),
      ...withService,
      ...kept(false, coverage),
      ...retirements(bench, all, round(coverage, 3)),
    ]),
    spent: fromMinor(
      upkeep.reduce((sum, each) => sum + each.priceMinor, spentMinor),
      currency,
    ),
    costPerYear: fromMinor(Math.round(costPerYear(bench, all)), currency),
    unserved: unserved(bench, all),
    lengthWanted: lengthWanted(bench),
    warnings: warningsFor(bench, all, unmet),
    assumed: [...bench.assumed, ...keptWords(bench)],
    ...(copies.length > 0 ? { copies } : {}),
    ...(orderCosts === null ? {} : { orderCosts: round(orderCosts, 4) }),
    proof: { best: false, gap: null },
  };
}

/** What a plan says of the search behind it. */
export const proofOf = ({ proven, gap }: Proof): Plan['proof'] => ({ best: proven, gap: round(gap, 4) });

/** A kit and the bench it stands on. */
export interface ChosenOn {
  bench: Workbench;
  chosen: Chosen;
}

/** Of a set so many pieces lying idle beside a quick kit, it is still tried. */
const NEARLY = 1;
/** An offer's rough kit worth this much less than the kit without it, coverage, is looked at no closer. */
const HOPELESS = 0.01;

/** The benches with one offer taken up that may change a kit: every volume price, and the sets of nearly what it has. */
function nearOffers(bench: Workbench, kit: readonly Candidate[]): Workbench[] {
  const bought = kit.filter((c) => c.action === 'buy');
  return offersFor(bench)
    .filter((offer) => offer.kind === 'volume' || judgeBox(offer, bought).idle.length <= NEARLY)
    .flatMap((offer) => taking(bench, offer));
}

/**
 * The first answer: the quick kit of the kitchen as it is, with the offers that help it, or, where nobody sharpens, with a sharpening service;
 * whichever is worth most.
 */
export function quickBench(bench: Workbench, effort: Effort): ChosenOn {
  const on = (of: Workbench, how: Effort, seed = of.seed): ChosenOn => ({
    bench: of,
    chosen: chooseKit(of.problem, how, undefined, seed),
  });
  const better = (a: ChosenOn, b: ChosenOn) => (b.chosen.worth > a.chosen.worth + 1e-9 ? b : a);
  const plain = on(bench, effort);
  const kit = kitOf(bench.problem, plain.chosen.choice);
  const seed = kit.map((c) => c.id);
  const tried = nearOffers(bench, kit)
    .map((offered) => on(offered, ROUGH, seed))
    .sort((a, b) => b.chosen.worth - a.chosen.worth)
    .slice(0, 1)
    .filter(({ chosen }) => chosen.worth > plain.chosen.worth - HOPELESS)
    .map((near) =>
      on(
        near.bench,
        effort,
        kitOf(near.bench.problem, near.chosen.choice).map((c) => c.id),
      ),
    );
  const best = [...tried, ...(bench.serviced ? [on(bench.serviced, effort)] : [])].reduce(better, plain);
  return { ...best, chosen: coverageDecides(best.bench, best.chosen) };
}

/** The candidates behind the steps of a plan made from this bench, in order; services, upkeep and retirements have none. */
export function stepsOf(bench: Workbench, plan: Plan): Candidate[] {
  return plan.steps.flatMap((step) => {
    if (step.action === 'service' || step.action === 'retire' || step.upkeep) return [];
    const found = bench.problem.candidates.find((c) => c.id === stepKey(step));
    return found ? [found] : [];
  });
}
