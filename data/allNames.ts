import makers from './makers.json';
import { reference } from './reference';

const named = (rows: ReadonlyMap<string, { name: string }>) =>
  Object.fromEntries([...rows].map(([id, { name }]) => [id, name]));

/** What `names.json` holds, taken from the reference. */
export const allNames = () => ({
  cuisines: named(reference.cuisines),
  makers: Object.fromEntries(makers.map(({ id, name }) => [id, name])),
  tasks: named(reference.tasks),
  tools: named(reference.tools),
  types: named(reference.types),
});

/** What `typeFacts.json` holds, taken from the reference. */
export const allTypeFacts = () =>
  Object.fromEntries(
    [...reference.types.values()].map(({ id, blurb, usualLengthMm, role }) => [id, { blurb, usualLengthMm, role }]),
  );
