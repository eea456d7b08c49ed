import { z } from '../zod';
import { bladeModelSchema } from '../blade/schema';

const line = z.string().max(300);

/** A sheet for the kitchen wall: what each knife is for, who may use it and how it is treated, and the rules that hold for all. */
export const wallSheetSchema = z.strictObject({
  title: z.string().max(200),
  knives: z
    .array(
      z.strictObject({
        name: z.string().max(200),
        blade: bladeModelSchema,
        /** What it is taken for, most minutes first. */
        does: z.array(line).max(6),
        never: z.array(line).max(6),
        care: z.array(line).max(6),
        /** Who may use it; null: everyone. */
        who: z.array(z.string().max(80)).max(12).nullable(),
      }),
    )
    .max(100),
  rules: z.array(line).max(20),
});
export type WallSheet = z.infer<typeof wallSheetSchema>;
