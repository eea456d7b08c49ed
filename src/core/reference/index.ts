import type { BladeType, Steel } from '../blade/schema';
import type { KnifeSet, VolumeOffer } from '../catalogue/offers';
import type { Cuisine, Dish, Tool } from '../cutting/dish';
import type { Task } from '../cutting/task';
import type { HandCheck } from '../trial/handCheck';

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

/** The same knowledge as lists, once read. */
export type ReferenceRows = {
  [K in keyof Reference]: Reference[K] extends Map<string, infer Row> ? Row[] : Reference[K];
};

const byId = <T extends { id: string }>(rows: T[]) => new Map(rows.map((row) => [row.id, row]));

/** Rows that were read, by id. */
export const referenceOf = (rows: ReferenceRows): Reference => ({
  types: byId(rows.types),
  steels: byId(rows.steels),
  tasks: byId(rows.tasks),
  dishes: byId(rows.dishes),
  cuisines: byId(rows.cuisines),
  tools: byId(rows.tools),
  sets: byId(rows.sets),
  volumes: rows.volumes,
  handChecks: rows.handChecks,
});
