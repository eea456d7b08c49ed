import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { BladeModel } from '../blade/schema';
import { EDGE } from '../constants';
import {
  averageKeenness,
  edgeLife,
  effectiveAngleDeg,
  halfLifeMinutes,
  isGroundTooAcute,
  type EdgeCare,
} from './keenness';

const WEEKS_A_MONTH = 52 / 12;
/** Board minutes a week of the main knife in daily cooking for two. */
const DAILY = 40;

const steelOf = ({ steel }: Pick<BladeModel, 'steel'>) => {
  const known = reference.steels.get(steel);
  if (!known) throw new Error(steel);
  return known;
};
const [base] = shippedModels.filter((m) => m.type === 'chef' && m.bevel === 'double');
const blade = (change: Partial<BladeModel>): BladeModel => {
  if (!base) throw new Error('no chef’s knife');
  return { ...base, microBevel: false, ...change };
};
const soft = blade({ steel: 'soft-stainless', hrc: 56, edgeAngleDeg: 18 });
const hard = blade({ steel: 'hard-stainless', hrc: 61, edgeAngleDeg: 14 });
const carbon = blade({ steel: 'plain-carbon', hrc: 61, edgeAngleDeg: 12 });
const care: EdgeCare = {
  sharpening: 'stones',
  honing: 'steel',
  roughUse: false,
  visitsPerYear: null,
  sharpenAtMostEveryWeeks: null,
  board: 'wood',
};
const life = (of: BladeModel, minutes: number, change: Partial<EdgeCare> = {}) =>
  edgeLife(of, steelOf(of), { ...care, ...change }, minutes);
const months = (of: BladeModel, change: Partial<EdgeCare> = {}) =>
  (life(of, DAILY, change).sharpenEveryWeeks ?? Infinity) / WEEKS_A_MONTH;

describe('daily home use', () => {
  test('soft stainless: honed weekly, sharpened every two to three months', () => {
    expect(months(soft)).toBeGreaterThanOrEqual(2);
    expect(months(soft)).toBeLessThanOrEqual(3);
    expect(life(soft, DAILY).honeEveryDays).toBeGreaterThanOrEqual(5);
    expect(life(soft, DAILY).honeEveryDays).toBeLessThanOrEqual(9);
  });

  test('hard stainless: four to six months on a strop; simple carbon two to three', () => {
    const [long, short] = [months(hard, { honing: 'strop' }), months(carbon, { honing: 'none' })];
    expect(long).toBeGreaterThanOrEqual(4);
    expect(long).toBeLessThanOrEqual(6);
    expect(short).toBeGreaterThanOrEqual(2);
    expect(short).toBeLessThanOrEqual(3);
  });

  test('a rod lengthens soft steel’s life, spoils hard steel’s, and does nothing for teeth', () => {
    const half = (of: BladeModel, honing: EdgeCare['honing']) => halfLifeMinutes(of, steelOf(of), { ...care, honing });
    expect(half(soft, 'steel') / half(soft, 'none')).toBeCloseTo(EDGE.honingSoft.steel.value, 9);
    expect(half(hard, 'steel')).toBeLessThan(half(hard, 'none'));
    const teeth = blade({ steel: 'soft-stainless', serration: 'pointed' });
    expect(half(teeth, 'steel')).toBe(half(teeth, 'none'));
    expect(half(teeth, 'none')).toBeGreaterThan(4 * half(soft, 'none'));
  });

  test('five minutes a week gain nothing from fine steel, two hours much', () => {
    const gain = (minutes: number) =>
      life(hard, minutes, { sharpening: 'professional', honing: 'none' }).averageKeenness -
      life(soft, minutes, { sharpening: 'professional', honing: 'none' }).averageKeenness;
    expect(gain(5)).toBeLessThan(0.035);
    expect(gain(120)).toBeGreaterThan(2 * gain(5));
    expect(gain(120)).toBeGreaterThan(0.07);
  });

  test('where nobody sharpens every edge ends dull, and two visits a year mend that', () => {
    const never = life(soft, DAILY, { sharpening: 'none' });
    expect(never.sharpenEveryWeeks).toBeNull();
    expect(never.averageKeenness).toBeLessThan(EDGE.floor.value + 0.1);
    const visited = life(soft, DAILY, { sharpening: 'professional', visitsPerYear: 2 });
    expect(visited.sharpenEveryWeeks).toBe(26);
    expect(visited.averageKeenness).toBeGreaterThan(never.averageKeenness + 0.1);
  });
});

test('the angle is the larger of the factory’s and the least the steel carries, more in rough use', () => {
  const acute = blade({ steel: 'soft-stainless', edgeAngleDeg: 11 });
  expect(effectiveAngleDeg(acute, steelOf(acute), false)).toBe(steelOf(acute).leastAngleDeg);
  expect(effectiveAngleDeg(acute, steelOf(acute), true)).toBe(steelOf(acute).leastAngleDeg + EDGE.angle.rough.value);
  expect(effectiveAngleDeg(blade({ edgeAngleDeg: 25 }), steelOf(acute), true)).toBe(25);
  expect(isGroundTooAcute(acute, steelOf(acute))).toBe(true);
  const single = blade({ steel: 'plain-carbon', bevel: 'single', edgeAngleDeg: 11 });
  expect(isGroundTooAcute(single, steelOf(single))).toBe(false);
  const teeth = blade({ steel: 'soft-stainless', edgeAngleDeg: 11, serration: 'pointed' });
  expect(effectiveAngleDeg(teeth, steelOf(teeth), true)).toBe(11);
});

test('average keenness is the mean of the decay, whatever the cycle', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 2000, noNaN: true }),
      fc.double({ min: 1, max: 4000, noNaN: true }),
      fc.double({ min: 0.5, max: 1, noNaN: true }),
      (half, minutes, peak) => {
        const floor = EDGE.floor.value;
        const STEPS = 4000;
        let sum = 0;
        for (let i = 0; i < STEPS; i++)
          sum += floor + (peak - floor) * Math.pow(0.5, (((i + 0.5) / STEPS) * minutes) / half);
        expect(averageKeenness(half, minutes, peak)).toBeCloseTo(sum / STEPS, 4);
      },
    ),
    { numRuns: 30 },
  );
});

test('few shipped edges are too acute for their steel', () => {
  const acute = shippedModels.filter((m) => isGroundTooAcute(m, steelOf(m)));
  expect(acute.length).toBeGreaterThan(0);
  expect(acute.length).toBeLessThanOrEqual(0.02 * shippedModels.length);
});

describe('people who cut for hours', () => {
  const BUSY = 900;
  test('go to their stones when the edge asks, and keenness falls only where they say at most how often', () => {
    const due = life(soft, BUSY);
    expect(due.sharpenEveryWeeks).toBeLessThan(2);
    const seldom = life(soft, BUSY, { sharpenAtMostEveryWeeks: 6 });
    expect(seldom.sharpenEveryWeeks).toBe(6);
    expect(seldom.averageKeenness).toBeLessThan(due.averageKeenness - 0.1);
    // who needs it less often is not sent there more often
    expect(life(soft, 20, { sharpenAtMostEveryWeeks: 6 })).toEqual(life(soft, 20));
  });

  test('at the same interval, and when due, no slot and no machine keeps an edge better than own stones', () => {
    for (const minutes of [5, 40, 200, BUSY])
      for (const sharpening of ['pull-through', 'powered'] as const) {
        const other = life(hard, minutes, { sharpening });
        expect(life(hard, minutes).averageKeenness).toBeGreaterThanOrEqual(other.averageKeenness);
        const same = life(hard, minutes, { sharpenAtMostEveryWeeks: other.sharpenEveryWeeks });
        if (same.sharpenEveryWeeks === other.sharpenEveryWeeks)
          expect(same.averageKeenness).toBeGreaterThan(other.averageKeenness);
      }
  });
});
