import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { afterAll, describe, expect, test } from 'vitest';
import { z } from 'zod';
import { shippedModels } from '../data/models';
import { reference } from '../data/reference';
import type { KitchenFile } from '../src/core/formats/kitchenFile';

/**
 * What someone experienced would say of whole kitchens, told the way people tell it: by meals, habits and what is owned. Kitchen files go
 * in and plans come out of the command, two at a time.
 */

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const folder = mkdtempSync(join(tmpdir(), 'kitchens-'));
afterAll(() => rmSync(folder, { recursive: true }));
let written = 0;

const stepSchema = z.object({
  action: z.enum(['buy', 'sharpen', 'repair', 'tool', 'retire']),
  need: z.enum(['need', 'want']),
  type: z.string().nullable(),
  model: z.string().nullable(),
  name: z.string(),
  lengthMm: z.number().nullable(),
  heelHeightMm: z.number().nullable(),
  hrc: z.number().nullable(),
  steel: z.string().nullable(),
  bevel: z.string().nullable(),
  handed: z.string().nullable(),
  price: z.number(),
  takesOver: z.array(z.object({ task: z.string() })),
});
const planSchema = z.object({
  coverage: z.object({ all: z.number() }),
  steps: z.array(stepSchema),
  spent: z.number(),
  warnings: z.array(z.string()),
});
type PlanStep = z.infer<typeof stepSchema>;
type Plan = z.infer<typeof planSchema>;

const running = promisify(execFile);
async function plan(file: Partial<KitchenFile>, ...more: string[]): Promise<Plan> {
  const path = join(folder, `${written++}.json`);
  writeFileSync(path, JSON.stringify({ format: 'scabbard.kitchen', version: 1, ...file }));
  const { stdout } = await running('npm', ['run', '-s', 'plan', '--', path, ...more], { cwd: root });
  return planSchema.parse(JSON.parse(stdout));
}
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

describe.concurrent('a first kit', () => {
  test.each(['everyday-western', 'italian', 'baking', 'mexican'])(
    'a new cook, %s, nothing owned, 200 to spend: a stainless general knife, a small one and teeth',
    async (id) => {
      const p = await plan({
        cooks: [{ experience: 'new' }],
        cooking: { cuisines: cuisines(id, 'everyday-western') },
        budget: { total: 200 },
      });
      const [main] = buys(p);
      expect(is(main, 'chef', 'gyuto', 'santoku', 'bunka')).toBe(true);
      expect(REACTIVE).not.toContain(main?.steel);
      expect(main?.lengthMm).toBeGreaterThanOrEqual(165);
      expect(main?.lengthMm).toBeLessThanOrEqual(215);
      const three = buys(p).slice(0, 3).map(roleOf);
      expect(three).toContain('small');
      expect(three).toContain('serrated');
      const knives = needs(p).filter((s) => s.action === 'buy');
      expect(knives.length).toBeGreaterThanOrEqual(2);
      expect(knives.length).toBeLessThanOrEqual(4);
      const teeth = buys(p).find((s) => roleOf(s) === 'serrated');
      expect(teeth?.price).toBeLessThan(main?.price ?? 0);
      expect(p.spent).toBeLessThanOrEqual(200);
    },
  );
});

describe.concurrent('what is never eaten', () => {
  test.each([
    ['indian', 'vegetable-led'],
    ['everyday-western', 'italian'],
    ['chinese-home', 'japanese-home'],
    ['french', 'italian'],
  ])(
    'no meat, no fish, %s and %s: no blade for flesh among the needs, a vegetable or general knife within the first two',
    async (...ids) => {
      const p = await plan({
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
    async (id) => {
      const p = await plan({ avoids: ['bread'], cooking: { cuisines: cuisines(id) } });
      expect(needs(p).some((s) => s.type === 'bread')).toBe(false);
    },
  );

  test('no gluten is no bread either', async () => {
    expect(needs(await plan({ avoids: ['gluten'] })).some((s) => s.type === 'bread')).toBe(false);
  });
});

describe.concurrent('fish', () => {
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

  test('a trained hand gets a long slicer and a fish-breaking blade within the first four', async () => {
    const first = buys(await plan(shore('trained'))).slice(0, 4);
    expect(first.some((s) => is(s, 'yanagiba', 'takohiki', 'sujihiki', 'slicer') && (s.lengthMm ?? 0) >= 230)).toBe(
      true,
    );
    expect(first.some((s) => is(s, 'deba', 'mioroshi-deba', 'funayuki'))).toBe(true);
  });

  test('a new cook with the same fish gets no single bevel at all', async () => {
    for (const step of buys(await plan(shore('new', 'wipes-after')))) expect(step.bevel, step.name).not.toBe('single');
  });
});

describe.concurrent('hand and board', () => {
  test.each(['everyday-western', 'italian', 'chinese-home', 'vegetable-led'])(
    'a small hand on a small board, %s: 140–180 mm',
    async (id) => {
      const main = mainOf(
        await plan({
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
    async (id) => {
      const main = mainOf(
        await plan({
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

describe.concurrent('bones', () => {
  const butcher: Partial<KitchenFile> = {
    habits: { bones: true },
    cooking: {
      cuisines: cuisines('grill-and-roast'),
      tasks: [weekly('stock-bones-chop', 1, 2), weekly('ribs-chop', 1, 2)],
    },
    budget: { total: 450 },
  };

  test('carcasses and ribs every week: a soft thick cleaver', async () => {
    const cleaver = buys(await plan(butcher)).find((s) => s.type === 'meat-cleaver');
    expect(cleaver?.hrc).toBeLessThan(60);
    expect(cleaver?.takesOver.map((t) => t.task)).toContain('stock-bones-chop');
  });

  test.each(['new', 'home', 'trained'] as const)(
    'nothing of 60 HRC or more is given a bone task by a %s cook',
    async (experience) => {
      for (const step of (await plan({ ...butcher, cooks: [{ experience }] })).steps)
        if ((step.hrc ?? 0) >= 60)
          for (const { task } of step.takesOver)
            expect(['stock-bones-chop', 'ribs-chop', 'crab-lobster-split']).not.toContain(task);
    },
  );
});

describe.concurrent('the way of cutting', () => {
  const cutting = async (motions: Record<string, number>) =>
    mainOf(await plan({ cooks: [{ motions }], budget: { total: 250 } }));
  const flat = (step: PlanStep | undefined) => shippedModels.find((m) => m.id === step?.model)?.flatShare ?? 0;

  test('who rocks everything gets a bellied knife; who chops straight down a flat one', async () => {
    const [rocks, chops] = await Promise.all([cutting({ rock: 1 }), cutting({ chop: 1 })]);
    expect(is(rocks, 'chef', 'gyuto')).toBe(true);
    expect(is(chops, 'santoku', 'nakiri', 'veg-cleaver', 'bunka', 'gyuto')).toBe(true);
    expect(flat(rocks)).toBeLessThan(flat(chops));
  });

  test('unsure: neither extreme', async () => {
    const unsure = flat(await cutting({}));
    expect(unsure).toBeGreaterThan(0.15);
    expect(unsure).toBeLessThan(0.85);
  });
});

describe.concurrent('how knives are treated', () => {
  test('a shared house with a machine: stainless, 59 HRC or softer, modest, and a warning', async () => {
    const p = await plan({
      habits: { roughUse: true, dishwasher: true, upkeep: 'leaves-wet' },
      budget: { total: 220 },
    });
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
    async (total) => {
      const p = await plan({
        habits: { upkeep: 'leaves-wet' },
        cooking: { mealsPerWeek: 0, tasks: acid },
        budget: { total },
      });
      for (const step of buys(p)) expect(REACTIVE, step.name).not.toContain(step.steel);
    },
  );

  test('the same produce wiped as one goes, with own stones: carbon is allowed', async () => {
    const p = await plan({
      habits: { upkeep: 'wipes-during', sharpening: 'stones' },
      cooking: { mealsPerWeek: 0, tasks: acid },
      limits: { steel: 'clad-carbon' },
      budget: { total: 400 },
    });
    expect(buys(p).length).toBeGreaterThan(0);
    expect(p.coverage.all).toBeGreaterThan(0.6);
  });
});

test.concurrent.each([200, 350])(
  'two cooks at once, %i to spend: two general knives before the first specialist',
  async (total) => {
    const p = await plan({
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
  },
);

describe.concurrent('what is owned', () => {
  test.each(['chef', 'gyuto', 'santoku'])(
    'a decent dull %s: the first step is to sharpen it, not to buy its equal',
    async (type) => {
      const p = await plan({ owned: [{ type, condition: 'dull', use: 'daily' }] });
      expect(p.steps[0]).toMatchObject({ action: 'sharpen', type });
      const yours = p.steps[0]?.lengthMm ?? 0;
      expect(
        p.steps
          .slice(0, 3)
          .some((s) => s.action === 'buy' && s.type === type && Math.abs((s.lengthMm ?? 0) - yours) < 20),
      ).toBe(false);
    },
  );

  test.each([30, 35, 40])('%i to spend: one usable general knife, nothing that robs it', async (total) => {
    const p = await plan({ budget: { total } });
    expect(buys(p)).toHaveLength(1);
    expect(general(buys(p)[0])).toBe(true);
  });
});

test.concurrent.each(['raw-fish', 'japanese-home', 'everyday-western'])(
  'left-handed, %s: nothing ground or handled for the right hand',
  async (id) => {
    const p = await plan({
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

describe.concurrent('roasts and loaves', () => {
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

  test('a roast once a year: a slicer is at most a want', async () => {
    expect(needs(await plan(eats(1, 1, 'year'))).some(slicer)).toBe(false);
  });

  test('twice a week: a slicer and a serrated knife are both needs', async () => {
    const p = await plan(eats(2, 2, 'week'));
    expect(needs(p).some(slicer)).toBe(true);
    expect(needs(p).some((s) => roleOf(s) === 'serrated')).toBe(true);
  });
});

describe.concurrent('peeling', () => {
  test('a peeler owned and the school of two and a peeler: no paring knife', async () => {
    const p = await plan({ tools: ['peeler'] }, '--school', 'two-and-peeler');
    expect(p.steps.slice(0, 3).some((s) => roleOf(s) === 'small')).toBe(false);
  });

  test('peeling and hulling in the hand every day: a short hand knife', async () => {
    const p = await plan({
      cooking: {
        mealsPerWeek: 5,
        cuisines: cuisines('everyday-western'),
        tasks: [weekly('strawberry-hull', 7, 2), weekly('fruit-peel', 7, 3), weekly('tomato-core', 5)],
      },
    });
    expect(p.steps.slice(0, 3).some((s) => roleOf(s) === 'small' && (s.lengthMm ?? 999) < 110)).toBe(true);
  });
});
