import type { Kitchen } from '../../kitchen/kitchen';
import type { Problem } from '../search/problem';
import { moneyScale } from '../search/worth';

/** The money a kit is chosen for. */
export type Money = Pick<Problem, 'budgetMinor' | 'scale'>;

/** A kitchen's money were there `sum` in all, of which `aside` is put aside, minor units, at the price of a point that belongs to it. */
export const moneyOf = (kitchen: Kitchen, sum: number, aside: number): Money => ({
  budgetMinor: sum - aside,
  scale: moneyScale({ ...kitchen, budgetMinor: sum }),
});
