import type { Reference } from '../src/core/reference';
import { reference } from './reference';

const named = (rows: ReadonlyMap<string, { name: string }>) =>
  Object.fromEntries([...rows].map(([id, { name }]) => [id, name]));
const ofTypes = <T>(of: (type: Reference['types'] extends Map<string, infer U> ? U : never) => T) =>
  Object.fromEntries([...reference.types.values()].map((type) => [type.id, of(type)]));

/** What `names.json` holds, taken from the reference. */
export const allNames = () => ({
  cuisines: named(reference.cuisines),
  tasks: named(reference.tasks),
  tools: named(reference.tools),
  types: named(reference.types),
  blurbs: ofTypes(({ blurb }) => blurb),
  usualLengths: ofTypes(({ usualLengthMm }) => usualLengthMm),
  roles: ofTypes(({ role }) => role),
});
