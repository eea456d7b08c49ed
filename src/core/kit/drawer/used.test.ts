import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { daysLater } from '../../calendar/day';
import type { DiaryEntry } from '../../formats/diaryFile';
import type { KitchenFile } from '../../formats/kitchenFile';
import { fileOf } from '../../testing/trade';
import { preparePlanning } from '../context/planningContext';
import { planProven } from '../plan/planKitchen';
import { reportOfUse } from './used';

const drawer: KitchenFile['owned'] = [
  { type: 'chef', lengthMm: 210, condition: 'keen' },
  { type: 'bread', lengthMm: 250, condition: 'keen' },
  { type: 'nakiri', lengthMm: 165, condition: 'keen' },
];
const motions = { rock: 40, push: 30, pull: 10, chop: 20 };
const uses = (of: Record<number, number>, more: Partial<DiaryEntry> = {}): DiaryEntry[] =>
  Object.entries(of).flatMap(([knife, many]) =>
    Array.from({ length: many }, (_, i) => ({
      on: daysLater('2026-03-01', i),
      knife: Number(knife),
      did: 'used' as const,
      ...more,
    })),
  );
const contextOf = (diary: DiaryEntry[], changes: Partial<KitchenFile> = {}) => {
  const file = fileOf({ owned: drawer, cooks: [{ name: 'a', motions }], budget: { total: 0 }, diary, ...changes });
  return { file, context: preparePlanning(file, reference, shippedModels) };
};
const minutesOf = (id: string, { context }: ReturnType<typeof contextOf>) =>
  context.loads.filter(({ task }) => task.id === id).reduce((sum, load) => sum + load.minutesPerWeek, 0);
const total = ({ context }: ReturnType<typeof contextOf>) =>
  context.loads.reduce((sum, load) => sum + load.minutesPerWeek, 0);

describe('uses written down', () => {
  test('teach the work slowly: what is drawn more grows, minutes in all stay, a switch leaves it out', () => {
    const [plain, few, many] = [contextOf([]), contextOf(uses({ 1: 6 })), contextOf(uses({ 1: 60 }))];
    const bread = (of: ReturnType<typeof contextOf>) => minutesOf('crusty-loaf', of);
    expect(bread(plain)).toBeGreaterThan(0);
    expect(bread(few)).toBeGreaterThan(bread(plain));
    expect(bread(few)).toBeLessThan(1.4 * bread(plain));
    expect(bread(many)).toBeGreaterThan(bread(few));
    expect(bread(many)).toBeLessThan(4 * bread(plain));
    expect(total(many)).toBeCloseTo(total(plain), 6);
    const left = contextOf(uses({ 1: 60 }), { learnsFromUse: false });
    expect(bread(left)).toBe(bread(plain));
    expect(left.context.learned).toBeNull();
  });

  test('teach how a cook moves a knife: who draws a nakiri chops more and rocks less', () => {
    const { context } = contextOf(uses({ 2: 80 }));
    const now = context.cooks[0]?.cook.motions;
    expect(now?.chop).toBeGreaterThan(motions.chop / 100);
    expect(now?.rock).toBeLessThan(motions.rock / 100);
    expect(Object.values(now ?? {}).reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 6);
    const ofOther = contextOf(uses({ 2: 80 }, { cook: 1 }), { cooks: [{ name: 'a', motions }, { name: 'b' }] });
    expect(ofOther.context.cooks.find(({ cook }) => cook.name === 'a')?.cook.motions.chop).toBeCloseTo(0.2, 9);
  });

  test('older uses count less', () => {
    const old = uses({ 1: 30 }).map((entry) => ({ ...entry, on: daysLater(entry.on, -720) }));
    const share = (diary: DiaryEntry[]) => contextOf(diary).context.learned?.learned[1] ?? 0;
    expect(share([...old, ...uses({ 0: 30 })])).toBeLessThan(share([...uses({ 1: 30 }), ...uses({ 0: 30 })]));
  });

  test('are told by the plan, and name the knives that are hoarded with their story', () => {
    const told = contextOf(uses({ 0: 40 }));
    expect(planProven(told.context).plan.tried?.join(' ')).toMatch(/40 uses in the diary/);
    const story = (owned: KitchenFile['owned'], changes: Partial<KitchenFile> = {}) => {
      const { context, file } = contextOf(uses({ 0: 40 }), { owned, ...changes });
      return reportOfUse(context, file).knives.find((knife) => knife.owned === 1)?.story;
    };
    const [chef] = drawer;
    if (!chef) throw new Error('no chef');
    expect(story([chef, { type: 'bread', condition: 'keen' }])).toMatch(/hang it where/);
    expect(story([chef, { type: 'bread', condition: 'dull' }])).toMatch(/dull/);
    expect(story([chef, { type: 'bread', condition: 'keen' }], { habits: { storage: 'roll' } })).toMatch(
      /Badly stored/,
    );
    expect(story([chef, { type: 'bread', condition: 'keen', keep: 'keepsake' }])).toMatch(/keepsake/);
    expect(story([chef, { type: 'bread', condition: 'keen' }], { cooks: [{ mayUse: [0] }] })).toMatch(
      /may use|better by others/,
    );
    expect(story([chef, { type: 'bread', condition: 'keen', keep: 'lend' }])).toMatch(/lent/);
    const early = contextOf(uses({ 0: 5 }));
    expect(reportOfUse(early.context, early.file).knives.every((knife) => knife.story === null)).toBe(true);
  });

  test('a knife that is hardly drawn is told why by where it lies and what it is worth', () => {
    const story = (changes: Partial<KitchenFile>, knife = 1) => {
      const { context, file } = contextOf(uses({ 0: 40 }), changes);
      return reportOfUse(context, file).knives.find(({ owned }) => owned === knife)?.story;
    };
    const tray = { kind: 'tray' as const, lengthMm: 500, widthMm: 300, heightMm: 60, slats: null };
    const chest = { kind: 'drawer' as const, lengthMm: 500, widthMm: 300, heightMm: 60, guards: [] };
    const laidIn = (place: typeof tray | typeof chest): Partial<KitchenFile> => ({
      storage: { places: [place], laid: [{ owned: 1, place: 0, xMm: 0, yMm: 0, turned: false }] },
    });
    // where it is laid goes before how the rest is kept
    expect(story({ ...laidIn(chest), habits: { storage: 'strip' } })).toMatch(/Badly stored/);
    expect(story({ ...laidIn(tray), habits: { storage: 'loose' } })).toMatch(/hang it where/);
    const models = ['quillback-bread-250-offset', 'ninefold-gyuto-210', 'quillback-paring-80'];
    expect(story({ owned: models.map((model) => ({ model, condition: 'keen' as const })) })).toMatch(/Too precious/);
  });

  test('a knife drawn far more than reckoned, or never, is told so', () => {
    const told = (diary: DiaryEntry[], owned: KitchenFile['owned'] = drawer) => {
      const { context, file } = contextOf(diary, { owned });
      return new Map(reportOfUse(context, file).knives.map((knife) => [knife.owned, knife]));
    };
    const bread = told(uses({ 1: 40 })).get(1);
    expect(bread?.story).toMatch(/far more than reckoned/);
    expect([bread?.uses, bread?.share, bread?.last]).toEqual([40, 1, daysLater('2026-03-01', 39)]);
    // nobody here opens oysters
    const idle = [...(drawer ?? []), { type: 'oyster', condition: 'keen' as const }];
    expect(told(uses({ 0: 40 }), idle).get(3)?.story).toMatch(/Never drawn/);
    expect(told(uses({ 0: 40, 3: 20 }), idle).get(3)?.story).toMatch(/Drawn for work the plan gives to others/);
  });
});
