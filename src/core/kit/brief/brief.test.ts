import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { BRIEF_FIGURES } from '../../formats/briefFile';
import type { KitchenFile } from '../../formats/kitchenFile';
import { anyKitchen } from '../../testing/arbitrary';
import { fileOf } from '../../testing/trade';
import { preparePlanning } from '../context/planningContext';
import { stepsOf } from '../plan/plan';
import { planKitchen, planProven } from '../plan/planKitchen';
import { toTheEnd } from '../search/sizes';
import { briefing, briefKitchen } from './brief';
import { briefedSteps } from './trial';
import { changed, offered, worstCorner, type Ranges } from './ranges';
import { Trial } from './trial';

/** A kitchen's plan with the brief of each purchase, or of those of one kind, and what it was tried on. */
function briefed(file: KitchenFile, only?: string) {
  const context = preparePlanning(file, reference, shippedModels);
  const planned = planProven(context);
  const kit = stepsOf(planned.context, planned.plan);
  return {
    context,
    planned,
    steps: briefedSteps(planned.plan).flatMap((step) => {
      if (only !== undefined && step.type !== only) return [];
      const brief = toTheEnd(briefing(context, planned, step));
      const candidate = kit.find((c) => c.action === 'buy' && c.id === step.model);
      return brief && candidate?.type
        ? [{ step, brief, type: candidate.type, trial: new Trial(planned.context, kit, candidate) }]
        : [];
    }),
  };
}

const home = fileOf({ budget: { total: 200 }, cooking: { cuisines: [{ id: 'everyday-western' }, { id: 'baking' }] } });

describe('ranges', () => {
  test('in any kitchen they hold their pick, cost less than half a point at every corner, and what is not stated costs nothing', () => {
    fc.assert(
      fc.property(anyKitchen, (file) => {
        for (const { brief, trial, type } of briefed(file).steps) {
          const { ranges, pick } = brief;
          for (const figure of BRIEF_FIGURES) {
            const range = ranges[figure];
            const value = pick[figure];
            if (range && value !== null) {
              expect(range[0], figure).toBeLessThanOrEqual(value);
              expect(range[1], figure).toBeGreaterThanOrEqual(value);
            } else if (value !== null)
              for (const end of offered(type, trial.pick, figure) ?? [])
                expect(trial.drop(changed(trial.pick, figure, end)), figure).toBeLessThan(0.5);
          }
          expect(worstCorner(trial, ranges as Ranges)).toBeLessThan(0.5);
          expect(brief.ask).toHaveLength(3);
          expect(brief.inTheHand.length).toBeGreaterThanOrEqual(4);
        }
      }),
      { numRuns: 5 },
    );
  });

  test('ranges are no narrower than they have to be: twice as wide they lose half a point at some corner, and each leaves room', () => {
    const all = [home, fileOf({ budget: { total: 500 } })].flatMap((file) => briefed(file).steps);
    expect(all.length).toBeGreaterThan(5);
    for (const { brief, trial, type } of all) {
      const wider: Ranges = { ...brief.ranges };
      let bounded = false;
      for (const figure of BRIEF_FIGURES) {
        const [range, limits, value] = [brief.ranges[figure], offered(type, trial.pick, figure), trial.pick[figure]];
        if (!range || !limits || value === null) continue;
        bounded ||= range[0] > limits[0] + 2 || range[1] < limits[1] - 2;
        wider[figure] = [
          Math.max(limits[0], value - 2 * (value - range[0])),
          Math.min(limits[1], value + 2 * (range[1] - value)),
        ];
        expect(range[1] - range[0], `${trial.pick.id} ${figure}`).toBeGreaterThan(0);
      }
      if (bounded) expect(worstCorner(trial, wider), trial.pick.id).toBeGreaterThan(0.5);
    }
  });

  test('what rules a knife out is stated: the wrong hand, wood on a kitchen that washes by machine, teeth for bread', () => {
    const told = (file: Partial<KitchenFile>, type: string) => {
      const [step] = briefed(fileOf({ budget: { total: 150 }, ...file }), type).steps;
      const brief = step?.brief;
      expect(brief, type).toBeDefined();
      return { must: brief?.must.join('; ') ?? '', avoid: brief?.avoid.join('; ') ?? '' };
    };
    const left = told({ cooks: [{ handed: 'left' }], limits: { must: ['santoku'] } }, 'santoku');
    expect(`${left.must}; ${left.avoid}`).toMatch(/evenly on both sides|right hand/);
    const bread = told({ cooking: { cuisines: [{ id: 'baking' }] }, limits: { must: ['bread'] } }, 'bread');
    expect(`${bread.must}; ${bread.avoid}`).toMatch(/without teeth/);
    const washed = told({ habits: { dishwasher: true }, limits: { must: ['chef'] } }, 'chef');
    expect(`${washed.must}; ${washed.avoid}`).toMatch(/stainless steel|carbon steel/);
  });
});

describe('the walk-away price', () => {
  const atPrice = (file: KitchenFile, id: string, price: number) => {
    const models = shippedModels.map((m) => (m.id === id ? { ...m, priceMinor: Math.round(100 * price) } : m));
    return planKitchen(file, reference, models, { perturbed: 0 }).steps.some((s) => s.model === id);
  };

  test.each([
    ['a home cook', home],
    ['a trained cook', fileOf({ cooks: [{ experience: 'trained' }], budget: { total: 800 } })],
    ['money by the month', fileOf({ budget: { perMonth: 15 } })],
  ])('%s: at that price it is bought, a little above it is not', (_, file) => {
    const { steps } = briefed(file);
    expect(steps.length).toBeGreaterThan(0);
    for (const { step, brief } of steps) {
      const id = step.model ?? '';
      expect(brief.priceUpTo).toBeGreaterThanOrEqual(step.price);
      expect(atPrice(file, id, brief.priceUpTo), `${id} at ${brief.priceUpTo}`).toBe(true);
      if (brief.instead === null) continue;
      const above = brief.priceUpTo + Math.max(0.02, 0.011 * step.price);
      expect(atPrice(file, id, above), `${id} above ${brief.priceUpTo}`).toBe(false);
    }
  });
});

test('the brief of a kitchen is the same each time', () => {
  const brief = briefKitchen(home, reference, shippedModels);
  expect(brief.steps.length).toBeGreaterThan(1);
  expect(briefKitchen(home, reference, shippedModels)).toEqual(brief);
  expect(brief.steps.every(({ inWords }) => /^An? .+ of \d+.* mm.* Up to €/.test(inWords))).toBe(true);
});
