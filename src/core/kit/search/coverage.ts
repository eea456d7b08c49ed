import type { Candidate } from '../candidates/candidate';
import type { Problem, Choice } from './problem';
import { filledKit, KitValue } from './value';

/** The candidates of a choice. */
export const kitOf = ({ candidates }: Pick<Problem, 'candidates'>, choice: Choice): Candidate[] =>
  [...choice].flatMap((index) => (index >= 0 ? (candidates[index] ?? []) : []));

/** What is owned and some steps with all they do. */
export const kitWith = (
  { demand, owned, given }: Pick<Problem, 'demand' | 'owned' | 'given'>,
  steps: readonly Candidate[],
  rowsOf: (step: Candidate) => Float64Array = (step) => step.usefulness,
): KitValue => filledKit(new KitValue(demand), { owned, given }, steps, rowsOf);

/** What is owned and some steps truly cover, 0–1: with all they do, and without what rescued work weighs in the choice. */
export const coverageOfKit = (...kit: Parameters<typeof kitWith>): number => Math.min(1, kitWith(...kit).value(false));
