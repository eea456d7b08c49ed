import facts from './typeFacts.json';

/** Written from the reference by `npm run -s schemas`, like the names. */
const all = Object.entries(facts);

/** What each blade type is, in a line. */
export const typeBlurbs = new Map(all.map(([id, { blurb }]) => [id, blurb]));
/** The usual length of each blade type, mm. */
export const usualLengths = new Map(all.map(([id, { usualLengthMm }]) => [id, usualLengthMm]));
/** What each blade type is for in a kit. */
export const typeRoles = new Map(all.map(([id, { role }]) => [id, role]));
