import { describe, expect, test } from 'vitest';
import type { KitchenFile, OwnedFile } from '../../formats/kitchenFile';
import { contextOf } from '../../testing/trade';
import { readDrawer } from './drawer';

const open = (owned: OwnedFile[], file: Partial<KitchenFile> = {}) => readDrawer(contextOf({ ...file, owned }));

const bony: Partial<KitchenFile> = {
  cooking: { cuisines: [{ id: 'grill-and-roast' }], tasks: [{ id: 'stock-bones-chop', times: 1, per: 'week' }] },
};

describe('each owned knife', () => {
  test('says what it does best, and every task goes to one knife at most', () => {
    const { knives } = open([
      { type: 'chef', condition: 'keen', use: 'daily' },
      { type: 'paring', condition: 'keen', use: 'daily' },
      { type: 'bread', condition: 'keen', use: 'weekly' },
    ]);
    const best = (i: number) => knives[i]?.doesBest.map((d) => d.task) ?? [];
    expect(best(0)).toContain('onion-dice');
    expect(best(1)).toContain('strawberry-hull');
    expect(best(2)).toContain('crusty-loaf');
    const all = knives.flatMap((k) => k.doesBest.map((d) => d.task));
    expect(new Set(all).size).toBe(all.length);
    for (const knife of knives) {
      expect(knife.verdict).toBe('keep');
      const minutes = knife.doesBest.map((d) => d.minutesPerWeek);
      expect(minutes).toEqual([...minutes].sort((a, b) => b - a));
    }
  });

  test('that is only dull is to be sharpened, and what that gives back is counted', () => {
    const [knife] = open([{ type: 'chef', condition: 'dull', use: 'daily' }]).knives;
    expect(knife?.verdict).toBe('sharpen');
    expect(knife?.givesBack?.coverage).toBeGreaterThan(0.2);
    expect(knife?.givesBack?.price).toBe(8);
    expect(knife?.dangers.join(' ')).toContain('slips');
  });

  test('that is chipped is repaired when work would go to it', () => {
    const [knife] = open([{ type: 'santoku', condition: 'chipped', use: 'weekly' }]).knives;
    expect(knife?.verdict).toBe('repair');
    expect(knife?.dangers.join(' ')).toMatch(/bits of steel/);
  });

  test('that nothing goes to is given away when it is not used, and a spare when it is', () => {
    const drawer = (use: 'never' | 'daily') =>
      open([
        { type: 'gyuto', condition: 'keen', use: 'daily' },
        { type: 'paring', condition: 'keen', use: 'daily' },
        { type: 'oyster', condition: 'keen', use },
      ]).knives[2];
    expect(drawer('never')?.verdict).toBe('give-away');
    expect(drawer('daily')).toMatchObject({ verdict: 'keep', minutesPerWeek: 0 });
    expect(drawer('daily')?.why).toContain('a spare');
  });

  test('that is worn out is retired whatever it did, and serrated ones are never sharpened', () => {
    expect(open([{ type: 'chef', condition: 'worn-out', use: 'daily' }]).knives[0]?.verdict).toBe('retire');
    const [bread] = open([{ type: 'bread', condition: 'dull', use: 'weekly' }]).knives;
    expect([bread?.verdict, bread?.givesBack]).toEqual(['keep', null]);
    expect(bread?.why).toContain('replace it when it no longer bites');
  });
});

describe('dangers are told for this kitchen’s own work', () => {
  test('a hard thin knife where bones are chopped, none where they are not', () => {
    const told = (file: Partial<KitchenFile>) =>
      open([{ model: 'lanternhill-gyuto-210', condition: 'keen' }], file).knives[0]?.dangers.join(' ') ?? '';
    expect(told(bony)).toMatch(/too thin to be swung at bone/i);
    expect(told({ avoids: ['meat', 'poultry', 'fish', 'shellfish'] })).not.toMatch(/bone/i);
  });

  test('a single bevel for the other hand, by the name of the cook', () => {
    const dangers = open([{ model: 'tidewrack-yanagiba-270', condition: 'keen' }], {
      cooks: [{ name: 'Ivo', handed: 'left' }],
    }).knives[0]?.dangers;
    expect(dangers?.join(' ')).toContain('steers away from Ivo');
  });
});

test('a tool that does the work takes it from the knives, and an empty drawer is an empty answer', () => {
  const peel = (tools: string[]) =>
    open([{ type: 'paring', condition: 'keen' }], {
      tools,
      cooking: { tasks: [{ id: 'root-peel', times: 5, per: 'week' }] },
    }).knives[0]?.minutesPerWeek;
  expect(peel([])).toBeGreaterThan(0);
  expect(peel(['peeler'])).toBe(0);
  expect(open([])).toEqual({ coverage: 0, knives: [] });
});
