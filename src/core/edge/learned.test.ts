import { describe, expect, test } from 'vitest';
import { EDGE, EDGE_METER } from '../constants';
import { gramsAt, keennessAfterHonings, keennessOfGrams, learnEdge, type KeennessTest } from './learned';
import { peakOf, simulatedScale } from './meter';

const HALF = 400;
/** Tests of an edge whose true half-life is so many times the computed one, and whose honings give back so much. */
const testsOf = (factor: number, give = 0, honedEvery = Infinity): KeennessTest[] =>
  [120, 260, 400, 620, 900].map((minutes) => {
    const honedAt = Array.from({ length: Math.floor(minutes / honedEvery) }, (_, i) => (i + 1) * honedEvery);
    return {
      minutes,
      honedAt,
      test: 'thread',
      grams: gramsAt(keennessAfterHonings(minutes, honedAt, HALF * factor, give)),
    };
  });

describe('an edge learned from tests', () => {
  test('without tests the computed half-life stands, with bounds as wide as the prior', () => {
    const { halfLife, honing, tests } = learnEdge([], HALF);
    expect([halfLife.middle, honing, tests]).toEqual([1, null, 0]);
    expect(Math.log(halfLife.high)).toBeCloseTo(1.28 * EDGE_METER.priorSpread.value, 1);
  });

  test('readings pull it to what is true, and narrow it', () => {
    for (const factor of [0.6, 1.7]) {
      const { halfLife } = learnEdge(testsOf(factor), HALF);
      expect(halfLife.low).toBeLessThan(factor);
      expect(halfLife.high).toBeGreaterThan(factor);
      expect(Math.abs(Math.log(halfLife.middle / factor))).toBeLessThan(0.15);
      const one = learnEdge(testsOf(factor).slice(0, 1), HALF).halfLife;
      expect(halfLife.high / halfLife.low).toBeLessThan(one.high / one.low);
    }
  });

  test('paper, skin and onion tell by how they cut', () => {
    const at = (result: 'clean' | 'catches' | 'fails') =>
      learnEdge([{ minutes: HALF, honedAt: [], test: 'tomato', result }], HALF).halfLife.middle;
    expect(at('clean')).toBeGreaterThan(at('catches'));
    expect(at('catches')).toBeGreaterThan(at('fails'));
  });

  test('what honing gives back shows where it was honed', () => {
    const gives = (give: number) => learnEdge(testsOf(1, give, 60), HALF).honing?.middle ?? 0;
    expect(gives(0.7)).toBeGreaterThan(gives(0.1) + 0.2);
    expect(keennessAfterHonings(300, [100, 200], HALF, 0.5)).toBeGreaterThan(keennessAfterHonings(300, [], HALF, 0.5));
    expect(keennessAfterHonings(HALF, [], HALF, 0)).toBeCloseTo((1 + EDGE.floor.value) / 2, 9);
  });

  test('grams and keenness are one scale read two ways', () => {
    for (const keenness of [0.45, 0.7, 1]) expect(keennessOfGrams(gramsAt(keenness))).toBeCloseTo(keenness, 9);
    expect(keennessOfGrams(5000)).toBe(EDGE.floor.value);
  });
});

describe('the simulated scale', () => {
  test('through noise, drift, a load on it and lost readings the peak is read within a few grams', () => {
    for (const [peak, tare, seed] of [
      [140, 36, 1],
      [320, 0, 2],
      [510, 800, 3],
      [90, 12, 4],
    ] as const) {
      const readings = [...simulatedScale(peak, tare, seed)];
      expect(readings.some(({ grams }) => grams === null)).toBe(true);
      const found = peakOf(readings);
      expect(found.parted).toBe(true);
      expect(Math.abs((found.peakGrams ?? 0) - peak)).toBeLessThan(0.06 * peak + 6);
      expect(Math.abs(found.tareGrams - tare)).toBeLessThan(4);
    }
  });

  test('nothing pressed is no peak, and one stray reading neither', () => {
    const rest = Array.from({ length: 60 }, (_, i) => ({ ms: 50 * i, grams: 20 }));
    expect(peakOf(rest).peakGrams).toBeNull();
    expect(peakOf(rest.map((each, i) => (i === 30 ? { ...each, grams: 900 } : each))).peakGrams).toBeNull();
    expect(peakOf([]).peakGrams).toBeNull();
  });
});
