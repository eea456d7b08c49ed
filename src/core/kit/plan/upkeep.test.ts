import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import type { KitchenFile } from '../../formats/kitchenFile';
import { kitSteps, perStep } from '../../formats/planSteps';
import { contextOf, fileOf } from '../../testing/trade';
import { bought } from '../../kitchen/changes';
import { planFrom } from './plan';
import { planKitchen } from './planKitchen';

const plan = (file: Partial<KitchenFile>, perturbed = 0) =>
  planKitchen(fileOf(file), reference, shippedModels, { perturbed });
const upkeep = (file: Partial<KitchenFile>) => plan(file).steps.filter((s) => s.upkeep);

const money = { total: 300 };

describe('what keeps the kit', () => {
  test('nothing where nothing is wanted, and coverage is the same with it and without', () => {
    expect(upkeep({ budget: money })).toEqual([]);
    const kept = { budget: money, habits: { honing: 'steel', sharpening: 'stones', storage: 'loose' } } as const;
    const with_ = plan(kept);
    const bare = plan({ ...kept, limits: { never: ['honing-steel', 'honing-ceramic', 'stone-medium', 'guard'] } });
    expect(with_.steps.filter((s) => s.upkeep)).toHaveLength(3);
    expect(with_.coverage).toEqual(bare.coverage);
    expect(with_.spent).toBeGreaterThan(bare.spent);
    expect(with_.spent).toBeCloseTo(
      with_.steps.reduce((sum, s) => sum + s.price, 0),
      6,
    );
  });

  test('a glass board gives way before any knife; guards count the knives; bought, both are settled', () => {
    const file = fileOf({ budget: money, board: { material: 'glass' }, habits: { storage: 'loose' } });
    const { steps } = plan(file);
    expect(steps[0]).toMatchObject({ type: 'board', need: 'need', order: 1 });
    const knives = steps.filter((s) => s.action === 'buy').length;
    expect(steps[1]).toMatchObject({ type: 'guard', need: 'need', price: 5 * knives });
    const settled = steps.slice(0, 2).reduce((f, step) => bought(f, step, '2026-03-04'), file);
    expect([settled.board?.material, settled.habits?.storage]).toEqual(['wood', 'guards']);
    expect(upkeep(settled)).toEqual([]);
  });

  test('the honing tool suits the steel: never a grooved steel on a hard edge, none for teeth alone', () => {
    const honing = (steel: 'soft-stainless' | 'hard-stainless') =>
      upkeep({ budget: { total: 400 }, habits: { honing: 'steel' }, limits: { steel } }).map((s) => s.type);
    expect(honing('soft-stainless')).toEqual(['honing-steel']);
    expect(honing('hard-stainless')).toEqual(['honing-ceramic']);
    expect(upkeep({ budget: money, habits: { honing: 'strop' } }).map((s) => s.type)).toEqual(['strop']);
    expect(upkeep({ budget: money, habits: { honing: 'steel' }, tools: ['honing-steel', 'honing-ceramic'] })).toEqual(
      [],
    );
  });

  test('a rod tells what rests on it; where nobody hones it is named when it is worth its price, unless no rod is wanted', () => {
    const busy = {
      cooking: { mealsPerWeek: 21, portions: 8 },
      budget: { total: 900 },
      limits: { steel: 'soft-stainless' as const },
    };
    const [rod] = upkeep({ ...busy, habits: { honing: 'steel' } });
    expect(rod?.gain).toBeGreaterThan(0);
    expect(rod?.because[0]).toMatch(/Six light strokes a side .* \d+\.\d points rest on it/);
    const advice = (file: Partial<KitchenFile>) =>
      upkeep(fileOf({ ...busy, ...file })).filter(({ because }) => because[0]?.startsWith('Nobody hones here'));
    const [advised] = advice({});
    expect(advised).toMatchObject({ type: 'honing-steel', need: 'want', price: 22 });
    expect(advised?.because[0]).toMatch(/six light strokes a side, .* about \d+\.\d points more/);
    expect(advised?.gain).toBeGreaterThan(0);
    for (const refused of [{ tastes: { rod: 'never' as const } }, { habits: { honing: 'steel' as const } }])
      expect(advice(refused)).toEqual([]);
  });

  test('who sharpens on stones and owns none gets one before what is dull is put right; else it waits for what is left', () => {
    const dull = [{ type: 'chef', condition: 'dull' as const }];
    const file = { habits: { sharpening: 'stones' as const }, owned: dull, budget: { total: 60 } };
    const { steps, spent } = plan(file);
    expect(steps.slice(0, 2)).toMatchObject([
      { type: 'stone-medium', need: 'need', price: 32 },
      { action: 'sharpen', type: 'chef' },
    ]);
    expect(spent).toBeLessThanOrEqual(60);
    const isStone = ({ type }: { type: string | null }) => type === 'stone-medium';
    expect(plan({ ...file, tools: ['stone-coarse'] }).steps[0]?.action).toBe('sharpen');
    expect(plan({ ...file, owned: [], budget: { total: 60 } }).steps.find(isStone)?.need ?? 'want').toBe('want');
    const poor = plan({ ...file, budget: { total: 20 } });
    expect(poor.steps.some(isStone)).toBe(false);
    expect(poor.warnings.join(' ')).toContain('You sharpen on stones and own none');
  });

  test('it takes no money from knives, and how sure a step is stands beside that step', () => {
    const tight = {
      budget: { total: 60 },
      board: { material: 'glass' as const },
      habits: { storage: 'loose' as const },
    };
    const p = plan(tight, 4);
    expect(p.spent).toBeLessThanOrEqual(60);
    // the board comes before any knife, and the knives get what it leaves
    expect(p.steps[0]).toMatchObject({ type: 'board', price: 39 });
    expect(p.coverage).toEqual(plan({ ...tight, limits: { never: ['guard'] } }).coverage);
    const wide = plan({ ...tight, budget: money }, 4);
    for (const step of wide.steps) expect(step.stays === null).toBe(step.upkeep === true);
    expect(perStep(wide, ['a', 'b']).slice(0, 4)).toEqual([null, null, 'a', 'b']);
    expect(kitSteps(wide)).toEqual(wide.steps.slice(2));
  });
});

describe('what a year of keeping the knives going takes', () => {
  const busy = (habits: KitchenFile['habits'], total = 120) =>
    planFrom(
      contextOf({
        cooksAtOnce: 2,
        budget: { total },
        cooking: { mealsPerWeek: 40, portions: 8 },
        habits,
      }),
    );

  test('is told as money, minutes at the stone and worn-out blades', () => {
    const stones = busy({ sharpening: 'stones' }).upkeep;
    expect(stones?.minutesPerYear).toBeGreaterThan(60);
    const machine = busy({ sharpening: 'powered' }).upkeep;
    expect(machine?.minutesPerYear).toBe(0);
    expect(machine?.replacedPerYear).toBeGreaterThan(2 * (stones?.replacedPerYear ?? Infinity));
    const idle = planFrom(contextOf({ budget: { total: 0 } })).upkeep;
    expect(idle).toEqual({ perYear: 0, minutesPerYear: 0, replacedPerYear: 0 });
  });

  test('is said where it is more than the kit itself, with a cheaper way and the time that takes', () => {
    const plan = busy({ sharpening: 'professional', visitsPerYear: 26 });
    expect(plan.upkeep?.perYear).toBeGreaterThan(plan.spent);
    const said = plan.warnings.find((each) => each.startsWith('Keeping these knives sharp'));
    expect(said).toMatch(
      /more than these knives would cost new \(€[\d.]+\)\. Your own stones would come to about €\d+.* of your time\./,
    );
    const sparing = busy({ sharpening: 'professional', visitsPerYear: 1 }, 900);
    expect(sparing.upkeep?.perYear).toBeLessThan(sparing.spent);
    expect(sparing.warnings.join()).not.toContain('Keeping these knives sharp');
  });
});
