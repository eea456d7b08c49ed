// What a server process reports to the command that watches it.
import { z } from '../../src/core/zod';

export const reportSchema = z.union([
  z.strictObject({ listening: z.literal(true) }),
  z.strictObject({ failed: z.string() }),
  z.strictObject({ alive: z.literal(true) }),
]);
export type Report = z.infer<typeof reportSchema>;

/** How often a process reports that its event loop turns, ms. */
export const ALIVE_EVERY_MS = 1_000;
