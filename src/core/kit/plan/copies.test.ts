import { describe, expect, test } from 'vitest';
import type { PlanStep } from '../../formats/planFile';
import { piecesOf } from '../../formats/planSteps';
import { contextOf } from '../../testing/trade';
import { firstPlan, planProven } from './planKitchen';

const wantedBy = (file: Parameters<typeof contextOf>[0]) => firstPlan(contextOf(file)).plan.copies ?? [];

test('how many of each kind are wanted is told where several work at once, in words that fit the chance', () => {
  expect(wantedBy({ cooksAtOnce: 1 })).toEqual([]);
  const whys = (n: number) =>
    new Map(wantedBy({ cooksAtOnce: n, budget: { total: 900 } }).map((each) => [each.role, each]));
  const two = whys(2).get('general');
  expect(two?.wanted).toBe(2);
  expect(two?.why).toMatch(/^2 at work at once, \d+ % of the minutes board work: often both want one together\.$/);
  const eight = whys(8).get('general');
  expect(eight?.wanted).toBeGreaterThanOrEqual(5);
  expect(eight?.why).toContain(
    eight?.wanted === 8 ? 'all 8 want one' : `more than ${eight?.wanted} seldom want one together`,
  );
  expect(whys(8).get('serrated')?.why).toMatch(/one is seldom waited for|more than 2 seldom want one together/);
});

test('a kind of which one would do, and of which there is none, is not told as a lack', () => {
  for (const { wanted, have } of wantedBy({ cooksAtOnce: 3, limits: { never: ['carving', 'slicer', 'sujihiki'] } }))
    expect(wanted > 1 || have > 0).toBe(true);
});

describe('from three at work kinds of knife are counted, and any number of each', () => {
  const planned = (file: Parameters<typeof contextOf>[0]) => planProven(contextOf(file)).plan;
  const bought = (file: Parameters<typeof contextOf>[0]) =>
    planned(file).steps.filter(({ action }) => action === 'buy');
  const pieces = (steps: readonly PlanStep[]) => steps.reduce((sum, step) => sum + piecesOf(step), 0);

  test('a limit of two kinds buys many pieces for twenty at work, and two pieces for one who works alone', () => {
    const twenty = bought({ cooksAtOnce: 20, budget: { total: 3000 }, limits: { maxKnives: 2 } });
    expect(new Set(twenty.map(({ model }) => model)).size).toBe(2);
    expect(pieces(twenty)).toBeGreaterThan(12);
    expect(pieces(bought({ budget: { total: 3000 }, limits: { maxKnives: 2 } }))).toBe(2);
  });

  test('a school lays out its kinds, and as many of each as are wanted', () => {
    const four = bought({ cooksAtOnce: 4, budget: { total: 900 }, limits: { school: 'classic-three' } });
    expect(four).toHaveLength(3);
    expect(pieces(four)).toBeGreaterThan(5);
  });

  test('a step of several pieces tells gain, price and worth of all of them, and the price of one', () => {
    const [first] = planned({ cooksAtOnce: 8, budget: { total: 1200 } }).steps;
    const many = first ? piecesOf(first) : 0;
    expect(many).toBeGreaterThanOrEqual(3);
    expect(first?.price).toBeCloseTo(many * (first?.unitPrice ?? 0), 2);
    expect(first?.because[0]).toContain(`${many} alike`);
    expect(first?.because.join(' ')).toContain(`points for €${first?.price}`);
  });

  test('what a point is worth goes by the money for each of those at work', () => {
    const price = (cooksAtOnce: number, total: number) =>
      contextOf({ cooksAtOnce, budget: { total } }).problem.scale.pointMinor;
    expect(price(10, 4000)).toBe(10 * price(1, 400));
    expect(price(2, 4000)).toBe(price(1, 4000));
  });
});
