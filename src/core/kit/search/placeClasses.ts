import type { Problem } from './problem';

/** Places that accept the same candidates, filled in any order. */
export interface PlaceClass {
  /** Indices of the problem's places. */
  places: number[];
  fits: readonly number[];
  required: boolean;
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
