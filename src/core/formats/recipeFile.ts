import { z } from '../zod';

const text = z.string().max(4000);
const tasks = z
  .array(
    z.strictObject({
      id: z.string().max(80),
      amount: z.number().positive(),
      /** The food has no task of its own; the nearest one stands for it, counted by size. */
      standsFor: text.optional(),
    }),
  )
  .max(20);

const recipeLineSchema = z.strictObject({
  line: text,
  quantity: z.number().nullable(),
  unit: text.nullable(),
  food: text.nullable(),
  cut: text.nullable(),
  tasks,
  /** As it was corrected before. */
  corrected: z.literal(true).optional(),
  /** A question about an amount that no kitchen has. */
  ask: text.optional(),
});
/** One line of a recipe as it was understood. */
export type RecipeLine = z.infer<typeof recipeLineSchema>;

export const recipeFileSchema = z.strictObject({
  format: z.literal('scabbard.recipe'),
  version: z.literal(1),
  name: text.nullable(),
  portions: z.number().positive(),
  /** ISO 639-1 code, where the recipe is not in English. */
  language: z.string().length(2).optional(),
  lines: z.array(recipeLineSchema),
  unread: z.array(text),
  /** Cuts the method orders of what stands in no line. */
  method: z.array(z.strictObject({ step: z.number().int().positive(), text, tasks })).optional(),
});
/** A recipe as it was understood: every line read, or listed among the unread. */
export type Recipe = z.infer<typeof recipeFileSchema>;
