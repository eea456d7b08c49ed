import type { Problem } from './problem';

/** Places that accept the same candidates, filled in any order. */
export interface PlaceClass {
  /** Indices of the problem's places. */
  places: number[];
  fits: readonly number[];
  required: boolean;
}

/** A class in which others lie: whatever they accept it accepts too. */
export interface Nest {
  /** Index of the class around the others; −1 where none lies in another. */
  outer: number;
  /** By class whether it lies in that one. */
  isInner: readonly boolean[];
}

/** The optional class that accepts most, and which others lie in it. */
export function nestOf(classes: readonly PlaceClass[]): Nest {
  const outer = classes.reduce(
    (most, { fits, required }, at) => (!required && fits.length > (classes[most]?.fits.length ?? 0) ? at : most),
    -1,
  );
  const accepted = new Set(classes[outer]?.fits);
  const isInner = classes.map(({ fits }, at) => at !== outer && fits.length > 0 && fits.every((i) => accepted.has(i)));
  return { outer: isInner.includes(true) ? outer : -1, isInner };
}

/** The places of a problem by what they accept and whether they have to be filled. */
export function classesOf(problem: Pick<Problem, 'places'>): PlaceClass[] {
  const classes = new Map<string, PlaceClass>();
  problem.places.forEach(({ fits, required }, place) => {
    const key = `${required}:${fits.join()}`;
    const known = classes.get(key);
    if (known) known.places.push(place);
    else classes.set(key, { places: [place], fits, required });
  });
  return [...classes.values()];
}
