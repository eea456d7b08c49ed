import type { BladeModel } from '../blade/schema';
import type { KitchenFile } from '../formats/kitchenFile';
import type { Plan } from '../formats/planFile';
import { showMoney } from '../money/currency';
import type { Reference } from '../reference';
import { judgeBox, shareOut, type BoxedSet, type VolumeOffer } from './boxes';
import type { Candidate } from './candidates';
import { THOROUGH, type Effort, type Place } from './choose';
import { planFrom, stepsOf, type PlanOptions } from './plan';
import { proveBest, toTheEnd } from './sizes';
import { boxesOf, layOut, type Workbench } from './workbench';

/** Gives up as many open knife places as there are required ones put in their stead; null when there are too few. */
function withRequired(
  places: readonly Place[],
  required: readonly Place[],
  candidates: readonly Candidate[],
): Place[] | null {
  const open = places.filter((place) => !place.required && place.fits.some((i) => candidates[i]?.action === 'buy'));
  if (open.length < required.length) return null;
  const given = new Set(open.slice(0, required.length));
  return [...required, ...places.filter((place) => !given.has(place))];
}

/** The bench with a set bought whole: its pieces stand in required places at their share of its price. */
export function withBox(
  bench: Workbench,
  { box, pieces, priceMinor }: { box: BoxedSet; pieces: readonly Candidate[]; priceMinor: number },
): Workbench | null {
  const { problem, kitchen } = bench;
  const candidates = [...problem.candidates];
  const singly = pieces.map((p) => p.priceMinor);
  const shares = shareOut(priceMinor, singly);
  const offer = `Comes in the set ${box.name}, ${box.maker}: ${showMoney(priceMinor, kitchen.currency)} for its ${pieces.length} pieces, less than they cost singly; the price here is its share.`;
  const indices = pieces.map((piece, i) => {
    const single = candidates.findIndex((c) => c.id === piece.id);
    const at = single < 0 ? candidates.length : single;
    candidates[at] = { ...piece, priceMinor: shares[i] ?? 0, offer, inSet: true };
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
  const { kitchen, models, reference, loads, tasks, cooks, problem } = bench;
  const boxes = boxesOf(kitchen, models, reference, loads, tasks, cooks).flatMap((offer) => {
    const { wins, idle } = judgeBox(offer.box, offer.priceMinor, offer.pieces, steps);
    const worthTrying = wins && idle.length === 0 && offer.priceMinor <= problem.budgetMinor;
    return worthTrying ? (withBox(bench, offer) ?? []) : [];
  });
  const buys = steps.filter((s) => s.action === 'buy').length;
  const volumes = reference.volumes.flatMap((offer) => (buys >= offer.from ? (withVolume(bench, offer) ?? []) : []));
  return [...boxes, ...volumes];
}

/**
 * The plan, with an offer in place of plain singles where that costs less for no less coverage (handbook 5.4): never a basket padded
 * for a discount. Also gives the bench the plan stands on.
 */
export function planWithOffers(
  bench: Workbench,
  options: Omit<PlanOptions, 'school'>,
): { plan: Plan; bench: Workbench } {
  const alone = { plan: planFrom(bench, { ...options, perturbed: 0 }), bench };
  const best = isFree(bench) ? bestOffer(alone, options.effort) : alone;
  if (options.perturbed === 0) return best;
  const { coverage, proof } = best.plan;
  const sure = planFrom(best.bench, { ...options, atLeast: alone.plan.coverage.all, doubtOn: bench });
  return { plan: { ...sure, coverage, proof }, bench: best.bench };
}

const isFree = ({ school, kitchen }: Workbench) => school === 'free' && kitchen.limits.order.length === 0;

function bestOffer(
  alone: { plan: Plan; bench: Workbench },
  effort: Effort = THOROUGH,
): { plan: Plan; bench: Workbench } {
  const { coverage, proof } = alone.plan;
  const atLeast = coverage.all;
  return offered(alone.bench, stepsOf(alone.bench, alone.plan)).reduce((best, on) => {
    const plan = planFrom(on, { perturbed: 0, atLeast, effort });
    // what was promised without the offer must be kept with it
    const reached = plan.steps.reduce((most, s) => Math.max(most, s.coverageAfter), plan.coverage.now);
    if (reached < atLeast || plan.spent >= best.plan.spent) return best;
    return { plan: { ...plan, coverage: { ...plan.coverage, all: atLeast }, proof }, bench: on };
  }, alone);
}

/** Reads nothing, writes nothing: kitchen in, plan out, proven as far as it goes. Throws FaultyInput when the file names something unknown. */
export function planKitchen(
  file: KitchenFile,
  reference: Reference,
  models: readonly BladeModel[],
  options: PlanOptions,
): Plan {
  const bench = layOut(file, reference, models, options.school);
  return planWithOffers(bench, { ...options, proof: toTheEnd(proveBest(bench.problem)) }).plan;
}
