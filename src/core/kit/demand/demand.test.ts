import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { PEOPLE, WORTH } from '../../constants';
import { workKind } from '../../cutting/work';
import type { KitchenFile } from '../../formats/kitchenFile';
import { wildKitchen } from '../../testing/arbitrary';
import { contextOf, cooksOf } from '../../testing/trade';
import { crowdAt, workShares } from './crowds';
import { apartAtMost, handsOf, isPooled } from './hands';
import { isPressing, rescued, rescues } from './rescue';
import { usefulness } from './usefulness';

const sum = (all: readonly number[]) => all.reduce((a, b) => a + b, 0);

describe('how many are at a kind of work at once', () => {
  const at = (share: number, atOnce: number, cooks: number) =>
    crowdAt('board', new Map([['board', share]]), atOnce, cooks);

  test('the others join by their share of the minutes, as a binomial: eight learners at half of it by hand', () => {
    expect(at(0.5, 8, 8)).toHaveLength(8);
    // 7 others, each there with a half: C(7, k) / 128
    [1, 7, 21, 35, 35, 21, 7, 1].forEach((many, k) => expect(at(0.5, 8, 8)[k]).toBeCloseTo(many / 128, 12));
    expect(at(0.3, 2, 2)).toEqual([0.7, 0.3]);
    expect(at(1, 3, 3)).toEqual([0, 0, 1]);
    expect(at(0.4, 1, 1)).toEqual([1]);
  });

  test('who cooks by turns is there as much more seldom, and alone never meets anyone', () => {
    expect(at(0.5, 2, 3)).toEqual([0.75 ** 2, 2 * 0.25 * 0.75, 0.25 ** 2]);
    expect(at(0.5, 1, 3)).toEqual([1, 0, 0]);
    for (const many of [1, 2, 5, 12]) expect(sum(at(0.37, many, many))).toBeCloseTo(1, 12);
  });

  test('table, children, tools and blows are one at a time, whoever is there', () => {
    for (const alone of ['table', 'child', 'tool', 'blow'] as const)
      expect(crowdAt(alone, new Map([[alone, 1]]), 8, 8), alone).toEqual([1]);
  });

  test('shares of the minutes sum to one and follow the kind of work', () => {
    const { loads } = contextOf({ cooking: { cuisines: [{ id: 'french' }], mealsPerWeek: 9 } });
    const all = workShares(loads);
    expect(sum([...all.values()])).toBeCloseTo(1, 12);
    const minutes = sum(loads.map(({ minutesPerWeek }) => minutesPerWeek));
    const [first] = loads;
    if (!first) throw new Error('no loads');
    const alike = loads.filter(({ task }) => workKind(task) === workKind(first.task));
    expect(all.get(workKind(first.task))).toBeCloseTo(sum(alike.map((load) => load.minutesPerWeek)) / minutes, 12);
  });
});

describe('hands', () => {
  const hands = (...lengths: number[]) =>
    handsOf(cooksOf({ cooks: lengths.map((handLengthMm) => ({ handLengthMm })) }));

  test('cooks who are alike but for their name are one hand; shares sum to one, the smallest first', () => {
    const alike = handsOf(cooksOf({ cooks: [{ name: 'Ada' }, { name: 'Bo' }, { handLengthMm: 160 }] }));
    expect(alike.map(({ share }) => share)).toEqual([1 / 3, 2 / 3]);
    expect(alike[0]?.cook.cook.handLengthMm).toBe(160);
    expect(hands(205, 160, 180).map(({ cook }) => cook.cook.handLengthMm)).toEqual([160, 180, 205]);
  });

  test('more hands than are told apart are grouped, the middle one standing for each', () => {
    const many = hands(150, 155, 160, 165, 170, 175, 180, 185, 190, 195, 200, 205);
    expect(many).toHaveLength(PEOPLE.classes.value);
    expect(sum(many.map(({ share }) => share))).toBeCloseTo(1, 12);
    const lengths = many.map(({ cook }) => cook.cook.handLengthMm);
    expect([...lengths].sort((a, b) => a - b)).toEqual(lengths);
    expect(lengths[0]).toBeGreaterThan(149);
    expect(lengths.at(-1)).toBeLessThan(206);
  });

  test('up to three at once have each their own; beyond, the mean of the hands is asked for', () => {
    expect(apartAtMost(hands(160, 200))).toBe(2);
    expect(apartAtMost(hands(160, 170, 180, 190))).toBe(PEOPLE.apart.value);
    expect(isPooled(hands(180), 8)).toBe(false);
    expect(isPooled(hands(160, 200), 2)).toBe(false);
    expect(isPooled(hands(160, 200), 3)).toBe(true);
  });
});

describe('the demand of a kitchen', () => {
  test('of any kitchen: its states but the rescues weigh one in all, every column is one of its rows, none weighs nothing', () => {
    fc.assert(
      fc.property(wildKitchen, (file: KitchenFile) => {
        const { demand, owned, candidates } = contextOf(file).problem;
        const plain = demand.states.filter(({ rescue }) => !rescue);
        if (plain.length > 0)
          expect(sum(plain.flatMap(({ roles }) => roles.map(({ weight }) => weight)))).toBeCloseTo(1, 6);
        for (const { roles } of demand.states)
          for (const { column, weight } of roles) {
            expect(column).toBeLessThan(demand.columns);
            expect(weight).toBeGreaterThanOrEqual(0);
          }
        for (const { usefulness: row } of [...owned, ...candidates]) expect(row.length).toBe(demand.columns);
      }),
      { numRuns: 25 },
    );
  });

  test('who cooks alone wants a second knife for a small share of it, for raw meat more where it is never washed between', () => {
    const backup = (rawMeat: 'own' | 'wash' | null, task: string) => {
      const { loads, problem } = contextOf({
        tastes: rawMeat ? { rawMeat } : {},
        cooking: { tasks: ['meat-cube', 'onion-dice'].map((id) => ({ id, times: 3, per: 'week' as const })) },
      });
      const t = loads.findIndex((load) => load.task.id === task);
      const state = problem.demand.states.find((each) => each.task === t && !each.rescue);
      const [first = { weight: 0 }, second = { weight: 0 }] = state?.roles ?? [];
      return second.weight / (first.weight + second.weight);
    };
    expect(backup(null, 'onion-dice')).toBeCloseTo(PEOPLE.backup.value, 12);
    expect(backup('own', 'meat-cube')).toBeCloseTo(PEOPLE.rawOwnKnife.value, 12);
    expect(backup('wash', 'meat-cube')).toBeCloseTo(PEOPLE.backup.value, 12);
    expect(backup(null, 'meat-cube')).toBeCloseTo(PEOPLE.rawBesideVegetables.value, 12);
  });

  test('weekly work and work that matters is pressing; it is rescued between two scores', () => {
    const { loads } = contextOf({
      cooking: {
        tasks: [
          { id: 'onion-dice', times: 1, per: 'week' },
          { id: 'roast-carve', times: 2, per: 'year' },
          { id: 'ham-thin', times: 2, per: 'year', matters: 3 },
          { id: 'steak-at-table', times: 2, per: 'week' },
        ],
      },
    });
    const pressing = rescued(loads).map((t) => loads[t]?.task.id);
    expect(pressing).toEqual(loads.filter(isPressing).map(({ task }) => task.id));
    expect([...pressing].sort()).toEqual(['ham-thin', 'onion-dice']);
    const { rescueFrom, rescueTo } = WORTH;
    expect(rescues(rescueFrom.value)).toBe(0);
    expect(rescues(rescueTo.value)).toBe(1);
    expect(rescues((rescueFrom.value + rescueTo.value) / 2)).toBeCloseTo(0.5, 12);
  });

  test('a score’s worth: straight between the anchors, nothing below the first, all from the last', () => {
    const anchors = [
      [35, 0],
      [55, 0.5],
      [70, 0.84],
      [85, 0.97],
      [92, 1],
    ] as const;
    for (const [score, worth] of anchors) expect(usefulness(score)).toBeCloseTo(worth, 12);
    expect(usefulness(62.5)).toBeCloseTo((0.5 + 0.84) / 2, 12);
    expect(usefulness(20)).toBe(0);
    expect(usefulness(100)).toBe(1);
  });
});
