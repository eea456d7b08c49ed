import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { type KitchenFile, readKitchenFile } from '../formats/kitchenFile';
import { contextOf, fileOf } from '../testing/trade';
import { bought, demanded, excluded, givenAway, inOrder, putRight, released, stepKey, swapped } from './changes';
import { setsForSale, judgeSet, shareOut } from '../kit/candidates/sets';
import { bestSet } from '../kit/search/bestSet';
import { QUICK } from '../kit/search/choose';
import { frontier, knee } from '../kit/search/frontier';
import { planKitchen } from '../kit/plan/planKitchen';
import { planFrom, stepsOf } from '../kit/plan/plan';
import { servedBy } from '../kit/plan/assignment';
import { preparePlanning } from '../kit/context/planningContext';

const plan = (file: KitchenFile) => planKitchen(file, reference, shippedModels, { perturbed: 0 });

describe('acting on a plan', () => {
  test('every step done in turn ends with nothing left to buy, the money spent and coverage as promised', () => {
    let file = fileOf({ budget: { total: 260 }, owned: [{ type: 'utility', condition: 'dull' }] });
    const promised = plan(file).coverage.all;
    let paid = 0;
    for (let i = 0; i < 12; i++) {
      const step = plan(file).steps.find((s) => s.action !== 'retire');
      if (!step) break;
      paid += step.price;
      file = readKitchenFile(
        step.owned === undefined ? bought(file, step, '2026-02-03') : putRight(file, step, '2026-02-03'),
      );
      expect((file.budget?.total ?? 0) + paid).toBeCloseTo(260, 6);
    }
    const end = plan(file);
    expect(end.steps.filter((s) => s.action === 'buy')).toEqual([]);
    expect(end.coverage.now).toBeGreaterThanOrEqual(promised - 0.03);
    expect(file.owned?.filter((o) => o.boughtOn === '2026-02-03').length).toBeGreaterThan(1);
  });

  test('what is demanded is bought, what is excluded is not, a swap does both, letting go undoes it', () => {
    const file = fileOf({ budget: { total: 260 } });
    const [first] = plan(file).steps;
    const other = first?.runnersUp[0]?.model ?? '';
    const models = (f: KitchenFile) => plan(f).steps.map((s) => s.model);
    expect(models(file)).toContain(first?.model);
    const turned = swapped(file, first?.model ?? '', other);
    expect(models(turned)).toContain(other);
    expect(models(turned)).not.toContain(first?.model);
    const back = released(released(turned, other), first?.model ?? '');
    expect(models(back)).toEqual(models(file));
    expect(models(demanded(file, 'oskavel-bunka-165'))).toContain('oskavel-bunka-165');
    const without = plan(excluded(demanded(file, 'bread'), 'bread'));
    expect(without.steps.map((s) => s.type)).not.toContain('bread');
  });

  test('an order asked for is kept and costs what it costs; the plan’s own order costs nothing', () => {
    const file = fileOf({ budget: { total: 300 } });
    const free = plan(file);
    expect(free.orderCosts).toBeUndefined();
    const keys = free.steps.map(stepKey);
    expect(plan(inOrder(file, keys)).orderCosts).toBe(0);
    const backwards = plan(inOrder(file, [...keys].reverse()));
    expect(backwards.steps.map(stepKey)).toEqual([...keys].reverse());
    expect(backwards.orderCosts).toBeGreaterThan(0.01);
    expect(backwards.coverage.all).toBe(free.coverage.all);
    expect(plan(inOrder(file, [])).steps.map(stepKey)).toEqual(keys);
  });

  test('giving a knife away closes the ranks, and only one maker is bought from when asked', () => {
    const file = fileOf({ owned: [{ type: 'chef' }, { type: 'bread' }], limits: { order: ['sharpen-1', 'peeler'] } });
    const left = givenAway(file, 0);
    expect(left.owned).toEqual([{ type: 'bread' }]);
    expect(left.limits?.order).toEqual(['peeler']);
    const makers = plan(fileOf({ budget: { total: 300 }, limits: { maker: 'Oskavel' } })).steps.flatMap(
      (s) => s.maker ?? [],
    );
    expect(new Set(makers)).toEqual(new Set(['Oskavel']));
    expect(() => plan(fileOf({ limits: { maker: 'Nobody' } }))).toThrow(/limits.maker/);
  });

  test('money by the month: the main knife says what saving up would buy', () => {
    const { steps } = plan(fileOf({ budget: { total: null, perMonth: 25 } }));
    const main = steps.find((s) => s.because.some((b) => b.startsWith('Buying now')));
    expect(main?.action).toBe('buy');
    expect(main?.because.join(' ')).toMatch(/Saving up (until month \d+ would buy|to \d+ months)/);
  });
});

describe('sets', () => {
  test('a set’s price is shared out to the last coin, in proportion', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 90_000 }),
        fc.array(fc.integer({ min: 0, max: 20_000 }), { minLength: 1, maxLength: 12 }),
        (price, singly) => {
          const shares = shareOut(price, singly);
          const total = singly.reduce((a, b) => a + b, 0);
          expect(shares.reduce((a, b) => a + b, 0)).toBe(price);
          if (total > 0)
            shares.forEach((s, i) => expect(Math.abs(s - (price * (singly[i] ?? 0)) / total)).toBeLessThan(1 + 1e-6));
        },
      ),
    );
  });

  test('a big box with four wanted pieces loses to singles, a small one of exactly the wanted pieces at a fifth less wins', () => {
    const context = contextOf({ budget: { total: 400 } });
    const steps = stepsOf(context, planFrom(context));
    const buys = steps.filter((s) => s.action === 'buy').slice(0, 3);
    expect(buys).toHaveLength(3);
    const singly = buys.reduce((sum, b) => sum + b.priceMinor, 0);
    const box = { id: 'exact', name: 'Exact', maker: 'Oskavel', pieces: buys.map((b) => b.id), priceMinor: 1 };
    const exact = judgeSet({ set: box, pieces: buys, priceMinor: Math.round(singly * 0.8) }, steps);
    expect([exact.wins, exact.idle]).toEqual([true, []]);
    expect(exact.wantedMinor).toBe(singly);
    const boxed = setsForSale(context);
    const extra = boxed
      .flatMap(({ pieces }) => pieces)
      .filter((p) => p.type?.role === 'slicer' || p.type?.role === 'butchery')
      .slice(0, 9);
    const twelve = [...buys, ...extra];
    const verdict = judgeSet(
      { set: box, pieces: twelve, priceMinor: Math.round(twelve.reduce((sum, p) => sum + p.priceMinor, 0) * 0.6) },
      buys,
    );
    expect(verdict.wins).toBe(false);
    expect(verdict.idle).toHaveLength(extra.length);
  });

  test('a set on sale of exactly what the plan wants, at a fifth less, is what the plan buys; one that is dearer or larger is not', () => {
    const file = fileOf({ budget: { total: 300 }, limits: { maxKnives: 3 } });
    const none = { ...reference, sets: new Map(), volumes: [] };
    const alone = planKitchen(file, none, shippedModels, { perturbed: 0 });
    const pieces = alone.steps.flatMap((s) => (s.action === 'buy' && s.model ? [s.model] : []));
    expect(pieces.length).toBeGreaterThanOrEqual(3);
    const singly = pieces.reduce((sum, id) => sum + (shippedModels.find((m) => m.id === id)?.priceMinor ?? 0), 0);
    const offered = (more: string[], share: number) => {
      const box = {
        id: 'on-sale',
        name: 'On sale',
        maker: 'Oskavel',
        pieces: [...pieces, ...more],
        priceMinor: Math.round(singly * share),
      };
      return planKitchen(file, { ...none, sets: new Map([[box.id, box]]) }, shippedModels, { perturbed: 0 });
    };
    const won = offered([], 0.8);
    expect(won.spent).toBeCloseTo(alone.spent - (singly - Math.round(singly * 0.8)) / 100, 6);
    expect(won.coverage.all).toBeGreaterThanOrEqual(alone.coverage.all);
    expect(won.steps.filter((s) => s.because.some((b) => b.includes('the set On sale')))).toHaveLength(pieces.length);
    expect(offered([], 1.05)).toEqual(alone);
    expect(offered(['ploverdale-carving-220', 'ploverdale-boning-stiff-150', 'quillback-slicer-310'], 0.95)).toEqual(
      alone,
    );
  });

  test('a volume price is taken when the basket reaches it anyway and never costs more than singles', () => {
    const file = fileOf({ budget: { total: 300 } });
    const none = { ...reference, sets: new Map(), volumes: [] };
    const alone = planKitchen(file, none, shippedModels, { perturbed: 0 });
    const one = fileOf({ budget: { total: 300 }, limits: { maker: 'Quillback Supply' } });
    const singles = planKitchen(one, none, shippedModels, { perturbed: 0 });
    const knives = singles.steps.filter((s) => s.action === 'buy');
    expect(knives.length).toBeGreaterThanOrEqual(3);
    const volume = (off: number, from = 3) => ({ ...none, volumes: [{ maker: 'Quillback Supply', from, off }] });
    const cheaper = planKitchen(one, volume(0.2), shippedModels, { perturbed: 0 });
    expect(cheaper.worth.points).toBeGreaterThan(singles.worth.points);
    expect(cheaper.steps.some((s) => s.because.some((b) => b.includes('20% off')))).toBe(true);
    for (const off of [0.02, 0.1, 0.4]) {
      const plan = planKitchen(file, volume(off, 4), shippedModels, { perturbed: 0 });
      expect(plan.worth.points).toBeGreaterThanOrEqual(alone.worth.points - 0.01);
    }
    expect(planKitchen(one, volume(0.2, 12), shippedModels, { perturbed: 0 })).toEqual(singles);
  });

  test('a set keeps the limits too: with one maker asked for, no other maker’s set is bought', () => {
    const school = { perturbed: 0, school: 'boxed-set' as const };
    const file = fileOf({ budget: { total: 200 }, limits: { maker: 'Oskavel' } });
    const { steps } = planKitchen(file, reference, shippedModels, school);
    expect(new Set(steps.flatMap((s) => s.maker ?? []))).toEqual(new Set(['Oskavel']));
  });

  test('the boxed-set school buys one set whole at its price, or nothing where none is affordable', () => {
    const boxed = planKitchen(fileOf({ budget: { total: 200 } }), reference, shippedModels, {
      perturbed: 0,
      school: 'boxed-set',
    });
    const ids = boxed.steps.flatMap((s) => (s.action === 'buy' ? [s.model] : [])).sort();
    const set = [...reference.sets.values()].find((b) => JSON.stringify([...b.pieces].sort()) === JSON.stringify(ids));
    expect(boxed.spent).toBeCloseTo((set?.priceMinor ?? 0) / 100, 9);
    const context = contextOf({});
    expect(
      bestSet(
        [{ pieces: context.buyable.slice(0, 2), priceMinor: 900 }],
        context.problem.demand,
        [],
        800,
        context.problem.scale,
      ),
    ).toEqual([]);
  });
});

test('the strip shares out the whole weight, and no step serves a task another would serve better', () => {
  const context = preparePlanning(
    fileOf({ owned: [{ type: 'chef', condition: 'dull' }], tools: ['peeler'] }),
    reference,
    shippedModels,
  );
  const steps = stepsOf(context, planFrom(context, { effort: QUICK }));
  const served = servedBy(context, steps);
  expect(served.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 9);
  for (const { task, score } of served) {
    const t = context.loads.findIndex((l) => l.task.id === task);
    for (const step of steps) expect(score).toBeGreaterThanOrEqual((step.scores[t] ?? 0) - 0.5 - 1e-9);
  }
});

test('more money never buys less, and the bend lies on the curve', () => {
  const { problem } = contextOf({ budget: { total: 300 } });
  const all = [...frontier(problem)].at(-1) ?? [];
  for (let i = 1; i < all.length; i++) {
    expect(all[i]?.spentMinor).toBeGreaterThan(all[i - 1]?.spentMinor ?? 0);
    expect(all[i]?.coverage).toBeGreaterThan(all[i - 1]?.coverage ?? 0);
  }
  expect(all.length).toBeGreaterThan(5);
  expect(all).toContain(knee(all));
  expect(knee(all.slice(0, 2))).toBeNull();
});
