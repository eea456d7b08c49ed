import { EDGE, EDGE_METER } from '../constants';
import type { CUT_TESTS, TEST_RESULTS } from '../formats/kitchenWords';

/** A test of keenness, and the work the edge had done by then. */
export interface KeennessTest {
  /** Minutes of board work since the last sharpening. */
  minutes: number;
  /** Minutes of that after which it was honed each time, in their order. */
  honedAt: readonly number[];
  test: (typeof CUT_TESTS)[number];
  result?: (typeof TEST_RESULTS)[number] | undefined;
  grams?: number | undefined;
}

/** A figure with the bounds between which it lies eight times in ten. */
export interface Learned {
  low: number;
  middle: number;
  high: number;
}

/** What tests say of an edge in its kitchen. */
export interface EdgeLearned {
  /** Half-life against the computed one, a factor. */
  halfLife: Learned;
  /** Share of the keenness lost that a honing gives back, 0–1; null where no test tells. */
  honing: Learned | null;
  tests: number;
}

const { floor } = EDGE;

/** Keenness, 0–1, after minutes of work with honings between that each give back a share of what was lost. */
export function keennessAfterHonings(
  minutes: number,
  honedAt: readonly number[],
  halfLife: number,
  share: number,
): number {
  let lost = 0;
  let before = 0;
  const all = 1 - floor.value;
  const work = (to: number) => {
    lost = all - (all - lost) * 2 ** (-(to - before) / halfLife);
    before = to;
  };
  for (const at of honedAt) {
    if (at > minutes) break;
    work(at);
    lost *= 1 - share;
  }
  work(minutes);
  return 1 - lost;
}

/** Grams that sever a stretched thread at some keenness: exponential between a keen and a dull edge (handbook 9.5). */
export const gramsAt = (keenness: number): number => {
  const { keenGrams, dullGrams } = EDGE_METER;
  return keenGrams.value * (dullGrams.value / keenGrams.value) ** ((1 - keenness) / (1 - floor.value));
};

/** Keenness that so many grams stand for, 0–1: {@link gramsAt} the other way round, within the range an edge can have. */
export function keennessOfGrams(grams: number): number {
  const { keenGrams, dullGrams } = EDGE_METER;
  const lost = Math.log(grams / keenGrams.value) / Math.log(dullGrams.value / keenGrams.value);
  return Math.min(1, Math.max(floor.value, 1 - lost * (1 - floor.value)));
}

const logistic = (x: number) => 1 / (1 + Math.exp(-x));

/** How likely a test comes out so at some keenness. */
function likelihood({ test, result, grams }: KeennessTest, keenness: number): number {
  if (test === 'thread') {
    if (grams === undefined) return 1;
    const off = Math.log(grams / gramsAt(keenness)) / EDGE_METER.gramsSpread.value;
    return Math.exp(-0.5 * off * off) + 1e-6;
  }
  if (result === undefined) return 1;
  const { catches, clean } = EDGE_METER[test];
  const spread = EDGE_METER.feelSpread.value;
  const atLeast = (from: number) => logistic((keenness - from) / spread);
  const [some, all] = [atLeast(catches.value), atLeast(clean.value)];
  return Math.max(1e-6, result === 'clean' ? all : result === 'catches' ? some - all : 1 - some);
}

const grid = (n: number, at: (share: number) => number) => Array.from({ length: n }, (_, i) => at(i / (n - 1)));

/** Where a weighted list of figures in order passes a share. */
function quantile(values: readonly number[], weights: readonly number[], share: number): number {
  const total = weights.reduce((a, b) => a + b, 0);
  let sum = 0;
  for (let i = 0; i < values.length; i++) {
    sum += weights[i] ?? 0;
    if (sum >= share * total) return values[i] ?? 1;
  }
  return values.at(-1) ?? 1;
}

const spreadOf = (values: readonly number[], weights: readonly number[]): Learned => ({
  low: quantile(values, weights, 0.1),
  middle: quantile(values, weights, 0.5),
  high: quantile(values, weights, 0.9),
});

/**
 * What tests of keenness say of an edge (handbook 9.5), by Bayes over a grid: the half-life's factor with a log-normal prior about 1 of spread
 * {@link EDGE_METER}.priorSpread, and the share of lost keenness a honing gives back with an even prior. Without tests the prior comes out.
 *
 * @example learnEdge([], 400).halfLife.middle // 1
 */
export function learnEdge(tests: readonly KeennessTest[], halfLife: number): EdgeLearned {
  const { priorSpread } = EDGE_METER;
  const factors = grid(61, (share) => Math.exp(3 * priorSpread.value * (2 * share - 1)));
  const shares = grid(13, (share) => 0.9 * share);
  const byFactor = new Array<number>(factors.length).fill(0);
  const byShare = new Array<number>(shares.length).fill(0);
  factors.forEach((factor, f) => {
    const prior = Math.exp(-0.5 * (Math.log(factor) / priorSpread.value) ** 2);
    shares.forEach((share, s) => {
      let weight = prior;
      for (const test of tests)
        weight *= likelihood(test, keennessAfterHonings(test.minutes, test.honedAt, halfLife * factor, share));
      byFactor[f] = (byFactor[f] ?? 0) + weight;
      byShare[s] = (byShare[s] ?? 0) + weight;
    });
  });
  const tellsHoning = tests.some(({ honedAt, minutes }) => honedAt.some((at) => at <= minutes));
  return {
    halfLife: spreadOf(factors, byFactor),
    honing: tellsHoning ? spreadOf(shares, byShare) : null,
    tests: tests.length,
  };
}
