import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { daysBetween } from '../../calendar/between';
import { RULER, UPKEEP } from '../../constants';
import { gramsAt } from '../../edge/learned';
import { readKitchenFile, type KitchenFile } from '../../formats/kitchenFile';
import type { DiaryEntry } from '../../formats/diaryFile';
import { givenAway } from '../../kitchen/changes';
import { cookLeft, diaryChanged, logged } from '../../kitchen/deeds';
import { fileOf } from '../../testing/trade';
import { preparePlanning } from '../context/planningContext';
import { planProven } from '../plan/planKitchen';
import { edgeReport, newestDay } from './edgeReport';

const chef = {
  type: 'chef',
  lengthMm: 200,
  condition: 'keen' as const,
  sharpenedOn: '2026-01-01',
  use: 'daily' as const,
};
const kitchen = (diary: DiaryEntry[], changes: Partial<KitchenFile> = {}) =>
  fileOf({ owned: [chef], habits: { sharpening: 'stones' }, budget: { total: 0 }, diary, ...changes });
function report(file: KitchenFile, months = 24) {
  const context = preparePlanning(file, reference, shippedModels);
  return edgeReport(context, planProven(context).plan, newestDay(file), months);
}
const edgeOf = (file: KitchenFile) => {
  const [knife] = report(file).knives;
  if (!knife) throw new Error('no knife');
  return knife;
};

describe('a diary', () => {
  test('thread tests by a kitchen scale move the half-life, the dates and the bounds of the gauge', () => {
    const tested = (keenness: number) =>
      kitchen([
        { on: '2026-02-15', knife: 0, did: 'tested', test: 'thread', grams: gramsAt(keenness) },
        { on: '2026-03-15', knife: 0, did: 'tested', test: 'thread', grams: gramsAt(keenness) },
      ]);
    const [holds, dulls, untested] = [edgeOf(tested(0.98)), edgeOf(tested(0.5)), edgeOf(kitchen([]))];
    expect(holds.learned?.factor).toBeGreaterThan(1.2);
    expect(dulls.learned?.factor).toBeLessThan(0.9);
    expect(untested.learned).toBeNull();
    const days = ({ due }: typeof holds) => [due?.between[0], due?.on, due?.between[1]];
    expect(days(holds)).toEqual([...days(holds)].sort());
    const wideDays = ({ due }: typeof holds) => daysBetween(due?.between[0] ?? '', due?.between[1] ?? '');
    expect(wideDays(untested)).toBeGreaterThan(wideDays(dulls));
    expect((holds.due?.on ?? '') > (dulls.due?.on ?? '')).toBe(true);
    expect(dulls.sharpen?.everyWeeks).toBeLessThan(holds.sharpen?.everyWeeks ?? 0);
    const wide = ({ keennessBetween }: typeof holds) => (keennessBetween?.[1] ?? 0) - (keennessBetween?.[0] ?? 0);
    expect(wide(dulls)).toBeGreaterThan(0);
    expect(dulls.keennessNow).toBeLessThan(holds.keennessNow ?? 0);
  });

  test('sharpening is written into the knife, and taken out again with its entry', () => {
    const after = logged(kitchen([]), { on: '2026-05-01', knife: 0, did: 'sharpened', by: 'stones' });
    expect(after.owned?.[0]).toMatchObject({ sharpenedOn: '2026-05-01', condition: 'keen' });
    const twice = logged(after, { on: '2026-06-01', knife: 0, did: 'sharpened' });
    expect(diaryChanged(twice, 1, null).owned?.[0]?.sharpenedOn).toBe('2026-05-01');
    expect(diaryChanged(after, 0, null).diary).toBeUndefined();
    expect(readKitchenFile(JSON.parse(JSON.stringify(twice)))).toMatchObject({ diary: [{}, {}] });
  });

  test('a knife that leaves the drawer takes its entries along; the others keep theirs', () => {
    const two = kitchen(
      [
        { on: '2026-02-01', knife: 0, did: 'honed' },
        { on: '2026-02-02', knife: 1, did: 'oiled' },
      ],
      { owned: [chef, { type: 'paring' }] },
    );
    expect(givenAway(two, 0).diary).toEqual([{ on: '2026-02-02', knife: 0, did: 'oiled' }]);
  });

  test('a cook who leaves takes along what they held; what others held and did stays theirs', () => {
    const held = (cook: number) => ({ model: 'oskavel-gyuto-210', on: '2026-02-01', cook, answers: {} });
    const file = kitchen([{ on: '2026-02-01', knife: 0, did: 'used', cook: 2 }], {
      cooks: [{ name: 'a' }, { name: 'b' }, { name: 'c' }],
      trials: { hand: [held(0), held(1), held(2)] },
    });
    const left = cookLeft(file, 1);
    expect(left.cooks?.map(({ name }) => name)).toEqual(['a', 'c']);
    expect(left.trials?.hand?.map(({ cook }) => cook)).toEqual([0, 1]);
    expect(left.diary?.[0]?.cook).toBe(1);
    expect(() => report(left)).not.toThrow();
  });

  test('a knife that chipped on a food is not planned for it again, and the plan says so', () => {
    const squash: Partial<KitchenFile> = {
      cooking: { mealsPerWeek: 0, tasks: [{ id: 'squash-break', times: 3, per: 'week' }] },
      owned: [{ ...chef, condition: 'keen' }],
    };
    const serves = (diary: DiaryEntry[]) => {
      const context = preparePlanning(kitchen(diary, squash), reference, shippedModels);
      const at = context.loads.findIndex(({ task }) => task.id === 'squash-break');
      return { score: context.owned[0]?.scores[at], plan: planProven(context).plan };
    };
    expect(serves([]).score).toBeGreaterThan(30);
    const chipped = serves([{ on: '2026-02-01', knife: 0, did: 'chipped', task: 'squash-break' }]);
    expect(chipped.score).toBe(0);
    expect(chipped.plan.tried?.[0]).toMatch(/chipped on 2026-02-01 .*not planned for that again/);
  });

  test('the ruler tells the years left, and names who grinds too much away', () => {
    const measured = (lost: number): DiaryEntry[] => [
      { on: '2026-01-02', knife: 0, did: 'measured', heelHeightMm: 48 },
      ...['2026-02-01', '2026-04-01', '2026-06-01', '2026-08-01'].map((on) => ({
        on,
        knife: 0,
        did: 'sharpened' as const,
        by: 'stones' as const,
      })),
      { on: '2026-09-01', knife: 0, did: 'measured', heelHeightMm: 48 - lost },
    ];
    const gentle = edgeOf(kitchen(measured(4 * UPKEEP.heightLost.stones.value)));
    const harsh = edgeOf(kitchen(measured(4 * 1.2 * RULER.alarm.value * UPKEEP.heightLost.stones.value)));
    expect([gentle.ruler?.alarm, gentle.ruler?.mmEach]).toEqual([null, UPKEEP.heightLost.stones.value]);
    expect(harsh.ruler?.alarm).toMatch(/where 0.04 mm is usual/);
    expect(harsh.yearsLeft).toBeLessThan(gentle.yearsLeft);
    expect(edgeOf(kitchen(measured(0.2).slice(0, 2))).ruler).toBeNull();
  });

  test('nothing is due in a month the kitchen is closed, and edges rest then', () => {
    const closedMonths = [1, 2, 7, 8, 12];
    const open = report(kitchen([]), 36).events;
    const { events } = report(kitchen([], { closedMonths }), 36);
    expect(open.some(({ date }) => closedMonths.includes(Number(date.slice(5, 7))))).toBe(true);
    // seven months in twelve are worked in
    expect(events.length / open.length).toBeGreaterThan(0.5);
    expect(events.length / open.length).toBeLessThan(0.7);
    for (const { date } of events) expect(closedMonths).not.toContain(Number(date.slice(5, 7)));
  });

  test('an edge that does no work is not due by the calendar', () => {
    const { events } = report(kitchen([], { owned: [chef, { type: 'nakiri', keep: 'keepsake', condition: 'keen' }] }));
    expect(events.some(({ ref, action }) => ref === 'owned-0' && action === 'sharpen')).toBe(true);
    expect(events.some(({ ref, action }) => ref === 'owned-1' && action === 'sharpen')).toBe(false);
  });

  test('what the tools of sharpening cost here counts over five years', () => {
    const stones = (changes: Partial<KitchenFile>) =>
      report(kitchen([], changes)).fiveYears.find(({ method }) => method === 'stones');
    const [usual, dear] = [stones({}), stones({ habits: { sharpening: 'stones', sharpenerPrices: { stones: 400 } } })];
    expect(dear?.tools).toBe(400);
    expect((dear?.cost ?? 0) - (usual?.cost ?? 0)).toBeCloseTo(400 - (usual?.tools ?? 0), 2);
  });
});
