import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { DiaryEntry } from '../formats/diaryFile';
import { MOST } from '../formats/kitchenBounds';
import type { KitchenFile } from '../formats/kitchenFile';
import { readKitchenText } from '../formats/kitchenFile';
import type { BenchTrialFile, HandTestFile } from '../formats/trialsFile';
import { fileOf } from '../testing/trade';
import {
  benchTried,
  cookLeft,
  diaryChanged,
  handTested,
  logged,
  measuredCounting,
  measuredOwned,
  profileTraced,
  rollPacked,
} from './deeds';

const hand = (cook?: number): HandTestFile => ({
  on: '2026-04-02',
  model: 'oskavel-gyuto-210',
  answers: {},
  cook,
});
const bench = (cook?: number): BenchTrialFile => ({
  on: '2026-04-03',
  cook,
  knives: [{ model: 'oskavel-gyuto-210' }, { model: 'ploverdale-chef-200' }],
  tasks: ['onion-dice'],
  runs: [{ task: 'onion-dice', knife: 0, effort: 4, control: 4, result: 5 }],
});
const kitchen = fileOf({
  cooks: [{ name: 'Ada' }, { name: 'Bo' }, { name: 'Cy' }],
  owned: [{ type: 'chef', condition: 'dull', use: 'daily' }, { type: 'paring' }],
});
const entry = (did: DiaryEntry['did'], on: string, more: Partial<DiaryEntry> = {}): DiaryEntry => ({
  did,
  on,
  knife: 0,
  ...more,
});
/** Whatever a deed makes of a file can be written and read again. */
const readBack = (file: KitchenFile) => readKitchenText(JSON.stringify(file));

describe('what was held and tried', () => {
  test('is added, changed in its place, and taken out without a trace', () => {
    const two = handTested(handTested(kitchen, 0, hand()), 1, hand(1));
    expect(two.trials?.hand?.map(({ cook }) => cook)).toEqual([undefined, 1]);
    expect(handTested(two, 0, hand(2)).trials?.hand?.map(({ cook }) => cook)).toEqual([2, 1]);
    const none = handTested(handTested(two, 0, null), 0, null);
    expect(none.trials).toBeUndefined();
    expect(readBack(none)).toEqual(readBack(kitchen));
  });

  test('stands beside what else was tried', () => {
    const both = benchTried(handTested(kitchen, 0, hand()), 0, bench());
    expect(readBack(both).trials).toMatchObject({ hand: [{ on: '2026-04-02' }], bench: [{ on: '2026-04-03' }] });
    expect(benchTried(both, 0, null).trials?.hand).toHaveLength(1);
    const computed = measuredCounting(both, false);
    expect(computed.trials?.measuredCounts).toBe(false);
    expect(measuredCounting(computed, true).trials?.measuredCounts).toBeUndefined();
  });
});

describe('what was measured', () => {
  test('changes the one knife, and undefined takes a figure back', () => {
    const measured = measuredOwned(kitchen, 1, { heelHeightMm: 21, weightG: 60 });
    expect(measured.owned).toEqual([kitchen.owned?.[0], { type: 'paring', heelHeightMm: 21, weightG: 60 }]);
    expect(readBack(measuredOwned(measured, 1, { weightG: undefined })).owned?.[1]).toEqual({
      type: 'paring',
      heelHeightMm: 21,
    });
  });

  test('an edge traced joins the others of its knife, the latest kept', () => {
    const edge = [0, 100, 200].map((x) => ({ x, y: x / 10 }));
    const file = Array.from({ length: MOST.profiles + 2 }, (_, i) => i).reduce(
      (so, i) =>
        profileTraced(
          so,
          0,
          { on: `2026-05-${String(i + 1).padStart(2, '0')}`, lengthMm: 200 - i, heelHeightMm: 46, edge },
          { bellyMm: 20, flatShare: 0.3 },
        ),
      kitchen,
    );
    const knife = file.owned?.[0];
    expect(knife?.profiles).toHaveLength(MOST.profiles);
    expect(knife?.profiles?.at(-1)?.lengthMm).toBe(knife?.lengthMm);
    expect(knife).toMatchObject({ heelHeightMm: 46, bellyMm: 20, flatShare: 0.3 });
    expect(file.owned?.[1]).toEqual(kitchen.owned?.[1]);
  });
});

describe('the diary', () => {
  test('an entry makes of its knife what was done to it, and of no other', () => {
    const sharpened = logged(kitchen, entry('sharpened', '2026-06-01'));
    expect(sharpened.owned?.[0]).toMatchObject({ condition: 'keen', sharpenedOn: '2026-06-01' });
    expect(sharpened.owned?.[1]).toEqual(kitchen.owned?.[1]);
    expect(logged(kitchen, entry('chipped', '2026-06-01')).owned?.[0]?.condition).toBe('chipped');
    expect(logged(kitchen, entry('measured', '2026-06-01', { heelHeightMm: 45.5 })).owned?.[0]?.heelHeightMm).toBe(
      45.5,
    );
    expect(logged(kitchen, entry('measured', '2026-06-01')).owned).toEqual(kitchen.owned);
    expect(logged(kitchen, entry('honed', '2026-06-01')).owned).toEqual(kitchen.owned);
  });

  test('the oldest goes where it is full', () => {
    const full = { ...kitchen, diary: Array.from({ length: MOST.diary }, () => entry('honed', '2020-01-01')) };
    const more = logged(full, entry('used', '2026-06-02'));
    expect(more.diary).toHaveLength(MOST.diary);
    expect(more.diary?.at(-1)).toEqual(entry('used', '2026-06-02'));
  });

  test('a sharpening taken out or moved leaves the knife sharpened when the diary then says so', () => {
    const twice = logged(logged(kitchen, entry('sharpened', '2026-03-01')), entry('sharpened', '2026-06-01'));
    expect(diaryChanged(twice, 1, null).owned?.[0]?.sharpenedOn).toBe('2026-03-01');
    expect(diaryChanged(diaryChanged(twice, 1, null), 0, null).owned?.[0]?.sharpenedOn).toBeUndefined();
    expect(diaryChanged(twice, 1, entry('sharpened', '2026-05-20')).owned?.[0]?.sharpenedOn).toBe('2026-05-20');
    expect(diaryChanged(twice, 0, null).owned?.[0]?.sharpenedOn).toBe('2026-06-01');
    const honed = logged(twice, entry('honed', '2026-06-03'));
    expect(diaryChanged(honed, 2, null).owned).toEqual(honed.owned);
  });
});

describe('a cook leaves', () => {
  const lived = logged(
    rollPacked(
      rollPacked(
        benchTried(handTested(handTested(handTested(kitchen, 0, hand()), 1, hand(1)), 2, hand(2)), 0, bench(1)),
        0,
        { name: 'Hut', cook: 2, pockets: [{ lengthMm: 300, widthMm: 60 }] },
      ),
      1,
      { name: 'Aunt', cook: 1, pockets: [{ lengthMm: 300, widthMm: 60 }] },
    ),
    entry('sharpened', '2026-06-01', { cook: 2 }),
  );

  test('with what they held and tried; deeds and rolls stay, and the others move up', () => {
    const left = cookLeft(lived, 1);
    expect(left.cooks?.map(({ name }) => name)).toEqual(['Ada', 'Cy']);
    expect(left.trials?.hand?.map(({ cook = 0 }) => cook)).toEqual([0, 1]);
    expect(left.trials?.bench).toBeUndefined();
    expect(left.away?.map(({ cook }) => cook)).toEqual([1, undefined]);
    expect(left.diary?.map(({ cook }) => cook)).toEqual([1]);
  });

  test('whoever leaves, nothing names a cook who is not there, and what is left can be read', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 0, max: 1 }), (first, then) => {
        const left = cookLeft(cookLeft(lived, first), then);
        const named = [
          ...(left.trials?.hand ?? []),
          ...(left.trials?.bench ?? []),
          ...(left.away ?? []),
          ...(left.diary ?? []),
        ];
        for (const { cook = 0 } of named) expect(cook).toBeLessThan(left.cooks?.length ?? 0);
        expect(left.cooks).toHaveLength(1);
        expect(readBack(left).away).toHaveLength(2);
      }),
    );
  });
});
