import { z } from '../zod';
import { type BladeType, bladeTypeSchema, type Steel, steelSchema } from '../blade/schema';
import { type Cuisine, cuisineSchema, type Dish, dishSchema, type Tool, toolSchema } from '../cutting/dish';
import { type Task, taskSchema } from '../cutting/task';
import { type HandCheck, handCheckSchema } from '../trial/handTest';
import { type KnifeSet, setSchema, type VolumeOffer, volumeSchema } from '../catalogue/offers';

/** The trade knowledge every computation is given: types, steels, tasks, dishes, cuisines and tools, by id. */
export interface Reference {
  types: Map<string, BladeType>;
  steels: Map<string, Steel>;
  tasks: Map<string, Task>;
  dishes: Map<string, Dish>;
  cuisines: Map<string, Cuisine>;
  tools: Map<string, Tool>;
  /** Sets sold whole. */
  sets: Map<string, KnifeSet>;
  /** Makers that take something off from so many knives on. */
  volumes: VolumeOffer[];
  /** The checks of the hand test, in their order. */
  handChecks: HandCheck[];
}

const byId = <T extends { id: string }>(rows: T[]) => new Map(rows.map((row) => [row.id, row]));

/** Parses raw reference rows. Throws a ZodError that names the row and field at fault. */
export function readReference(raw: Record<keyof Reference, unknown>): Reference {
  return {
    types: byId(z.array(bladeTypeSchema).parse(raw.types)),
    steels: byId<Steel>(z.array(steelSchema).parse(raw.steels)),
    tasks: byId(z.array(taskSchema).parse(raw.tasks)),
    dishes: byId(z.array(dishSchema).parse(raw.dishes)),
    cuisines: byId(z.array(cuisineSchema).parse(raw.cuisines)),
    tools: byId(z.array(toolSchema).parse(raw.tools)),
    sets: byId(z.array(setSchema).parse(raw.sets)),
    volumes: z.array(volumeSchema).parse(raw.volumes),
    handChecks: z.array(handCheckSchema).parse(raw.handChecks),
  };
}
