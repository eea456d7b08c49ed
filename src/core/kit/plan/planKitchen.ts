import type { BladeModel } from '../../blade/schema';
import type { KitchenFile } from '../../formats/kitchenFile';
import type { Plan } from '../../formats/planFile';
import type { Reference } from '../../reference';
import { chooseKit, type Chosen, QUICK, THOROUGH } from '../search/choose';
import type { Proof } from '../search/exact';
import { planFrom, stepsWithCandidates } from './plan';
import { firstAnswer } from './firstAnswer';
import { proofOf } from './step';
import type { SchoolId } from '../context/schools';
import { type Looking, proveBest, type Proven } from '../offers/prove';
import { toTheEnd } from '../search/sizes';
import { Robustness, withRobustness } from '../robustness/robustness';
import { preparePlanning, type PlanningContext } from '../context/planningContext';
import { amongTies } from '../context/amongTies';
import { settled } from '../context/settled';

/** A plan and the context it stands on: with the offers it takes, or with a service. */
export interface Planned {
  plan: Plan;
  context: PlanningContext;
}

/** A kit that has been proven as far as the search went, and what it stands on. */
interface ProvenKit {
  context: PlanningContext;
  chosen: Chosen;
  proof: Proof;
  /** Multipliers to prove a kindred kitchen from. */
  hint: Float64Array | undefined;
  /** What the proof took, figures compared. */
  work: number;
}

/**
 * The kit of a kitchen that has been laid out, proven as far as the search goes: the kitchen as it is and, where nobody sharpens, with a
 * sharpening service, whichever is worth more. Yields after every slice of work.
 */
export function* provenKit(context: PlanningContext, looking: Looking = {}): Generator<Proven, ProvenKit> {
  const plain = yield* proveBest(context, looking);
  const serviced = context.serviced ? yield* proveBest(context.serviced, looking) : null;
  const { proof, on } = serviced && serviced.proof.value > plain.proof.value ? serviced : plain;
  const proven = plain.proof.proven && (serviced?.proof.proven ?? true);
  const bound = Math.max(plain.proof.bound, serviced?.proof.bound ?? 0);
  const found = { context: on, chosen: chooseKit(on.problem, THOROUGH, { proof }) };
  // where the proof had to stop, the first answer may have been the better kit; where little is looked, the kit is known already
  const quick = proven || looking.enough !== undefined ? null : firstAnswer(context, QUICK);
  const best = quick && quick.chosen.worth > found.chosen.worth ? quick : found;
  // where only a price is asked for, less money does not matter
  const settle = looking.enough === undefined ? settled : amongTies;
  const chosen = settle(best.context, best.chosen);
  const gap = Math.max(0, (proven ? best.chosen.worth : bound) - chosen.worth);
  return {
    context: best.context,
    chosen,
    proof: { ...proof, proven, gap },
    hint: plain.hint,
    work: (plain.work ?? 0) + (serviced?.work ?? 0),
  };
}

/** The plan of a kitchen that has been laid out, with {@link provenKit}. */
export function* planning(context: PlanningContext): Generator<Proven, Planned> {
  const { context: on, chosen, proof } = yield* provenKit(context);
  return { plan: { ...planFrom(on, { chosen }), proof: proofOf(proof) }, context: on };
}

/** A plan at once, unproven: what a screen shows first. */
export function firstPlan(context: PlanningContext): Planned {
  const { context: on, chosen } = firstAnswer(context, QUICK);
  return { plan: planFrom(on, { chosen }), context: on };
}

/** {@link planning} to its end. */
export const planProven = (context: PlanningContext): Planned => toTheEnd(planning(context));

/** A plan with how often each step stays in so many perturbed plans; 0 leaves that open. */
export function doubted(context: PlanningContext, { plan, context: stands }: Planned, perturbed: number): Plan {
  if (perturbed === 0) return plan;
  // doubted without the offer, whose pieces would stay by rule
  const doubt = new Robustness(
    stands.service ? stands : context,
    stepsWithCandidates(stands, plan).map(({ candidate }) => candidate),
  );
  for (let run = 0; run < perturbed; run++) doubt.run();
  return withRobustness(plan, doubt);
}

interface KitchenOptions {
  school?: SchoolId | undefined;
  /** Perturbed plans to run for `stays`; 0 leaves it null. */
  perturbed: number;
}

/**
 * Reads nothing, writes nothing: kitchen in, plan out, proven as far as it goes. Throws FaultyInput when the file names something unknown.
 *
 * @example planKitchen(file, reference, models, { perturbed: 0 }).steps[0].action // 'buy'
 */
export function planKitchen(
  file: KitchenFile,
  reference: Reference,
  models: readonly BladeModel[],
  { school, perturbed }: KitchenOptions,
): Plan {
  const context = preparePlanning(file, reference, models, school);
  return doubted(context, planProven(context), perturbed);
}
