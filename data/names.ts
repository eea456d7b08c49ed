import cuisines from './cuisines.json';
import tasks from './tasks.json';
import tools from './tools.json';
import types from './types.json';

const names = (rows: readonly { id: string; name: string }[]) => new Map(rows.map(({ id, name }) => [id, name]));

/** Plain names by id, for screens that need no more than that. */
export const cuisineNames = names(cuisines);
export const taskNames = names(tasks);
export const toolNames = names(tools);
export const typeNames = names(types);
/** What each blade type is, in a line. */
export const typeBlurbs = new Map(types.map(({ id, blurb }) => [id, blurb]));
/** The usual length of each blade type, mm. */
export const usualLengths = new Map(types.map(({ id, usualLengthMm }) => [id, usualLengthMm]));
/** What each blade type is for in a kit. */
export const typeRoles = new Map(types.map(({ id, role }) => [id, role]));
