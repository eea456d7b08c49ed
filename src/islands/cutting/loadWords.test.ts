import { expect, test } from 'vitest';
import { LOAD } from '../../core/constants';
import { asTime, byGroup, liveExample } from './loadWords';

const load = (task: string, group: string, minutesPerWeek: number) => ({
  task,
  group,
  minutesPerWeek,
  share: minutesPerWeek ** LOAD.exponent.value / 100,
});

test('minutes are summed by group, most first, and said as people say them', () => {
  expect(byGroup([load('a', 'x', 5), load('b', 'y', 9), load('c', 'x', 6)])).toEqual([
    { group: 'x', minutes: 11 },
    { group: 'y', minutes: 9 },
  ]);
  expect([asTime(0.4), asTime(45), asTime(60), asTime(130.2)]).toEqual(['0 min', '45 min', '1 h', '2 h 10 min']);
});

test('the example shows the exponent: many times the minutes, fewer times the weight', () => {
  const example = liveExample([load('often', 'x', 100), load('middling', 'x', 50), load('rare', 'x', 1)]);
  expect([example?.most.task, example?.least.task]).toEqual(['often', 'rare']);
  expect(example?.timesMinutes).toBe(100);
  expect(example?.timesWeight).toBeCloseTo(100 ** LOAD.exponent.value, 6);
  expect(liveExample([load('a', 'x', 5), load('b', 'x', 4)])).toBeNull();
  expect(liveExample([])).toBeNull();
});
