import { expect, test } from 'vitest';
import { contextOf } from '../../testing/trade';
import { firstPlan } from './planKitchen';

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
