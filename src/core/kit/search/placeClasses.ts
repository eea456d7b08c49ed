import type { Problem } from './problem';

/** Places that accept the same candidates, filled in any order. */
export interface PlaceClass {
  /** Indices of the problem's places. */
  places: number[];
  fits: readonly number[];
  required: boolean;
}

/** Which classes lie in an optional one that accepts whatever they accept too. */
export interface Nest {
  /** By class the index of the one around it; −1 where none is. One that is around others lies in none itself. */
  around: readonly number[];
  /** By class whether others lie in it. */
  isAround: readonly boolean[];
}

/** For each class the optional one that accepts most of those that accept all it does. */
export function nestOf(classes: readonly PlaceClass[]): Nest {
  const accepted = classes.map(({ fits }) => new Set(fits));
  const around = classes.map(({ fits }, at) =>
    classes.reduce((most, other, o) => {
      const isMore = (classes[most]?.fits.length ?? 0) < other.fits.length;
      const holds = () => fits.length > 0 && fits.every((i) => accepted[o]?.has(i));
      return o !== at && !other.required && isMore && holds() ? o : most;
    }, -1),
  );
  return { around, isAround: classes.map((_, at) => around.includes(at)) };
}

/** The places of a problem by what they accept and whether they have to be filled. */
export function classesOf(problem: Pick<Problem, 'places'>): PlaceClass[] {
  const classes = new Map<string, PlaceClass>();
  const texts = new Map<readonly number[], string>();
  problem.places.forEach(({ fits, required }, place) => {
    // most places share one list
    const text = texts.get(fits) ?? fits.join();
    texts.set(fits, text);
    const key = `${required}:${text}`;
    const known = classes.get(key);
    if (known) known.places.push(place);
    else classes.set(key, { places: [place], fits, required });
  });
  return [...classes.values()];
}
