import { z } from '../zod';
import { FOODS_AVOIDED } from './words';

/** A dish: what it asks of the knives for four portions, where it belongs and what it contains. */
export const dishSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  /** What else it is called, in any language; dishes cut for in the same way may share one entry. */
  also: z.array(z.string().min(2)).optional(),
  /** Cuisines whose everyday menus it stands on; none: it is cooked where it is named. */
  cuisines: z.array(z.string()),
  contains: z.array(z.enum(FOODS_AVOIDED)),
  tasks: z
    .array(z.strictObject({ id: z.string(), amount: z.number().positive(), optional: z.boolean().optional() }))
    .min(1),
});
export type Dish = z.infer<typeof dishSchema>;

/** A cuisine is the set of dishes that name it, taken in equal shares, and what is usually cut beside them at each meal for four. */
export const cuisineSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  usual: z.array(z.strictObject({ id: z.string(), amount: z.number().positive() })).optional(),
  /** Where nothing else is said cut food is carried to the pan on the flat of the blade. */
  lifts: z.literal('flat').optional(),
  /** Whoever cooks it takes animals apart. */
  takesApart: z.literal(true).optional(),
});
export type Cuisine = z.infer<typeof cuisineSchema>;

export const toolSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  priceMinor: z.number().int().nonnegative(),
});
export type Tool = z.infer<typeof toolSchema>;
