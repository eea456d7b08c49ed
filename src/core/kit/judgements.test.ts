import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../formats/kitchenFile';
import type { Plan, PlanStep } from '../formats/planFile';
import { fileOf } from '../testing/trade';
import { planKitchen } from './planKitchen';

/** What someone experienced would say of whole kitchens, told the way people tell it: by meals, habits and what is owned. */

const plan = (file: Partial<KitchenFile>): Plan =>
  planKitchen(fileOf(file), reference, shippedModels, { perturbed: 0 });
const buys = (p: Plan) => p.steps.filter((s) => s.action === 'buy');
const needs = (p: Plan) => p.steps.filter((s) => s.need === 'need');
const roleOf = (step: PlanStep | undefined) => reference.types.get(step?.type ?? '')?.role ?? '';
const is = (step: PlanStep | undefined, ...types: string[]) => types.includes(step?.type ?? '');
const general = (step: PlanStep | undefined) => ['general', 'vegetable'].includes(roleOf(step));
const mainOf = (p: Plan) => buys(p).find(general);
const cuisines = (...ids: string[]) => ids.map((id) => ({ id }));
const weekly = (id: string, times = 1, amount = 1) => ({ id, times, per: 'week' as const, amount });

const FLESH = [
  'boning-stiff',
  'boning-flexible',
  'fillet',
  'carving',
  'slicer',
  'sujihiki',
  'honesuki',
  'garasuki',
  'hankotsu',
  'deba',
  'mioroshi-deba',
  'yanagiba',
  'takohiki',
  'scimitar',
  'meat-cleaver',
];
const REACTIVE = ['semi-stainless', 'plain-carbon', 'alloyed-carbon', 'tough-carbon', 'clad-carbon'];

describe('what is never eaten', () => {
  test.each([
    ['indian', 'vegetable-led'],
    ['everyday-western', 'italian'],
    ['chinese-home', 'japanese-home'],
    ['french', 'italian'],
  ])(
    'no meat, no fish, %s and %s: no blade for flesh among the needs, a vegetable or general knife within the first two',
    (...ids) => {
      const p = plan({
        avoids: ['meat', 'poultry', 'fish', 'shellfish'],
        cooking: { cuisines: cuisines(...ids) },
        budget: { total: 350 },
      });
      for (const step of needs(p)) expect(FLESH).not.toContain(step.type);
      expect(
        buys(p)
          .slice(0, 2)
          .some((s) => is(s, 'nakiri', 'santoku', 'bunka', 'veg-cleaver')),
      ).toBe(true);
    },
  );

  test.each(['everyday-western', 'baking', 'french', 'british-irish'])(
    'no bread, %s: no bread knife among the needs',
    (id) => {
      const p = plan({ avoids: ['bread'], cooking: { cuisines: cuisines(id) } });
      expect(needs(p).some((s) => s.type === 'bread')).toBe(false);
    },
  );

  test('no gluten is no bread either', () => {
    expect(needs(plan({ avoids: ['gluten'] })).some((s) => s.type === 'bread')).toBe(false);
  });
});

describe('fish', () => {
  const shore = (
    experience: 'trained' | 'new',
    upkeep: 'wipes-during' | 'wipes-after' = 'wipes-during',
  ): Partial<KitchenFile> => ({
    cooks: [{ experience }],
    habits: { upkeep, sharpening: 'stones' },
    cooking: {
      mealsPerWeek: 5,
      cuisines: [
        { id: 'raw-fish', share: 2 },
        { id: 'japanese-home', share: 2 },
        { id: 'everyday-western', share: 1 },
      ],
      tasks: [weekly('raw-fish-slice', 2, 4), weekly('fish-head-off', 1, 2), weekly('fish-fillet-round', 1, 2)],
    },
    budget: { total: 900 },
    limits: { maxKnives: 6 },
  });

  test('a trained hand gets a long slicer and a fish-breaking blade within the first four', () => {
    const first = buys(plan(shore('trained'))).slice(0, 4);
    expect(first.some((s) => is(s, 'yanagiba', 'takohiki', 'sujihiki', 'slicer') && (s.lengthMm ?? 0) >= 230)).toBe(
      true,
    );
    expect(first.some((s) => is(s, 'deba', 'mioroshi-deba', 'funayuki'))).toBe(true);
  });

  test('a new cook with the same fish gets no single bevel at all', () => {
    for (const step of buys(plan(shore('new', 'wipes-after')))) expect(step.bevel, step.name).not.toBe('single');
  });
});

describe('hand and board', () => {
  test.each(['everyday-western', 'italian', 'chinese-home', 'vegetable-led'])(
    'a small hand on a small board, %s: 140–180 mm',
    (id) => {
      const main = mainOf(
        plan({
          cooks: [{ handLengthMm: 160 }],
          board: { lengthMm: 280, widthMm: 200 },
          cooking: { cuisines: cuisines(id) },
        }),
      );
      expect(main?.lengthMm).toBeGreaterThanOrEqual(140);
      expect(main?.lengthMm).toBeLessThanOrEqual(180);
    },
  );

  test.each(['everyday-western', 'indian', 'grill-and-roast'])(
    'a large hand, a large board and batches, %s: 230 mm or more, 46 mm at the heel',
    (id) => {
      const main = mainOf(
        plan({
          cooks: [{ handLengthMm: 210 }],
          board: { lengthMm: 600, widthMm: 400 },
          cooking: { cuisines: cuisines(id), portions: 12, mealsPerWeek: 10 },
          budget: { total: 400 },
        }),
      );
      expect(main?.lengthMm).toBeGreaterThanOrEqual(230);
      expect(main?.heelHeightMm).toBeGreaterThanOrEqual(46);
    },
  );
});

describe('bones', () => {
  const butcher: Partial<KitchenFile> = {
    habits: { bones: true },
    cooking: {
      cuisines: cuisines('grill-and-roast'),
      tasks: [weekly('stock-bones-chop', 1, 2), weekly('ribs-chop', 1, 2)],
    },
    budget: { total: 450 },
  };

  test('carcasses and ribs every week: a soft thick cleaver', () => {
    const cleaver = buys(plan(butcher)).find((s) => s.type === 'meat-cleaver');
    expect(cleaver?.hrc).toBeLessThan(60);
    expect(cleaver?.takesOver.map((t) => t.task)).toContain('stock-bones-chop');
  });

  test.each(['new', 'home', 'trained'] as const)(
    'nothing of 60 HRC or more is given a bone task by a %s cook',
    (experience) => {
      for (const step of plan({ ...butcher, cooks: [{ experience }] }).steps)
        if ((step.hrc ?? 0) >= 60)
          for (const { task } of step.takesOver)
            expect(['stock-bones-chop', 'ribs-chop', 'crab-lobster-split']).not.toContain(task);
    },
  );
});

describe('the way of cutting', () => {
  const cutting = (motions: Record<string, number>) => mainOf(plan({ cooks: [{ motions }], budget: { total: 250 } }));
  const belly = (step: PlanStep | undefined) => shippedModels.find((m) => m.id === step?.model)?.flatShare ?? 0;

  test('who rocks everything gets a bellied knife; who chops straight down a flat one', () => {
    expect(is(cutting({ rock: 1 }), 'chef', 'gyuto')).toBe(true);
    expect(is(cutting({ chop: 1 }), 'santoku', 'nakiri', 'veg-cleaver', 'bunka', 'gyuto')).toBe(true);
    expect(belly(cutting({ rock: 1 }))).toBeLessThan(belly(cutting({ chop: 1 })));
  });

  test('unsure: neither extreme', () => {
    const flat = belly(cutting({}));
    expect(flat).toBeGreaterThan(0.15);
    expect(flat).toBeLessThan(0.85);
  });
});

describe('how knives are treated', () => {
  test('a shared house with a machine: stainless, 59 HRC or softer, modest, and a warning', () => {
    const p = plan({ habits: { roughUse: true, dishwasher: true, upkeep: 'leaves-wet' }, budget: { total: 220 } });
    const main = mainOf(p);
    expect(REACTIVE).not.toContain(main?.steel);
    expect(main?.hrc).toBeLessThanOrEqual(59);
    expect(main?.price).toBeLessThanOrEqual(110);
    expect(shippedModels.find((m) => m.id === main?.model)?.handleStyle).toMatch(/western|moulded|metal/);
    expect(p.warnings.join(' ')).toContain('dishwasher');
  });

  const acid = [
    weekly('tomato-slice', 7, 2),
    weekly('citrus-segment', 7, 2),
    weekly('fruit-peel', 5),
    weekly('onion-dice', 5),
  ];
  test.each([150, 300, 600])(
    'acid produce daily and knives left wet, %i to spend: no reactive steel anywhere',
    (total) => {
      const p = plan({
        habits: { upkeep: 'leaves-wet' },
        cooking: { mealsPerWeek: 0, tasks: acid },
        budget: { total },
      });
      for (const step of buys(p)) expect(REACTIVE, step.name).not.toContain(step.steel);
    },
  );

  test('the same produce wiped as one goes, with own stones: carbon is allowed', () => {
    const p = plan({
      habits: { upkeep: 'wipes-during', sharpening: 'stones' },
      cooking: { mealsPerWeek: 0, tasks: acid },
      limits: { steel: 'clad-carbon' },
      budget: { total: 400 },
    });
    expect(buys(p).length).toBeGreaterThan(0);
    expect(p.coverage.all).toBeGreaterThan(0.6);
  });
});

test.each([200, 350])('two cooks at once, %i to spend: two general knives before the first specialist', (total) => {
  const p = plan({
    cooks: [{ name: 'a' }, { name: 'b', handLengthMm: 170 }],
    cooksAtOnce: 2,
    cooking: { mealsPerWeek: 10, portions: 4 },
    budget: { total },
    limits: { maxKnives: 7 },
  });
  const second = buys(p).map(general).indexOf(true, 1);
  const specialist = buys(p).findIndex((s) => ['slicer', 'butchery', 'fish', 'table', 'other'].includes(roleOf(s)));
  expect(second).toBeGreaterThan(0);
  if (specialist >= 0) expect(second).toBeLessThan(specialist);
});

describe('what is owned', () => {
  test.each(['chef', 'gyuto', 'santoku'])(
    'a decent dull %s: the first step is to sharpen it, not to buy its equal',
    (type) => {
      const p = plan({ owned: [{ type, condition: 'dull', use: 'daily' }] });
      expect(p.steps[0]).toMatchObject({ action: 'sharpen', type });
      const yours = p.steps[0]?.lengthMm ?? 0;
      expect(
        p.steps
          .slice(0, 3)
          .some((s) => s.action === 'buy' && s.type === type && Math.abs((s.lengthMm ?? 0) - yours) < 20),
      ).toBe(false);
    },
  );

  test.each([30, 35, 40])('%i to spend: one usable general knife, nothing that robs it', (total) => {
    const p = plan({ budget: { total } });
    expect(buys(p)).toHaveLength(1);
    expect(general(buys(p)[0])).toBe(true);
  });
});

test.each(['raw-fish', 'japanese-home', 'everyday-western'])(
  'left-handed, %s: nothing ground or handled for the right hand',
  (id) => {
    const p = plan({
      cooks: [{ handed: 'left', experience: 'trained' }],
      habits: { upkeep: 'wipes-during' },
      cooking: { cuisines: cuisines(id) },
      budget: { total: 900 },
    });
    expect(buys(p).length).toBeGreaterThan(1);
    for (const step of buys(p)) {
      expect(step.handed).not.toBe('right');
      expect(shippedModels.find((m) => m.id === step.model)?.handleHanded).not.toBe('right');
    }
  },
);

describe('roasts and loaves', () => {
  const eats = (roasts: number, loaves: number, per: 'week' | 'year'): Partial<KitchenFile> => ({
    cooking: {
      mealsPerWeek: 6,
      cuisines: cuisines('vegetable-led'),
      tasks: [
        { id: 'roast-carve', times: roasts, per, amount: 1 },
        { id: 'crusty-loaf', times: loaves, per, amount: 1 },
      ],
    },
    budget: { total: 350 },
  });
  const slicer = (s: PlanStep) => roleOf(s) === 'slicer';

  test('a roast once a year: a slicer is at most a want', () => {
    expect(needs(plan(eats(1, 1, 'year'))).some(slicer)).toBe(false);
  });

  test('twice a week: a slicer and a serrated knife are both needs', () => {
    const p = plan(eats(2, 2, 'week'));
    expect(needs(p).some(slicer)).toBe(true);
    expect(needs(p).some((s) => roleOf(s) === 'serrated')).toBe(true);
  });
});

describe('peeling', () => {
  test('a peeler owned and the school of two and a peeler: no paring knife', () => {
    const p = planKitchen(fileOf({ tools: ['peeler'] }), reference, shippedModels, {
      perturbed: 0,
      school: 'two-and-peeler',
    });
    expect(p.steps.slice(0, 3).some((s) => roleOf(s) === 'small')).toBe(false);
  });

  test('peeling and hulling in the hand every day: a short hand knife', () => {
    const p = plan({
      cooking: {
        mealsPerWeek: 5,
        cuisines: cuisines('everyday-western'),
        tasks: [weekly('strawberry-hull', 7, 2), weekly('fruit-peel', 7, 3), weekly('tomato-core', 5)],
      },
    });
    expect(p.steps.slice(0, 3).some((s) => roleOf(s) === 'small' && (s.lengthMm ?? 999) < 110)).toBe(true);
  });
});
