import type { BladeModel, BladeType } from '../../blade/schema';
import { BRIEF_FIGURES, type Brief, type StepBrief } from '../../formats/briefFile';
import type { KitchenFile } from '../../formats/kitchenFile';
import type { Plan, PlanStep } from '../../formats/planFile';
import { toMinor } from '../../money/currency';
import type { Reference } from '../../reference';
import { preparePlanning, type PlanningContext } from '../context/planningContext';
import { planProven, type Planned } from '../plan/planKitchen';
import { toTheEnd } from '../search/sizes';
import { changed, offered, rangesOf, type Ranges } from './ranges';
import { walkAway } from './price';
import { makeOf, type Make } from './traits';
import { briefedSteps, because, trialOf, type Trial } from './trial';
import { FIGURE_WORDS } from '../../formats/figures';
import { briefInWords, checksFor, indifferentTo, questionsFor } from './words';

/** Edges of ranges told with their reason. */
const EDGES_TOLD = 4;

/** Why the figures may go no further: the task that loses most just past each end, the narrowest ends first. */
function edgesOf(trial: Trial, type: BladeType, ranges: Ranges): string[] {
  const edges = BRIEF_FIGURES.flatMap((figure) => {
    const range = ranges[figure];
    const limits = offered(type, trial.pick, figure);
    if (!range || !limits) return [];
    const { name, unit } = FIGURE_WORDS[figure];
    return ([0, 1] as const).flatMap((end) => {
      const past = end === 0 ? range[0] - 0.5 * (range[0] - limits[0]) : range[1] + 0.5 * (limits[1] - range[1]);
      const changes = changed(trial.pick, figure, past);
      const lost = trial.drop(changes);
      const loss = lost > 0.5 ? trial.loss(changes) : null;
      if (!loss) return [];
      const words = `${end === 0 ? 'less than' : 'more than'} ${range[end]}${unit}${because(loss)}`;
      return [{ lost, words: `${name}: ${words}` }];
    });
  });
  return edges
    .sort((a, b) => b.lost - a.lost)
    .slice(0, EDGES_TOLD)
    .map(({ words }) => words);
}

const pickOf = (blade: BladeModel, step: PlanStep): StepBrief['pick'] => ({
  model: blade.id,
  lengthMm: blade.lengthMm,
  price: step.price,
  heelHeightMm: blade.heelHeightMm,
  weightG: blade.weightG,
  hrc: blade.hrc,
  spineHeelMm: blade.spineHeelMm,
  behindEdgeMm: blade.behindEdgeMm,
  edgeAngleDeg: blade.edgeAngleDeg,
});

/**
 * The brief of one step: worked out on its blade in the kit the plan stands on, its price by planning the kitchen again. Yields after every slice
 * of work; null where nothing is known of the step's blade.
 */
export function* briefing(
  context: PlanningContext,
  planned: Planned,
  step: PlanStep,
): Generator<unknown, StepBrief | null> {
  const trial = trialOf(planned, step);
  const { kitchen } = context;
  const [cook] = kitchen.cooks;
  const type = trial?.step.type;
  const blade = trial?.step.blade;
  if (!type || !blade || !cook) return null;
  const ranges = yield* rangesOf(trial, type);
  const make: Make = makeOf(trial);
  yield;
  const { priceUpTo, instead } = yield* walkAway(context, planned, step);
  const length: [number, number] = ranges.lengthMm ?? [blade.blade.lengthMm, blade.blade.lengthMm];
  const told = { ...ranges, lengthMm: length };
  return {
    order: step.order,
    type: type.id,
    inWords: briefInWords(type, told, make, toMinor(priceUpTo, kitchen.currency), kitchen.currency),
    pick: pickOf(blade.blade, step),
    ranges: told,
    must: make.must,
    avoid: [...make.avoid, ...edgesOf(trial, type, ranges)],
    indifferent: indifferentTo(told, make),
    priceUpTo,
    instead,
    ask: questionsFor(ranges, blade.steel, kitchen),
    inTheHand: checksFor(blade.blade, cook, make),
  };
}

/** The plan of a kitchen with the walk-away price of every purchase. */
export function withPrices(context: PlanningContext, planned: Planned, plan = planned.plan): Plan {
  const prices = new Map(
    briefedSteps(plan).map((step) => [step.model, toTheEnd(walkAway(context, planned, step)).priceUpTo]),
  );
  const steps = plan.steps.map((step) => ({
    ...step,
    walkAwayPrice: step.action === 'buy' ? (prices.get(step.model) ?? null) : null,
  }));
  return { ...plan, steps };
}

/**
 * What to look for in any shop for every knife a kitchen's plan buys: shipped models are examples to plan with, their briefs fit any knife. Throws
 * FaultyInput when the file names something unknown.
 *
 * @example briefKitchen(file, reference, models).steps[0].pick.lengthMm // 210
 */
export function briefKitchen(file: KitchenFile, reference: Reference, models: readonly BladeModel[]): Brief {
  const context = preparePlanning(file, reference, models);
  const planned = planProven(context);
  const { kitchen, currency } = planned.plan;
  return {
    format: 'scabbard.brief',
    version: 1,
    kitchen,
    currency,
    steps: briefedSteps(planned.plan).flatMap((step) => toTheEnd(briefing(context, planned, step)) ?? []),
  };
}
