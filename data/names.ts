import names from './names.json';

const byId = (rows: Record<string, string>) => new Map(Object.entries(rows));

/**
 * Plain names by id, for screens that need no more than that: `names.json` is written from the reference by `npm run -s schemas`, so that no screen
 * loads the whole of it.
 */
export const cuisineNames = byId(names.cuisines);
/** Makers of the shipped models, which are invented: examples to plan with. */
export const shippedMakers: ReadonlySet<string> = new Set(Object.values(names.makers));
export const taskNames = byId(names.tasks);
export const toolNames = byId(names.tools);
export const typeNames = byId(names.types);
