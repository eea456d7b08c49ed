import { z } from '../zod';

/** What keeps one knife, in sentences. */
export const careSchema = z.strictObject({
  name: z.string().max(200),
  lines: z.array(z.string().max(600)).max(30),
});
export type Care = z.infer<typeof careSchema>;
