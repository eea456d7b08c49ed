/** Someone who wants a knife for a task: the column of the rows that tells how well one serves, and the share of coverage it counts. */
export interface Role {
  column: number;
  weight: number;
}

/**
 * A moment at a task: so many people at it at once, each served by a knife of their own. `same`: all read one column and count less one
 * after another, so that the best knives serve in order; otherwise it is two or three people of different hands.
 */
export interface State {
  task: number;
  roles: readonly Role[];
  same: boolean;
  /** Weekly work brought out of a struggle: counted in the choice, not in coverage. */
  rescue: boolean;
}

/** What a kit is measured against. Rows of candidates have one figure, 0–1, for every column. */
export interface Demand {
  columns: number;
  states: readonly State[];
  /** Weight of each task; sums to `total`. */
  weights: Float64Array;
  total: number;
}
