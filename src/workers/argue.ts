import schoolWords from '../../data/schools.json';
import { reference } from '../../data/reference';
import type { BladeModel } from '../core/blade/schema';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { SCHOOL_IDS } from '../core/formats/kitchenWords';
import type { Plan } from '../core/formats/planFile';
import { setsForSale, judgeSet, type SetVerdict } from '../core/kit/candidates/sets';
import { frontier, knee } from '../core/kit/search/frontier';
import { firstPlan, planning, planProven } from '../core/kit/plan/planKitchen';
import { stepsOf } from '../core/kit/plan/plan';
import type { SchoolId } from '../core/kit/context/schools';
import { bestOfEverySize } from '../core/kit/offers/prove';
import { preparePlanning, type PlanningContext } from '../core/kit/context/planningContext';
import { coverageOfKit } from '../core/kit/search/coverage';
import { fromMinor } from '../core/money/currency';

/** What argues with a plan: other schools, other money, other kitchens. Loaded by the worker when first asked. */

/** A plan with the drawings of what is owned. */
export interface Argued {
  plan: Plan;
  owned: BladeModel[];
}

const argued = (plan: Plan, context: PlanningContext): Argued => ({
  plan,
  owned: context.owned.map((knife) => knife.blade.blade),
});

/** Any kitchen planned beside the present one as its own plan is: proven, offers and all. In slices. */
export function* planBeside(file: KitchenFile, models: readonly BladeModel[]): Generator<unknown, Argued> {
  const context = preparePlanning(file, reference, models);
  return argued((yield* planning(context)).plan, context);
}

export interface SchoolView extends Argued {
  id: SchoolId;
  name: string;
  rule: string;
  holds: string;
}

/** Every school on this kitchen's own load, one at a time. */
export function* schoolsOf(file: KitchenFile, context: PlanningContext): Generator<SchoolView> {
  for (const id of SCHOOL_IDS) {
    const words = schoolWords.find((school) => school.id === id);
    if (!words) throw new Error(`no words for the school ${id}`);
    const { name, rule, holds } = words;
    const own = preparePlanning(file, reference, context.models, id, context);
    yield { id, name, rule, holds, ...argued(planProven(own).plan, own) };
  }
}

/** Every set on sale against buying only what this kitchen's free plan wants of it; prices in the kitchen's currency. */
export function setVerdicts(
  context: PlanningContext,
): (Omit<SetVerdict, 'priceMinor' | 'wantedMinor'> & { price: number; wantedPrice: number })[] {
  const { plan, context: on } = firstPlan(context);
  const steps = stepsOf(on, plan);
  const inMoney = (minor: number) => fromMinor(minor, context.kitchen.currency);
  return setsForSale(context)
    .map((offer) => judgeSet(offer, steps))
    .sort((a, b) => b.wanted.length - a.wanted.length || a.idle.length - b.idle.length || a.priceMinor - b.priceMinor)
    .map(({ priceMinor, wantedMinor, ...rest }) => ({
      ...rest,
      price: inMoney(priceMinor),
      wantedPrice: inMoney(wantedMinor),
    }));
}

export interface MoneyView {
  points: { spent: number; coverage: number }[];
  knee: { spent: number; coverage: number } | null;
}

/** Coverage against money, growing as it is worked out. */
export function* moneyView(context: PlanningContext): Generator<MoneyView> {
  const told = ({ spentMinor, coverage }: { spentMinor: number; coverage: number }) => ({
    spent: fromMinor(spentMinor, context.kitchen.currency),
    coverage,
  });
  for (const points of frontier(context.problem)) {
    const bend = knee(points);
    yield { points: points.map(told), knee: bend ? told(bend) : null };
  }
}

export interface SizeView {
  size: number;
  coverage: number;
  spent: number;
  proven: boolean;
  gap: number;
  names: string[];
}

/** The best kit of every size, each proven or with its gap, growing as it is worked out. */
export function* sizesView(context: PlanningContext): Generator<SizeView[]> {
  for (const known of bestOfEverySize(context))
    yield known.map(({ size, kit, priceMinor, proven, gap }) => ({
      size,
      coverage: coverageOfKit(context.problem, kit),
      spent: fromMinor(priceMinor, context.kitchen.currency),
      proven,
      gap,
      names: kit.flatMap((c) => c.blade?.blade.name ?? c.tool?.name ?? []),
    }));
}
