import fc from 'fast-check';
import { expect, test } from 'vitest';
import { bestOrder, byMoney, byMonth, monthOf } from './order';
import { KitValue, usefulness } from './value';

const row = (n: number) => fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: n, maxLength: n });
const T = 6;
const problem = fc.record({
  rows: fc.array(row(T), { minLength: 1, maxLength: 5 }),
  extra: row(T),
  weights: row(T),
  shared: row(T).map((c) => c.map((x) => x / 2)),
});
const demandOf = (p: { weights: number[]; shared: number[] }) => ({
  weights: Float64Array.from(p.weights),
  shared: Float64Array.from(p.shared),
  total: p.weights.reduce((a, b) => a + b, 0),
});

test('the value of a kit is Σ w·[(1 − c)·f1 + c·f2] / Σ w, and gain is the difference one row makes', () => {
  fc.assert(
    fc.property(problem, (p) => {
      const kit = new KitValue(demandOf(p));
      for (const r of p.rows) kit.add(Float64Array.from(r));
      const total = p.weights.reduce((a, b) => a + b, 0);
      const byHand = p.weights.reduce((sum, w, t) => {
        const [f1 = 0, f2 = 0] = p.rows.map((r) => r[t] ?? 0).sort((a, b) => b - a);
        const c = p.shared[t] ?? 0;
        return sum + w * ((1 - c) * f1 + c * f2);
      }, 0);
      const value = kit.value();
      expect(value).toBeCloseTo(total > 0 ? byHand / total : 0, 9);
      const gain = kit.gain(Float64Array.from(p.extra));
      expect(gain).toBeGreaterThanOrEqual(0);
      expect(kit.add(Float64Array.from(p.extra)).value()).toBeCloseTo(value + gain, 9);
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

test('a struggle is worth nothing, excellence all, and nothing between is a step', () => {
  expect(usefulness(35)).toBe(0);
  expect(usefulness(92)).toBe(1);
  expect(usefulness(100)).toBe(1);
  for (let s = 0; s < 100; s++) expect(usefulness(s + 1) - usefulness(s)).toBeLessThan(0.02);
});
