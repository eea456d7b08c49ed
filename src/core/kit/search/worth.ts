import { PEOPLE, WORTH } from '../../constants';
import type { Kitchen } from '../../kitchen/kitchen';
import { euroIn, fromMinor } from '../../money/currency';
import type { Candidate } from '../candidates/candidate';
import { isAllRound, kindOfPiece } from '../candidates/kinds';

/** What money is worth in a kitchen: minor units of its currency. */
export interface MoneyScale {
  /** What one point of coverage is paid. Above 0. */
  pointMinor: number;
  /** What one more thing in the drawer costs in room and care. */
  keepMinor: number;
  /** Several of a type are wanted as such: where three or more work at once. */
  inNumbers: boolean;
  /** One person at work. */
  alone: boolean;
}

/** Whether so many are at work that kinds of knife are counted, any number of each. */
export const isInNumbers = ({ cooksAtOnce }: Pick<Kitchen, 'cooksAtOnce'>): boolean =>
  cooksAtOnce >= PEOPLE.inNumbersFrom.value;

/**
 * The price of a point, minor units: what the cook says, or by the money there is: a twelfth of it up to 400 EUR, growing slower above
 * (handbook 10.6), halved by the sparing and tripled by the generous. Where three or more work at once it goes by the money for each of them: a point
 * is then a point for all.
 */
function pointPriceMinor(
  kitchen: Pick<Kitchen, 'budgetMinor' | 'investedMinor' | 'pointMinor' | 'spend' | 'currency' | 'cooksAtOnce'>,
): number {
  if (kitchen.pointMinor !== null) return Math.max(1, kitchen.pointMinor);
  const w = WORTH;
  const factor = w.spend[kitchen.spend].value;
  const people = isInNumbers(kitchen) ? kitchen.cooksAtOnce : 1;
  // the whole money in euro, by the same planning rate as the prices
  const rate = euroIn(1000, kitchen.currency) / 1000;
  const eur = kitchen.budgetMinor === null ? Infinity : (kitchen.budgetMinor + kitchen.investedMinor) / rate;
  const even = Math.max(w.pointLeastEur.value, people * evenPriceEur(eur / people));
  return Math.max(1, Math.round(factor * rate * even));
}

/** The price of a point for one person where the money works evenly, EUR. */
function evenPriceEur(eur: number): number {
  const w = WORTH;
  let [below, price] = [0, 0];
  for (const [money, there] of w.pointPriceEur) {
    if (eur < money)
      return price === 0 ? eur / w.pointShare.value : price + ((there - price) * (eur - below)) / (money - below);
    [below, price] = [money, there];
  }
  return price;
}

/** The scale of a kitchen's money. */
export const moneyScale = (kitchen: Kitchen): MoneyScale => ({
  pointMinor: pointPriceMinor(kitchen),
  keepMinor: euroIn(WORTH.keepEur.value, kitchen.currency),
  inNumbers: isInNumbers(kitchen),
  alone: kitchen.cooksAtOnce < 2,
});

/** What rescued weekly work weighs in the choice, coverage: the same to the sparing in money. */
export const rescueWorth = ({ spend }: Pick<Kitchen, 'spend'>): number =>
  WORTH.rescue.value / Math.min(1, WORTH.spend[spend].value);

const isThing = ({ action }: Candidate) => action === 'buy' || action === 'tool';

/**
 * What a step costs in coverage, 0–1: price and keeping over the price of a point, and half a point at least, so that nothing is proposed that
 * adds less. Two points at least beside an owned piece of its kind. `priceMinor`: what it is sold for here.
 */
export function costOf(step: Candidate, scale: MoneyScale, priceMinor = step.priceMinor): number {
  const { pointMinor, keepMinor, inNumbers } = scale;
  const point = step.isMain === true ? pointMinor * WORTH.mainKnife.value : pointMinor;
  const paid = (priceMinor + (isThing(step) ? keepMinor : 0)) / (100 * point);
  const least = step.isAgain && !inNumbers ? leastAgain(step) : WORTH.halfPoint.value;
  const filler = isThing(step) && step.isRescuer !== true ? WORTH.filler.value : 0;
  return Math.max(least, paid + filler + (step.dislike ?? 0)) + dearer(priceMinor, scale);
}

/** Where a least cost hides the price the cheaper of two is still the better: a thousandth of what the price comes to. */
const dearer = (priceMinor: number, { pointMinor }: MoneyScale): number =>
  (WORTH.dearer.value * priceMinor) / (100 * pointMinor);

/** Least a second piece for one kind of work adds, coverage. */
const leastAgain = ({ type }: Candidate): number =>
  isAllRound(type) ? WORTH.secondGeneral.value : WORTH.secondOfType.value;

/** The kind of work of which a step is a second piece where another is bought, as text; null where there is none. */
export const pieceKind = (step: Candidate): string | null => (step.action === 'buy' ? kindOfPiece(step) : null);

/**
 * What a second piece for one kind of work costs beyond its {@link costOf}, coverage: the same for each of a kind, so that a dear one does not
 * excuse a cheap one beside it. Of all-round knives for two cooks only what the price leaves of the least it must add.
 */
export function surchargeOf(step: Candidate, cost: number, scale: MoneyScale): number {
  const { inNumbers, alone } = scale;
  if (step.action !== 'buy' || inNumbers) return 0;
  if (!alone && isAllRound(step.type)) return Math.max(0, leastAgain(step) + dearer(step.priceMinor, scale) - cost);
  return leastAgain(step) - WORTH.halfPoint.value;
}

/** Price paid and kept over the price of a point, in points: what a plan tells as paid. */
export function pointsPaid(steps: readonly Candidate[], { pointMinor, keepMinor }: MoneyScale): number {
  return steps.reduce((sum, s) => sum + (s.priceMinor + (isThing(s) ? keepMinor : 0)) / pointMinor, 0);
}

/** The price of a point as the decimal amount a plan tells. */
export const pointPrice = ({ pointMinor }: MoneyScale, currency: string): number => fromMinor(pointMinor, currency);
