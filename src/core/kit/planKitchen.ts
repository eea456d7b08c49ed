import type { BladeModel } from '../blade/schema';
import type { KitchenFile } from '../formats/kitchenFile';
import { coverageReached, kitSteps, perStep, type Plan } from '../formats/planFile';
import { toMinor } from '../money/currency';
import type { Reference } from '../reference';
import { judgeBox } from './boxes';
import type { Candidate } from './candidates';
import { cheapestKit } from './cheapest';
import { Chooser, chooseKit, targetFrom, THOROUGH } from './choose';
import { offersFor, taking } from './offers';
import { planFrom, proofOf, stepsOf } from './plan';
import type { SchoolId } from './schools';
import { proveBest, type Proven } from './prove';
import { toTheEnd } from './sizes';
import { Doubt } from './sure';
import { layOut, type Workbench } from './workbench';

/** The benches with an offer that may be worth taking: a set of exactly what the plan wants, or a volume price the plan is near. */
function worthTrying(bench: Workbench, steps: readonly Candidate[]): Workbench[] {
  const buys = steps.filter((s) => s.action === 'buy').length;
  return offersFor(bench).flatMap((offer) => {
    if (offer.kind === 'volume') return buys >= offer.from ? taking(bench, offer) : [];
    const { wins, idle } = judgeBox(offer, steps);
    return wins && idle.length === 0 ? taking(bench, offer) : [];
  });
}

/** A plan and the bench it stands on: with an offer, when one was taken. */
export interface Planned {
  plan: Plan;
  bench: Workbench;
}

/** What the kit costs without its upkeep, minor units. */
const kitPrice = ({ steps, currency }: Plan) =>
  kitSteps({ steps }).reduce((sum, s) => sum + toMinor(s.price, currency), 0);

/**
 * The plan, with offers in place of plain singles where that costs less for no less coverage, or where the money reaches further with
 * them (handbook 5.4): never a basket padded for a discount. Yields after each plan it weighs.
 */
export function* planningWithOffers(bench: Workbench, proven: Proven): Generator<void, Planned> {
  const { proof } = proven;
  const reached = targetFrom(proof.value);
  function* planned(on: Workbench, atLeast: number): Generator<void, Planned> {
    const chosen = chooseKit(on.problem, THOROUGH, on === proven.on ? proof : undefined, atLeast);
    yield;
    const { choice } = yield* cheapestKit(on.problem, chosen.promised, chosen.choice);
    const value = new Chooser(on.problem).value(choice);
    return { plan: planFrom(on, { chosen: { ...chosen, choice, value } }), bench: on };
  }
  const alone = yield* planned(bench, reached);
  yield;
  // whole points, free of what arithmetic leaves behind them
  const atLeast = Number(Math.max(alone.plan.coverage.all, reached).toFixed(2));
  const weighed = [alone];
  const withProven = proven.on === bench ? [] : [proven.on];
  for (const on of [...withProven, ...worthTrying(bench, stepsOf(bench, alone.plan))]) {
    weighed.push(yield* planned(on, atLeast));
    yield;
  }
  const [best] = weighed
    .filter(({ plan }) => coverageReached(plan) >= atLeast)
    .sort((a, b) => kitPrice(a.plan) - kitPrice(b.plan));
  // what was promised without the offer is kept with it
  const { plan, bench: on } = best ?? alone;
  const coverage = { ...plan.coverage, all: best ? atLeast : plan.coverage.all };
  return { plan: { ...plan, coverage, proof: proofOf(proof) }, bench: on };
}

/** {@link planningWithOffers} with the best kit proven first, as far as a search goes. */
export const planProven = (bench: Workbench): Planned =>
  toTheEnd(planningWithOffers(bench, toTheEnd(proveBest(bench))));

export interface KitchenOptions {
  school?: SchoolId | undefined;
  /** Perturbed plans to run for `stays`; 0 leaves it null. */
  perturbed: number;
}

/** Reads nothing, writes nothing: kitchen in, plan out, proven as far as it goes. Throws FaultyInput when the file names something unknown. */
export function planKitchen(
  file: KitchenFile,
  reference: Reference,
  models: readonly BladeModel[],
  { school, perturbed }: KitchenOptions,
): Plan {
  const bench = layOut(file, reference, models, school);
  const { plan, bench: stands } = planProven(bench);
  if (perturbed === 0) return plan;
  // doubted without the offer, whose pieces would stay by rule
  const doubt = new Doubt(bench, stepsOf(stands, plan));
  for (let run = 0; run < perturbed; run++) doubt.run();
  const stayed = doubt.stayed();
  const stays = perStep(plan, stayed);
  return { ...plan, steps: plan.steps.map((step, i) => ({ ...step, stays: rounded(stays[i]) })) };
}

const rounded = (share: number | null | undefined) => (share == null ? null : Number(share.toFixed(2)));
