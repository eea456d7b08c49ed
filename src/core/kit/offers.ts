import type { Plan } from '../formats/planFile';
import { judgeBox, shareOut, type BoxedSet } from './boxes';
import type { Candidate } from './candidates';
import type { Place } from './choose';
import { planFrom, stepsOf, type PlanOptions } from './plan';
import { proveBest, toTheEnd } from './sizes';
import { boxesOf, layOut, type Workbench } from './workbench';
import type { BladeModel } from '../blade/schema';
import type { KitchenFile } from '../formats/kitchenFile';
import type { Reference } from '../reference';

/**
 * The bench with a set bought whole: its pieces stand in required places at their share of its price. Null when there are not places
 * enough for it.
 */
export function withBox(
  bench: Workbench,
  { box, pieces, priceMinor }: { box: BoxedSet; pieces: readonly Candidate[]; priceMinor: number },
): Workbench | null {
  const { problem } = bench;
  const candidates = [...problem.candidates];
  const shares = shareOut(
    priceMinor,
    pieces.map((p) => p.priceMinor),
  );
  const indices = pieces.map((piece, i) => {
    const boxed = {
      ...piece,
      priceMinor: shares[i] ?? 0,
      inSet: { name: box.name, maker: box.maker, priceMinor, pieces: pieces.length },
    };
    const single = candidates.findIndex((c) => c.id === piece.id);
    const at = single < 0 ? candidates.length : single;
    candidates[at] = boxed;
    return at;
  });
  // a piece is had in the set or not at all
  const left: Place[] = problem.places.map(({ fits, required }) => ({
    fits: fits.filter((i) => !indices.includes(i)),
    required,
  }));
  const open = left.filter(({ fits, required }) => !required && fits.some((i) => candidates[i]?.action === 'buy'));
  if (open.length < pieces.length) return null;
  const given = new Set(open.slice(0, pieces.length));
  const places = [...indices.map((i) => ({ fits: [i], required: true })), ...left.filter((place) => !given.has(place))];
  return { ...bench, problem: { ...problem, candidates, places } };
}

/**
 * The plan, with a set on sale in place of singles where one holds exactly what the plan wants and costs less for no less coverage
 * (handbook 5.4). Also gives the bench the plan stands on.
 */
export function planWithOffers(
  bench: Workbench,
  options: Omit<PlanOptions, 'school'>,
): { plan: Plan; bench: Workbench } {
  const alone = { plan: planFrom(bench, options), bench };
  if (bench.school !== 'free' || bench.kitchen.limits.order.length > 0) return alone;
  const steps = stepsOf(bench, alone.plan);
  const { kitchen, models, reference, loads, tasks, cooks } = bench;
  return boxesOf(kitchen, models, reference, loads, tasks, cooks).reduce((best, offer) => {
    const { wins, idle } = judgeBox(offer.box, offer.priceMinor, offer.pieces, steps);
    if (!wins || idle.length > 0 || offer.priceMinor > bench.problem.budgetMinor) return best;
    const boxed = withBox(bench, offer);
    if (!boxed) return best;
    const { perturbed, effort } = options;
    const atLeast = alone.plan.coverage.all;
    const plan = planFrom(boxed, { perturbed, atLeast, ...(effort ? { effort } : {}) });
    // what was promised without the set must be kept with it
    const reached = plan.steps.reduce((most, s) => Math.max(most, s.coverageAfter), plan.coverage.now);
    if (reached < atLeast || plan.spent >= best.plan.spent) return best;
    return { plan: { ...plan, coverage: { ...plan.coverage, all: atLeast }, proof: alone.plan.proof }, bench: boxed };
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
