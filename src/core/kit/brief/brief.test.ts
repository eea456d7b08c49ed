import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { BRIEF_FIGURES, type StepBrief } from '../../formats/briefFile';
import type { KitchenFile } from '../../formats/kitchenFile';
import { toMinor } from '../../money/currency';
import { anyKitchen } from '../../testing/arbitrary';
import { fileOf } from '../../testing/trade';
import { preparePlanning } from '../context/planningContext';
import { stepsOf } from '../plan/plan';
import { planKitchen, planProven } from '../plan/planKitchen';
import { toTheEnd } from '../search/sizes';
import { briefing, briefKitchen } from './brief';
import { briefedSteps } from './trial';
import { labelledBlade, outsideOf, readLabel } from './label';
import { changed, offered, worstCorner, type Ranges } from './ranges';
import { Trial } from './trial';
import { judgeLabel } from './verdict';

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

describe('what a label says', () => {
  test.each<[string, Partial<ReturnType<typeof readLabel>>]>([
    ['Gyuto 21 cm, 60 HRC, 165 g, €89', { lengthMm: 210, hrc: 60, weightG: 165, price: 89 }],
    ['8" chef’s knife, stainless, riveted handle', { lengthMm: 203.2, steel: 'mid-stainless', handleStyle: 'western' }],
    ['Blade length: 165 mm · Height 48mm · Weight: 5.6 oz', { lengthMm: 165, heelHeightMm: 48, weightG: 159 }],
    ['Spine 2,2 mm, edge 15° per side, 58-60 HRC', { spineHeelMm: 2.2, edgeAngleDeg: 15, hrc: 58 }],
    ['sharpened to 30° inclusive', { edgeAngleDeg: 15 }],
    [
      'Single bevel, octagon handle, white carbon steel, 270mm',
      { bevel: 'single', handleStyle: 'octagon', steel: 'plain-carbon', lengthMm: 270 },
    ],
    ['Serrated bread knife 10 inch, $24.50', { lengthMm: 254, serrated: true, price: 24.5 }],
    ['a fine knife', { lengthMm: null, hrc: null, price: null, steel: null, weightG: null }],
  ])('%s', (text, expected) => expect(readLabel(text)).toMatchObject(expected));

  test('text of any kind is read without a fault, and what is read lies within what knives are', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        const { lengthMm, weightG, hrc } = readLabel(text);
        if (lengthMm !== null) expect(lengthMm >= 40 && lengthMm <= 450).toBe(true);
        if (weightG !== null) expect(weightG >= 15 && weightG <= 1500).toBe(true);
        if (hrc !== null) expect(hrc >= 48 && hrc <= 69).toBe(true);
      }),
    );
  });

  let known: ReturnType<typeof briefed> | null = null;
  const at = (text: string, typeId: string) => {
    const { planned, steps } = (known ??= briefed(fileOf({ budget: { total: 150 }, limits: { must: ['chef'] } })));
    const found = steps.find(({ step }) => step.type === 'chef');
    const type = reference.types.get(typeId);
    if (!found || !type) throw new Error('no chef’s knife');
    const verdict = judgeLabel(planned, found.step, found.brief, type, readLabel(text));
    if (!verdict) throw new Error('no verdict');
    return { verdict, brief: found.brief };
  };

  test('what is missing is the kind’s usual build and marked; what is outside the brief is named; prices decide', () => {
    const { verdict, brief } = at('200 mm, €20', 'chef');
    expect(verdict.assumed).toContain('weightG');
    expect(verdict.assumed).not.toContain('lengthMm');
    expect(verdict.blade.lengthMm).toBe(200);
    expect(verdict.word).toBe('buy');
    expect(verdict.goodUpTo).toBeGreaterThan(20);
    const dear = at(`200 mm, €${Math.ceil(verdict.goodUpTo) + 10}`, 'chef').verdict;
    expect(dear.word).toBe('only below');
    expect(dear.goodUpTo).toBe(verdict.goodUpTo);
    const long = at('330 mm, 400 g, €20', 'chef').verdict;
    expect(long.outside.map(({ figure }) => figure)).toContain('lengthMm');
    expect(long.points).toBeLessThan(verdict.points);
    expect(long.loss).not.toBeNull();
    expect(at('200 mm serrated, €20', 'chef').verdict.goodUpTo).toBeLessThan(verdict.goodUpTo);
    expect(at('60 mm, €20', 'birds-beak').verdict.word).not.toBe('buy');
    expect(toMinor(brief.priceUpTo, 'EUR')).toBeGreaterThan(0);
  });

  test('figures that are only assumed are not held against a knife', () => {
    const chef = reference.types.get('chef');
    if (!chef) throw new Error('no chef’s knife');
    const labelled = labelledBlade(chef, readLabel('200 mm'), 'right');
    const ranges: StepBrief['ranges'] = {
      lengthMm: [190, 210],
      heelHeightMm: [1, 2],
      weightG: [1, 2],
      hrc: null,
      spineHeelMm: null,
      behindEdgeMm: [5, 6],
      edgeAngleDeg: null,
    };
    expect(outsideOf(labelled, { ranges })).toEqual([]);
    const known = labelledBlade(chef, readLabel('220 mm, 180 g'), 'right');
    expect(outsideOf(known, { ranges }).map(({ figure }) => figure)).toEqual(['lengthMm', 'weightG']);
  });
});

test('the brief of a kitchen is the same each time', () => {
  const brief = briefKitchen(home, reference, shippedModels);
  expect(brief.steps.length).toBeGreaterThan(1);
  expect(briefKitchen(home, reference, shippedModels)).toEqual(brief);
  expect(brief.steps.every(({ inWords }) => /^An? .+ of \d+.* mm.* Up to €/.test(inWords))).toBe(true);
});
