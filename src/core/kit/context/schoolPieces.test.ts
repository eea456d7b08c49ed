import { expect, test } from 'vitest';
import type { KitchenFile } from '../../formats/kitchenFile';
import { planProven } from '../plan/planKitchen';
import { contextOf } from '../../testing/trade';

const fishCook = (total: number): Partial<KitchenFile> => ({
  cooks: [{ experience: 'trained', grip: 'pinch' }],
  habits: { sharpening: 'stones' },
  cooking: {
    mealsPerWeek: 6,
    cuisines: [{ id: 'raw-fish' }, { id: 'mediterranean-fish' }],
    tasks: [{ id: 'fish-head-off', times: 2, per: 'week', amount: 2 }],
  },
  budget: { total },
  limits: { school: 'fish-counter' },
});

const plansRaw = (total: number) => {
  const { plan } = planProven(contextOf(fishCook(total)));
  const waits = plan.warnings.some((words) => words.includes('school you follow'));
  return { covers: plan.coverage.all, buys: plan.steps.some((s) => /yanagiba|takohiki/.test(s.type ?? '')), waits };
};

test('a dear knife of a school waits as long as it would leave too little for the rest', () => {
  const sums = [200, 240, 275, 300, 350, 500].map(plansRaw);
  expect(sums.map(({ buys }) => buys)).toEqual([false, false, false, true, true, true]);
  expect(sums.map(({ waits }) => waits)).toEqual([false, true, true, false, false, false]);
  sums.reduce((before, now) => {
    expect(now.covers).toBeGreaterThan(before.covers - 0.02);
    return now;
  });
});

test('a dear knife asked for by name is bought in any case', () => {
  const file = fishCook(240);
  const { plan } = planProven(contextOf({ ...file, limits: { ...file.limits, must: ['yanagiba'] } }));
  expect(plan.steps.map(({ type }) => type)).toContain('yanagiba');
});
