import { afterAll, beforeAll, beforeEach, describe, expect, test, vi } from 'vitest';
import { shippedModels } from '../../data/models';
import { reference } from '../../data/reference';
import { planKitchen } from '../core/kit/plan/planKitchen';
import { fileOf } from '../core/testing/trade';
import type { Sureness } from '../core/kit/robustness/robustness';
import type { kitchenWorker as Worker } from './planner';

/** The worker of a kitchen page in this process: the questions a page asks, in the orders it may ask them. */

let worker: typeof Worker;
beforeAll(async () => {
  // what a browser lends a worker: its language, which is the one money is written in already, and the server
  vi.stubGlobal('navigator', { language: 'en-GB' });
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json([])));
  ({ kitchenWorker: worker } = await import('./planner'));
});
afterAll(() => vi.unstubAllGlobals());
beforeEach(() => worker.load());

const home = fileOf({ budget: { total: 200 } });
const poor = fileOf({ budget: { total: 60 } });
const plain = { perturbed: 0 };
const kitOf = ({ steps }: { steps: { model: string | null; price: number }[] }) =>
  steps.map(({ model, price }) => [model, price]);

test('nothing is answered before a kitchen has been asked about', async () => {
  expect(await worker.thorough(() => undefined)).toBeNull();
  expect(worker.explain({ model: 'oskavel-gyuto-210' }, 'onion-dice')).toBeNull();
  expect(await worker.rank('onion-dice')).toEqual([]);
  expect(await worker.character({ model: 'oskavel-gyuto-210' })).toBeNull();
});

describe('a plan', () => {
  test('is answered at once, then proven, telling how much may still be missing', async () => {
    const quick = worker.quick(home);
    expect(quick.plan.proof.best).toBe(false);
    const gaps: number[] = [];
    const thorough = await worker.thorough((gap) => gaps.push(gap));
    expect(thorough?.plan.proof).toMatchObject({ best: true, gap: 0 });
    expect(kitOf(thorough?.plan ?? { steps: [] })).toEqual(kitOf(planKitchen(home, reference, shippedModels, plain)));
    // each gap is told once, to a tenth of a point
    expect(gaps.every((gap, i) => gap !== gaps[i - 1])).toBe(true);
    expect(gaps.every((gap) => gap === Infinity || Math.abs(gap * 1000 - Math.round(gap * 1000)) < 1e-9)).toBe(true);
    expect(thorough?.served.length).toBeGreaterThan(0);
  });

  test('asked again after another kitchen was proven is the same as if it had been asked first', async () => {
    for (const file of [home, poor, home]) {
      worker.quick(file);
      const found = await worker.thorough(() => undefined);
      expect(kitOf(found?.plan ?? { steps: [] })).toEqual(kitOf(planKitchen(file, reference, shippedModels, plain)));
    }
  });

  test('a newer question ends the proof of an older one, and so does a stop', async () => {
    worker.quick(home);
    const older = worker.thorough(() => undefined);
    worker.quick(poor);
    const newer = worker.thorough(() => undefined);
    expect(await older).toBeNull();
    expect((await newer)?.plan.spent).toBeLessThanOrEqual(60);
    const stopped = worker.thorough(() => undefined);
    worker.stop();
    expect(await stopped).toBeNull();
  });

  test('how often each step stays is told as the runs go, a share for each step of the kit', async () => {
    worker.quick(poor);
    const plan = (await worker.thorough(() => undefined))?.plan;
    if (!plan) throw new Error('nothing is planned');
    const told: { done: number; stayed: (Sureness | null)[] }[] = [];
    await worker.sure(plan, 40, (done, stayed) => told.push({ done, stayed }));
    expect(told.map(({ done }) => done)).toEqual([20, 40]);
    for (const { stayed } of told) {
      expect(stayed).toHaveLength(plan.steps.length);
      expect(stayed.every((sure) => sure === null || sure.words.length > 0)).toBe(true);
    }
    const cut: number[] = [];
    const ended = worker.sure(plan, 4000, (done) => cut.push(done));
    worker.stop();
    await ended;
    expect(Math.max(0, ...cut)).toBeLessThan(4000);
  });
});

describe('what stands beside a plan', () => {
  test('other money and other sizes end where the plan’s own kit is', async () => {
    worker.quick(poor);
    const plan = (await worker.thorough(() => undefined))?.plan;
    const bought = plan?.steps.filter(({ action }) => action === 'buy').length ?? 0;
    const sizes: { size: number; value: number }[][] = [];
    await worker.sizes((view) => sizes.push(view.map(({ size, coverage }) => ({ size, value: coverage }))));
    const last = sizes.at(-1) ?? [];
    expect(last.map(({ size }) => size)).toEqual([1, 2, 3, 4, 5, 6]);
    expect(last[bought - 1]?.value).toBeCloseTo(plan?.coverage.all ?? 0, 2);
    let curve: { coverage: number }[] = [];
    await worker.money((view) => (curve = view.points));
    expect(curve.length).toBeGreaterThan(3);
    curve.forEach(({ coverage }, i) => expect(coverage).toBeGreaterThanOrEqual((curve[i - 1]?.coverage ?? 0) - 1e-9));
  });

  test('every school is told once; a newer question ends them', async () => {
    const told: string[] = [];
    expect(await worker.schools(poor, ({ id }) => told.push(id))).toBe(true);
    expect(told.length).toBeGreaterThanOrEqual(9);
    expect(new Set(told).size).toBe(told.length);
    const cut: string[] = [];
    const ended = worker.schools(poor, ({ id }) => {
      cut.push(id);
      worker.stop();
    });
    expect(await ended).toBe(false);
    expect(cut).toHaveLength(1);
  });

  test('a kitchen planned beside the present one leaves the present one as it is', async () => {
    worker.quick(poor);
    const beside = await worker.beside(home);
    expect(beside?.plan.spent).toBeGreaterThan(60);
    expect((await worker.thorough(() => undefined))?.plan.spent).toBeLessThanOrEqual(60);
  });
});

test('a score is taken apart for a model and for an owned knife, for what is there', () => {
  worker.quick(fileOf({ owned: [{ type: 'chef', condition: 'keen' }] }));
  const model = worker.explain({ model: 'oskavel-gyuto-210' }, 'onion-dice');
  expect(model?.parts.map(({ id }) => id)).toContain('motion');
  expect(model?.score).toBeGreaterThan(50);
  expect(worker.explain({ owned: 0 }, 'onion-dice')?.score).toBeGreaterThan(50);
  expect(worker.explain({ owned: 1 }, 'onion-dice')).toBeNull();
  expect(worker.explain({ model: 'no-such' }, 'onion-dice')).toBeNull();
  expect(worker.explain({ model: 'oskavel-gyuto-210' }, 'no-task')).toBeNull();
});
