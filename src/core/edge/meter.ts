import { EDGE_METER } from '../constants';

/** A reading of a kitchen scale: milliseconds since it was switched on, and grams; null where the reading was lost. */
export interface Reading {
  ms: number;
  grams: number | null;
}

/**
 * A kitchen scale that stands in for a real one: a reading every 50 ms, with noise, a slow drift, and readings lost now and then. A thread is
 * pressed on from one second on until it parts at `peakGrams`, about two seconds later; `tareGrams` lies on it all the while. The same seed gives
 * the same readings.
 */
export function* simulatedScale(peakGrams: number, tareGrams: number, seed: number): Generator<Reading, void> {
  let state = seed >>> 0 || 1;
  const next = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
  const noise = () => (next() + next() + next() - 1.5) * 2 * EDGE_METER.scaleNoise.value;
  const pressed = 1000 + 400 * next();
  const parts = pressed + 1600 + 800 * next();
  const until = parts + 1800;
  const drift = (next() - 0.5) * EDGE_METER.scaleDrift.value;
  for (let ms = 0; ms <= until; ms += 50) {
    const lost = next() < EDGE_METER.scaleDrops.value;
    const share = Math.min(1, Math.max(0, (ms - pressed) / (parts - pressed)));
    const pushed = ms >= pressed && ms < parts ? peakGrams * (0.15 * share + 0.85 * share ** 1.6) : 0;
    yield { ms, grams: lost ? null : tareGrams + drift * (ms / 1000) + pushed + noise() };
  }
}

/** What a run of readings says: what lay on the scale before, and the most that was pressed beyond it, g; null before anything was. */
export interface Peak {
  tareGrams: number;
  peakGrams: number | null;
  /** The thread has parted: the load fell away. */
  parted: boolean;
}

const median = (values: readonly number[]) => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
};

/**
 * Reads the peak of a press from a scale's readings: the resting load is the median of the first half second, single stray readings are passed
 * over (a median of three), and it has parted when the load falls below half the peak.
 */
export function peakOf(readings: readonly Reading[]): Peak {
  const known = readings.flatMap(({ ms, grams }) => (grams === null ? [] : [{ ms, grams }]));
  const tareGrams = median(known.filter(({ ms }) => ms <= 500).map(({ grams }) => grams));
  let peak = 0;
  let parted = false;
  known.forEach((_, i) => {
    const three = known.slice(Math.max(0, i - 1), i + 2).map(({ grams }) => grams);
    const load = median(three) - tareGrams;
    if (!parted && load > peak) peak = load;
    if (peak >= EDGE_METER.leastGrams.value && load < 0.5 * peak) parted = true;
  });
  return { tareGrams, peakGrams: peak >= EDGE_METER.leastGrams.value ? peak : null, parted };
}
