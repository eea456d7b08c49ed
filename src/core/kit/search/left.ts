import type { Nest } from './placeClasses';

/** A candidate taken, and the class of places it was taken for. */
export interface Taken {
  candidate: number;
  at: number;
}

/** Places of one class that are still to be filled, and the candidates that may come into them. */
export interface Left {
  at: number;
  many: number;
  required: boolean;
  open: readonly number[];
}

/** What is decided so far: what is in for certain, and what is left to be filled. */
export interface Decided {
  taken: readonly Taken[];
  left: readonly Left[];
}

/** What is left once a candidate is in none of some places; nor is it in those around them, as it would stand in these first. */
export function leftWithout({ around }: Nest, left: readonly Left[], among: number, candidate: number): Left[] {
  const from = left[among];
  const outer = around[from?.at ?? -1] ?? -1;
  const isOut = (each: Left) => each === from || each.at === outer;
  return left.map((each) => (isOut(each) ? { ...each, open: each.open.filter((i) => i !== candidate) } : each));
}

/** Where a candidate chosen among some places is put first: in places within those, if any are left that accept it. */
export function firstPlaceOf({ around }: Nest, left: readonly Left[], among: number, candidate: number): number {
  const outer = left[among]?.at;
  const within = left.findIndex(({ at, open }) => around[at] === outer && open.includes(candidate));
  return within >= 0 ? within : among;
}
