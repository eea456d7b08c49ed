import type { BladeModel } from '../blade/schema';
import type { KitchenFile } from '../formats/kitchenFile';
import { coverageReached, type Plan } from '../formats/planFile';
import { showMoney } from '../money/currency';
import type { Reference } from '../reference';
import { atSharedPrice, judgeBox, type BoxForSale, type VolumeOffer } from './boxes';
import type { Candidate } from './candidates';
import { takesKnives, type Effort, type Place } from './choose';
import type { Proof } from './exact';
import { planFrom, stepsOf } from './plan';
import type { SchoolId } from './schools';
import { proveBest, toTheEnd } from './sizes';
import { Doubt } from './sure';
import { boxesOf, layOut, type Workbench } from './workbench';

/** Gives up as many open knife places as there are required ones put in their stead; null when there are too few. */
function withRequired(
  places: readonly Place[],
  required: readonly Place[],
  candidates: readonly Candidate[],
): Place[] | null {
  const open = places.filter((place) => !place.required && takesKnives(place, candidates));
  if (open.length < required.length) return null;
  const given = new Set(open.slice(0, required.length));
  return [...required, ...places.filter((place) => !given.has(place))];
}

/** The bench with a set bought whole: its pieces stand in required places at their share of its price. */
export function withBox(bench: Workbench, { box, pieces, priceMinor }: BoxForSale): Workbench | null {
  const { problem, kitchen } = bench;
  const candidates = [...problem.candidates];
  const offer = `Comes in the set ${box.name}, ${box.maker}: ${showMoney(priceMinor, kitchen.currency)} for its ${pieces.length} pieces, less than they cost singly; the price here is its share.`;
  const indices = atSharedPrice(pieces, priceMinor).map((piece) => {
    const single = candidates.findIndex((c) => c.id === piece.id);
    const at = single < 0 ? candidates.length : single;
    candidates[at] = { ...piece, offer, inSet: true };
    return at;
  });
  // a piece is had in the set or not at all
  const left = problem.places.map(({ fits, required }) => ({
    fits: fits.filter((i) => !indices.includes(i)),
    required,
  }));
  const pieceByPiece = indices.map((i) => ({ fits: [i], required: true }));
  const places = withRequired(left, pieceByPiece, candidates);
  return places && { ...bench, problem: { ...problem, candidates, places } };
}

/** The bench with a maker's volume price: so many of its knives are required, and each costs that much less. */
export function withVolume(bench: Workbench, { maker, from, off }: VolumeOffer): Workbench | null {
  const { problem } = bench;
  const isTheirs = (c: Candidate | undefined) => c?.action === 'buy' && c.blade?.blade.maker === maker;
  const offer = `${from} or more of ${maker} in one basket: ${Math.round(off * 100)}% off each, counted in here.`;
  const candidates = problem.candidates.map((c) =>
    isTheirs(c) ? { ...c, priceMinor: Math.round(c.priceMinor * (1 - off)), offer } : c,
  );
  const theirs = candidates.flatMap((c, i) => (isTheirs(c) ? [i] : []));
  if (theirs.length === 0) return null;
  const basket = Array.from({ length: from }, () => ({ fits: theirs, required: true }));
  const places = withRequired(problem.places, basket, candidates);
  return places && { ...bench, problem: { ...problem, candidates, places } };
}

/** The benches with an offer that may be worth taking: a set of exactly what the plan wants, or a volume price the plan is near. */
function offered(bench: Workbench, steps: readonly Candidate[]): Workbench[] {
  const boxes = boxesOf(bench).flatMap((offer) => {
    const { wins, idle } = judgeBox(offer, steps);
    const worthTrying = wins && idle.length === 0 && offer.priceMinor <= bench.problem.budgetMinor;
    return worthTrying ? (withBox(bench, offer) ?? []) : [];
  });
  const buys = steps.filter((s) => s.action === 'buy').length;
  const volumes = bench.reference.volumes.flatMap((offer) =>
    buys >= offer.from ? (withVolume(bench, offer) ?? []) : [],
  );
  return [...boxes, ...volumes];
}

/** A plan and the bench it stands on: with an offer, when one was taken. */
export interface Planned {
  plan: Plan;
  bench: Workbench;
}

/**
 * The plan, with an offer in place of plain singles where that costs less for no less coverage (handbook 5.4): never a basket padded
 * for a discount. Schools and orders asked for are left as they are.
 */
export function planWithOffers(bench: Workbench, { effort, proof }: { effort?: Effort; proof?: Proof } = {}): Planned {
  const alone: Planned = { plan: planFrom(bench, { effort, proof }), bench };
  if (bench.school !== 'free' || bench.kitchen.limits.order.length > 0) return alone;
  const { coverage, proof: proven } = alone.plan;
  const atLeast = coverage.all;
  return offered(bench, stepsOf(bench, alone.plan)).reduce((best, on) => {
    const plan = planFrom(on, { effort, atLeast });
    // what was promised without the offer must be kept with it
    if (coverageReached(plan) < atLeast || plan.spent >= best.plan.spent) return best;
    return { plan: { ...plan, coverage: { ...plan.coverage, all: atLeast }, proof: proven }, bench: on };
  }, alone);
}

/** {@link planWithOffers} with the best kit proven first, as far as a search goes. */
export const planProven = (bench: Workbench): Planned =>
  planWithOffers(bench, { proof: toTheEnd(proveBest(bench.problem)) });

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
  // retirements come last and have none
  return { ...plan, steps: plan.steps.map((step, i) => ({ ...step, stays: rounded(stayed[i]) })) };
}

const rounded = (share: number | undefined) => (share === undefined ? null : Number(share.toFixed(2)));
