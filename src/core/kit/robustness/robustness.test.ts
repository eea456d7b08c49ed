import { describe, expect, test } from 'vitest';
import { DOUBT } from '../../constants';
import { contextOf } from '../../testing/trade';
import { stepsOf } from '../plan/plan';
import { firstPlan } from '../plan/planKitchen';
import { normal, seeded } from './random';
import { Robustness, withRobustness } from './robustness';
import { doubtfulWords, doubtWords, robustnessWord } from './robustnessWord';

const RUNS = 60;
const context = contextOf({ budget: { total: 260 }, owned: [{ type: 'chef', condition: 'dull' }] });
const { plan } = firstPlan(context);
const steps = stepsOf(context, plan);
function doubted(runs: number) {
  const doubt = new Robustness(context, steps);
  for (let run = 0; run < runs; run++) doubt.run();
  return doubt;
}

describe('how sure a step is', () => {
  const doubt = doubted(RUNS);

  test('is a share of the plans made again, the same each time', () => {
    const stays = doubt.stayed();
    expect(stays).toHaveLength(steps.length);
    for (const share of stays.flatMap((levels) => Object.values(levels))) {
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThanOrEqual(1);
      expect(Math.abs(share * RUNS - Math.round(share * RUNS))).toBeLessThan(0.01);
    }
    expect(doubted(RUNS).stayed()).toEqual(stays);
    expect(doubted(RUNS).closest()).toEqual(doubt.closest());
    expect(new Robustness(context, steps).stayed()).toEqual(steps.map(() => ({ kind: 0, type: 0, model: 0 })));
    // whoever keeps the model keeps the type, and so the kind
    for (const { kind, type, model } of stays) expect([kind >= type, type >= model]).toEqual([true, true]);
  });

  test('what took its place is none of the plan, and is named only where something did', () => {
    const own = new Set(steps.map(({ id }) => id));
    doubt.closest().forEach((other, i) => {
      if (other !== null) expect(own.has(other)).toBe(false);
      if (doubt.stayed()[i]?.model === 1) expect(other).toBeNull();
    });
  });

  test('stands beside its own step, whatever stands between: upkeep and what is given away have none', () => {
    const told = withRobustness(plan, doubt);
    const shares = doubt.stayed();
    expect(told.steps.flatMap(({ stays }) => stays ?? [])).toEqual(shares.map(({ model }) => Number(model.toFixed(2))));
    for (const { stays, upkeep, action } of told.steps)
      if (upkeep || action === 'retire' || action === 'service') expect(stays).toBeNull();
    expect(told.steps.map(({ order }) => order)).toEqual(plan.steps.map(({ order }) => order));
  });

  test('changes nothing in the kitchen it was asked of', () => {
    const weights = [...context.problem.demand.weights];
    const counted = context.problem.candidates.map(({ counted: row }) => row[0]);
    doubted(5);
    expect([...context.problem.demand.weights]).toEqual(weights);
    expect(context.problem.candidates.map(({ counted: row }) => row[0])).toEqual(counted);
  });
});

test('doubt is told at the levels at which a person chooses', () => {
  const santoku = { kind: 'general knife', lengthMm: 170, type: 'santoku' };
  const told = doubtWords({ kind: 0.96, type: 0.5, model: 0.28 }, { ...santoku, rival: { type: 'bunka', name: 'B' } });
  expect(told).toEqual([
    'A general knife of about 170 mm is right in 96 of 100 test plans.',
    'That it is a santoku: 50 of 100, a close call with a bunka.',
    'Which model hardly matters: any within the brief.',
  ]);
  expect(doubtWords({ kind: 0.9, type: 0.9, model: 0.88 }, { ...santoku, rival: null })).toEqual([
    expect.stringContaining('90 of 100'),
    'This very model is the best of them.',
  ]);
  expect(doubtfulWords({ kind: 0.4 })).toEqual([]);
  expect(doubtfulWords({ kind: 0.2 })[0]).toMatch(/^Not a sure pick: .*80 of 100/);
});

test('words for it: firm, a close call, a toss-up', () => {
  const [firm, close] = [DOUBT.firm.value, DOUBT.close.value];
  expect([1, firm, firm - 0.001, close, close - 0.001, 0].map(robustnessWord)).toEqual([
    'firm',
    'firm',
    'close call',
    'close call',
    'toss-up',
    'toss-up',
  ]);
});

test('chance comes out as it should: even between 0 and 1, and normal about 0', () => {
  const random = seeded(99);
  const even = Array.from({ length: 20_000 }, random);
  expect(Math.min(...even)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...even)).toBeLessThan(1);
  expect(even.reduce((sum, x) => sum + x, 0) / even.length).toBeCloseTo(0.5, 1);
  const deviates = Array.from({ length: 20_000 }, () => normal(random));
  const mean = deviates.reduce((sum, x) => sum + x, 0) / deviates.length;
  const spread = Math.sqrt(deviates.reduce((sum, x) => sum + (x - mean) ** 2, 0) / deviates.length);
  expect(Math.abs(mean)).toBeLessThan(0.05);
  expect(Math.abs(spread - 1)).toBeLessThan(0.05);
  expect(seeded(1)()).not.toBe(seeded(2)());
});
