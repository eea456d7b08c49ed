import fc from 'fast-check';
import { expect, test } from 'vitest';
import { bestOrder, byMoney, byMonth, monthOf } from '../plan/order';
import { KitValue } from './value';
import type { Demand } from '../demand/types';
import { usefulness } from '../demand/usefulness';

const row = (n: number) => fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: n, maxLength: n });

const T = 6;

const problem = fc.record({
  rows: fc.array(row(T), { minLength: 1, maxLength: 5 }),
  extra: row(T),
  weights: row(T),
  shared: row(T).map((c) => c.map((x) => x / 2)),
});

const demandOf = (p: { weights: number[]; shared: number[] }): Demand => ({
  columns: T,
  states: p.weights.map((w, task) => {
    const c = p.shared[task] ?? 0;
    const roles = [
      { column: task, weight: w * (1 - c) },
      { column: task, weight: w * c },
    ];
    return { task, same: true, rescue: false, roles };
  }),
  weights: Float64Array.from(p.weights),
  total: 1,
});

test('the value of a kit is Σ w·[(1 − c)·f1 + c·f2], and gain is the difference one row makes', () => {
  fc.assert(
    fc.property(problem, (p) => {
      const kit = new KitValue(demandOf(p));
      for (const r of p.rows) kit.add(Float64Array.from(r));
      const byHand = p.weights.reduce((sum, w, t) => {
        const [f1 = 0, f2 = 0] = p.rows.map((r) => r[t] ?? 0).sort((a, b) => b - a);
        const c = p.shared[t] ?? 0;
        return sum + w * ((1 - c) * f1 + c * f2);
      }, 0);
      const value = kit.value();
      expect(value).toBeCloseTo(byHand, 9);
      const gain = kit.gain(Float64Array.from(p.extra));
      expect(gain).toBeGreaterThanOrEqual(0);
      expect(kit.add(Float64Array.from(p.extra)).value()).toBeCloseTo(value + gain, 9);
    }),
  );
});

test('what rescued work weighs is in the gain or left out of it, as it is of the value; more than two at a task are served in turn', () => {
  fc.assert(
    fc.property(fc.array(row(3), { minLength: 1, maxLength: 5 }), row(3), (rows, extra) => {
      const states = [
        { task: 0, same: true, rescue: false, roles: [0.3, 0.2, 0.1].map((weight) => ({ column: 0, weight })) },
        { task: 1, same: true, rescue: false, roles: [0.3, 0.1].map((weight) => ({ column: 1, weight })) },
        { task: 1, same: true, rescue: true, roles: [{ column: 2, weight: 0.5 }] },
      ];
      const kit = new KitValue({ columns: 3, states, weights: Float64Array.from([0.6, 0.4]), total: 1 });
      for (const r of rows) kit.add(Float64Array.from(r));
      const best = (column: number) => rows.map((r) => r[column] ?? 0).sort((a, b) => b - a);
      const served = [0.3, 0.2, 0.1].reduce((sum, weight, k) => sum + weight * (best(0)[k] ?? 0), 0);
      const cut = served + 0.3 * (best(1)[0] ?? 0) + 0.1 * (best(1)[1] ?? 0);
      expect(kit.value(false)).toBeCloseTo(cut, 9);
      expect(kit.value()).toBeCloseTo(cut + 0.5 * (best(2)[0] ?? 0), 9);
      const more = Float64Array.from(extra);
      const [gain, without] = [kit.gain(more), kit.gain(more, false)];
      const [all, plain] = [kit.value(), kit.value(false)];
      kit.add(more);
      expect(kit.value()).toBeCloseTo(all + gain, 9);
      expect(kit.value(false)).toBeCloseTo(plain + without, 9);
    }),
  );
});

/** The best that different rows come to in the roles of one moment, one each. */
function bestAssigned(rows: readonly number[][], roles: readonly number[]): number {
  const [column, ...others] = roles;
  if (column === undefined) return 0;
  return rows.reduce(
    (most, row, i) =>
      Math.max(
        most,
        (row[column] ?? 0) / 6 +
          bestAssigned(
            rows.filter((_, k) => k !== i),
            others,
          ),
      ),
    bestAssigned(rows, others),
  );
}

test('two or three people of different hands at once get the best knives there are, one each', () => {
  fc.assert(
    fc.property(fc.constantFrom(2, 3), fc.array(row(3), { minLength: 1, maxLength: 6 }), (people, rows) => {
      const columns = Array.from({ length: people }, (_, column) => column);
      const states = [
        { task: 0, same: false, rescue: false, roles: columns.map((column) => ({ column, weight: 1 / 6 })) },
      ];
      const kit = new KitValue({ columns: 3, states, weights: Float64Array.from([1]), total: 1 });
      rows.forEach((r, i) => {
        const gain = kit.gain(Float64Array.from(r));
        const before = kit.value();
        expect(kit.add(Float64Array.from(r)).value()).toBeCloseTo(before + gain, 9);
        expect(kit.value()).toBeCloseTo(bestAssigned(rows.slice(0, i + 1), columns), 9);
      });
      expect(kit.clear().value()).toBe(0);
    }),
  );
});

test('each knife adds less once others are there', () => {
  fc.assert(
    fc.property(problem, row(T), (p, other) => {
      const small = new KitValue(demandOf(p));
      const large = new KitValue(demandOf(p)).add(Float64Array.from(other));
      for (const r of p.rows) {
        small.add(Float64Array.from(r));
        large.add(Float64Array.from(r));
      }
      expect(large.gain(Float64Array.from(p.extra))).toBeLessThanOrEqual(small.gain(Float64Array.from(p.extra)) + 1e-9);
    }),
  );
});

test('the order found leaves no less coverage missing than any other order', () => {
  const steps = fc.array(
    fc.record({ price: fc.integer({ min: 0, max: 9000 }), adds: fc.array(fc.nat(4), { maxLength: 3 }) }),
    {
      minLength: 1,
      maxLength: 5,
    },
  );
  fc.assert(
    fc.property(steps, fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 5, maxLength: 5 }), (items, worth) => {
      const valueOf = (chosen: readonly number[]) =>
        [...new Set(chosen.flatMap((i) => items[i]?.adds ?? []))].reduce((sum, k) => sum + (worth[k] ?? 0), 0);
      const prices = items.map((s) => s.price);
      const all = valueOf(items.map((_, i) => i));
      const orders = permutations(items.map((_, i) => i));
      const last = items.length - 1;
      for (const pace of [byMoney(100), byMonth(2500, 100)]) {
        const missing = (order: readonly number[]) => {
          let spent = 0;
          return order.reduce((sum, i, at) => {
            const wait = pace(spent, prices[i] ?? 0);
            spent += prices[i] ?? 0;
            return sum + wait * (all - valueOf(order.slice(0, at)));
          }, 0);
        };
        const best = Math.min(...orders.map(missing));
        expect(missing(bestOrder(prices, valueOf, [], pace))).toBeCloseTo(best, 6);
        expect(bestOrder(prices, valueOf, [last], pace)[0]).toBe(last);
      }
    }),
    { numRuns: 60 },
  );
});

test('by the month what arrives sooner counts, whatever it costs within its month', () => {
  // 25 a month: the dear one comes in month 1 only when bought first; the two cheap ones fit one month together
  const prices = [2500, 1200, 1300];
  const worth = [0.5, 0.3, 0.3];
  const valueOf = (steps: readonly number[]) => steps.reduce((sum, i) => sum + (worth[i] ?? 0), 0);
  expect(bestOrder(prices, valueOf, [], byMonth(2500, 1))[2]).toBe(0);
  expect(bestOrder(prices, valueOf, [], byMonth(1250, 1))).toEqual([1, 2, 0]);
  expect([0, 2500, 2501].map((spent) => monthOf(spent, 2500))).toEqual([1, 1, 2]);
});

function permutations(items: number[]): number[][] {
  if (items.length < 2) return [items];
  return items.flatMap((item) => permutations(items.filter((i) => i !== item)).map((rest) => [item, ...rest]));
}

test('a struggle is worth nothing, excellence all; rescue is worth more than polish, and nothing between is a step', () => {
  expect([55, 70, 85].map((score) => usefulness(score))).toEqual([0.5, 0.84, 0.97]);
  expect(usefulness(35)).toBe(0);
  expect(usefulness(92)).toBe(1);
  expect(usefulness(100)).toBe(1);
  for (let s = 0; s < 100; s++) expect(usefulness(s + 1) - usefulness(s)).toBeLessThan(0.026);
});

test('a plan longer than can be ordered exactly still begins with what it must, and asks first for what does most for its money', () => {
  const n = 14;
  const random = fc.sample(fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 2 * n, maxLength: 2 * n }), {
    numRuns: 20,
    seed: 4,
  });
  for (const figures of random) {
    const gains = figures.slice(0, n);
    const prices = figures.slice(n).map((price) => 100 * price);
    // every step adds what it adds whatever is there: the best order is by gain for money
    const valueOf = (steps: readonly number[]) => steps.reduce((sum, i) => sum + (gains[i] ?? 0), 0);
    const forMoney = (i: number) => (gains[i] ?? 0) / ((prices[i] ?? 0) + 500);
    const order = bestOrder(prices, valueOf, [], byMoney(500));
    expect([...order].sort((a, b) => a - b)).toEqual(gains.map((_, i) => i));
    order.forEach((step, k) => {
      const before = order[k - 1];
      if (before !== undefined) expect(forMoney(step)).toBeLessThanOrEqual(forMoney(before) + 1e-12);
    });
    const led = bestOrder(prices, valueOf, [3, 5], byMoney(500));
    expect([3, 5]).toContain(led[0]);
    expect(forMoney(led[0] ?? -1)).toBe(Math.max(forMoney(3), forMoney(5)));
  }
  expect(bestOrder([], () => 0, [], byMoney(1))).toEqual([]);
});
