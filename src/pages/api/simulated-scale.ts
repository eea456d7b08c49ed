import type { APIContext } from 'astro';
import { z } from '../../core/zod';
import { simulatedScale } from '../../core/edge/meter';
import { faultsOf, FaultyInput } from '../../core/formats/faults';
import { answering } from '../../server/http';

const asked = z.object({
  peak: z.coerce.number().min(30).max(2000),
  tare: z.coerce.number().min(0).max(2000),
  seed: z.coerce.number().int().min(0).max(1_000_000),
});

/** A kitchen scale that stands in for a real one: a line of JSON a reading, at the pace of a scale, until the thread has parted. */
export const GET = answering(({ url, request }: APIContext) => {
  const read = asked.safeParse(Object.fromEntries(url.searchParams));
  if (!read.success) throw new FaultyInput(faultsOf(read.error));
  const { peak, tare, seed } = read.data;
  const readings = simulatedScale(peak, tare, seed);
  const text = new TextEncoder();
  const began = Date.now();
  const stream = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { value, done } = readings.next();
      if (done || request.signal.aborted) {
        controller.close();
        return;
      }
      await new Promise((resolve) => setTimeout(resolve, Math.max(0, began + value.ms - Date.now())));
      controller.enqueue(text.encode(`${JSON.stringify(value)}\n`));
    },
    cancel() {
      readings.return();
    },
  });
  return Promise.resolve(
    new Response(stream, { headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' } }),
  );
});
