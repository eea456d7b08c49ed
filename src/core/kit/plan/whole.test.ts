import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { GUIDANCE, SCORE_WORDS } from '../../constants';
import type { KitchenFile } from '../../formats/kitchenFile';
import { planFileSchema } from '../../formats/planFile';
import { kitSteps, perStep, piecesOf } from '../../formats/planSteps';
import { toMinor } from '../../money/currency';
import { wildKitchen } from '../../testing/arbitrary';
import { preparePlanning } from '../context/planningContext';
import { minutesServedBy, servedBy } from './assignment';
import { monthOf } from './order';
import { stepsOf } from './plan';
import { firstPlan } from './planKitchen';
import { knivesOf } from './refs';
import { savingUp } from './savingUp';
import { coverageOf } from './buyingOrder';

/** What holds of any plan as a whole, whatever the kitchen. */

const KITCHENS = 45;

function planOf(file: KitchenFile) {
  const { plan, context } = firstPlan(preparePlanning(file, reference, shippedModels));
  return { file, plan, context, steps: stepsOf(context, plan) };
}
const plans = fc.sample(wildKitchen, KITCHENS).map(planOf);
const holds = (property: (of: ReturnType<typeof planOf>) => void) => plans.forEach(property);

test('a plan is one its format reads, and names only what there is', () => {
  holds(({ plan }) => {
    expect(planFileSchema.safeParse(plan).error).toBeUndefined();
    const models = new Set(shippedModels.map(({ id }) => id));
    for (const { model, type, takesOver, runnersUp, action } of plan.steps) {
      if (model !== null && action === 'buy') expect(models.has(model)).toBe(true);
      if (type !== null) expect(reference.types.has(type) || reference.tools.has(type)).toBe(true);
      for (const { task } of takesOver) expect(reference.tasks.has(task)).toBe(true);
      for (const { model: other } of runnersUp) expect(models.has(other)).toBe(true);
    }
    for (const { task } of plan.unserved) expect(reference.tasks.has(task)).toBe(true);
  });
});

test('coverage rises with every step to what the whole kit does, and gains are its steps', () => {
  holds(({ plan }) => {
    const { now, needs, all } = plan.coverage;
    expect(now).toBeLessThanOrEqual(needs + 1e-3);
    expect(needs).toBeLessThanOrEqual(all + 1e-3);
    let before = now;
    for (const step of plan.steps) {
      expect(step.coverageAfter).toBeGreaterThanOrEqual(before - 1.1e-3);
      if (!step.upkeep && step.action !== 'retire')
        expect(Math.abs(step.coverageAfter - before - step.gain)).toBeLessThan(2.1e-3);
      before = step.coverageAfter;
    }
    if (plan.steps.length > 0) expect(Math.abs(before - all)).toBeLessThan(1.1e-3);
  });
});

test('money is kept: in all, by the month, and where nothing may be spent nothing is', () => {
  holds(({ file, plan, context }) => {
    const { total, perMonth } = file.budget ?? {};
    if (typeof total === 'number') expect(plan.spent).toBeLessThanOrEqual(total + 1e-9);
    let spent = 0;
    for (const { price, month, action } of plan.steps) {
      spent += toMinor(price, plan.currency);
      if (perMonth && context.kitchen.perMonthMinor && action !== 'retire')
        expect(month).toBe(monthOf(spent, context.kitchen.perMonthMinor));
      else expect(month).toBe(1);
    }
    expect(spent).toBe(toMinor(plan.spent, plan.currency));
  });
});

test('every task goes to the best there is, and its minutes are counted once', () => {
  holds(({ plan, context, steps }) => {
    for (const { takesOver } of plan.steps)
      expect(new Set(takesOver.map(({ task }) => task)).size).toBe(takesOver.length);
    const served = servedBy(context, steps);
    expect(served.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(served.length > 0 ? 1 : 0, 6);
    for (const { task, score } of served) {
      const t = context.loads.findIndex((load) => load.task.id === task);
      // of near equals, half a point apart, the one that is there already
      for (const step of steps) expect(score).toBeGreaterThanOrEqual((step.scores[t] ?? 0) - 0.5);
    }
    const work = context.loads.reduce((sum, { minutesPerWeek }) => sum + minutesPerWeek, 0);
    const byTask = served.reduce((sum, { minutesPerWeek }) => sum + minutesPerWeek, 0);
    expect(byTask).toBeLessThanOrEqual(work + 1e-6);
    const by = minutesServedBy(context, steps);
    expect(by.steps.reduce((sum, minutes) => sum + minutes, 0)).toBeLessThanOrEqual(work + 1e-6);
  });
});

test('what is badly served is so with everything bought, and its cure is better by as much as is asked', () => {
  holds(({ plan, context, steps }) => {
    const best = new Map(servedBy(context, steps).map(({ task, score }) => [task, score]));
    for (const { task, score, why } of plan.unserved) {
      expect(score).toBeLessThan(SCORE_WORDS.manages.value + 0.5);
      expect(Math.abs(score - (best.get(task) ?? 0))).toBeLessThanOrEqual(0.5);
      expect(why).toMatch(
        / would do it at \d+, | would do it at \d+; |nothing on sale|ruled out|nothing of |no handle|no blade|your .* is the knife|what is bought already/,
      );
      // a cure is something that is neither bought nor owned
      const cure = context.buyable.find(({ blade }) => blade && why.includes(`; ${blade.blade.name} at `));
      if (cure) expect(steps.some(({ type }) => type?.id === cure.type?.id)).toBe(false);
      const load = context.loads.find((each) => each.task.id === task);
      expect((load?.minutesPerWeek ?? 0) >= 0.5 || (load?.matters ?? 0) >= 2).toBe(true);
    }
    expect(plan.unserved.length).toBeLessThanOrEqual(8);
    expect(GUIDANCE.cureAdds.value).toBeGreaterThan(0);
  });
});

test('limits are kept: so many knives at most, nothing refused, and what must be had is there or told', () => {
  holds(({ file, plan, context }) => {
    const buys = plan.steps.filter(({ action }) => action === 'buy');
    const { maxKnives, never = [], must = [] } = file.limits ?? {};
    if (maxKnives !== undefined) expect(buys.length).toBeLessThanOrEqual(maxKnives);
    for (const { type, model } of buys) {
      expect(never).not.toContain(type);
      expect(never).not.toContain(model);
    }
    const missing = must.filter(
      (id) =>
        !buys.some(({ type, model }) => type === id || model === id) &&
        !file.owned?.some(({ type, model }) => type === id || model === id),
    );
    const told = plan.warnings.some((warning) => /asked for (is|are) not to be had/.test(warning));
    // a school asks for knives of its own
    if (missing.length > 0 || context.school === 'free') expect(told).toBe(missing.length > 0);
  });
});

test('what stands for a step is found by its place, whatever stands between: upkeep, a service, what is given away', () => {
  holds(({ plan, steps }) => {
    const own = kitSteps(plan);
    const pieces = own.reduce((sum, step) => sum + (step.type === 'steak' ? 1 : piecesOf(step)), 0);
    expect(pieces).toBe(steps.length);
    const orders = perStep(
      plan,
      own.map(({ order }) => order),
    );
    plan.steps.forEach(({ order }, i) => expect([order, null]).toContain(orders[i]));
    expect(orders.filter((order) => order !== null)).toHaveLength(own.length);
  });
});

test('every knife that stays or is bought has a reference of its own', () => {
  holds(({ file, plan, context }) => {
    const knives = knivesOf(context, plan);
    expect(new Set(knives.map(({ ref }) => ref)).size).toBe(knives.length);
    const retired = plan.steps.filter(({ action }) => action === 'retire').length;
    const bought = plan.steps.reduce((sum, step) => sum + (step.action === 'buy' ? piecesOf(step) : 0), 0);
    expect(knives).toHaveLength((file.owned?.length ?? 0) - retired + bought);
    for (const { owned, order } of knives) expect((owned === null) !== (order === null)).toBe(true);
  });
});

test('saving up is told of the first general knife alone, and only where money comes by the month', () => {
  holds(({ file, context, steps }) => {
    const told = savingUp(context, coverageOf(context), steps);
    if (!file.budget?.perMonth) expect(told).toBeNull();
    if (told === null) return;
    expect(steps[told.step]?.action).toBe('buy');
    expect(told.said).toMatch(/^Buying now: yours in month \d+\. Saving up (until month|to) \d+/);
  });
});
