import { bladeTypeSchema, steelSchema } from '../blade/schema';
import { setSchema, volumeSchema } from '../catalogue/offers';
import { cuisineSchema, dishSchema, toolSchema } from '../cutting/dish';
import { taskSchema } from '../cutting/task';
import { handCheckSchema } from '../trial/handCheck';
import { z } from '../zod';
import type { Reference, ReferenceRows } from '.';

/** Parses raw reference rows. Throws a ZodError that names the row and field at fault. */
export const readReference = (raw: Record<keyof Reference, unknown>): ReferenceRows => ({
  types: z.array(bladeTypeSchema).parse(raw.types),
  steels: z.array(steelSchema).parse(raw.steels),
  tasks: z.array(taskSchema).parse(raw.tasks),
  dishes: z.array(dishSchema).parse(raw.dishes),
  cuisines: z.array(cuisineSchema).parse(raw.cuisines),
  tools: z.array(toolSchema).parse(raw.tools),
  sets: z.array(setSchema).parse(raw.sets),
  volumes: z.array(volumeSchema).parse(raw.volumes),
  handChecks: z.array(handCheckSchema).parse(raw.handChecks),
});
