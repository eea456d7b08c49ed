import type { Reading } from '../core/edge/meter';
import { z } from '../core/zod';
import { Refused } from './http';

/** A kitchen scale that tells its readings as they come, until it is done or stopped. Another device is another of these. */
export interface EdgeScale {
  name: string;
  read(onReading: (reading: Reading) => void, stop: AbortSignal): Promise<void>;
}

const readingSchema = z.object({ ms: z.number(), grams: z.number().nullable() });

/** A line of the device as a reading; null where it came through broken. */
function readingIn(line: string): Reading | null {
  try {
    return readingSchema.safeParse(JSON.parse(line)).data ?? null;
  } catch {
    return null;
  }
}

/** The scale that ships with the application: a small device on this machine, with noise, drift, a load on it, and readings lost. */
export const simulatedScale = (peakGrams: number, seed: number): EdgeScale => ({
  name: 'Simulated scale',
  async read(onReading, stop) {
    const answer = await fetch(`/api/simulated-scale?peak=${Math.round(peakGrams)}&tare=36&seed=${seed}`, {
      signal: stop,
    }).catch(() => null);
    const stream = answer?.ok ? answer.body?.getReader() : undefined;
    if (!stream) {
      if (stop.aborted) return;
      throw new Refused(answer?.status ?? 0, 'The scale does not answer. Type the grams instead.');
    }
    const text = new TextDecoder();
    let rest = '';
    for (;;) {
      const { done, value } = await stream.read().catch(() => ({ done: true, value: undefined }));
      if (done) return;
      const lines = (rest + text.decode(value, { stream: true })).split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) {
        const reading = readingIn(line);
        if (reading) onReading(reading);
      }
    }
  },
});
