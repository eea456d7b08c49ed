/** Most steps whose order is searched exactly; longer plans fall back to gain for money. */
const EXACT_ORDER_LIMIT = 12;

/** How long a step at a price is waited for once so much is spent: in money, or in months. Above 0. */
export type Pace = (spentMinor: number, priceMinor: number) => number;

/**
 * Coverage against money. `waitMinor` (above 0) is what each step costs in waiting beside its price, so that cheap trifles do not push aside
 * what is missed most.
 */
export const byMoney =
  (waitMinor: number): Pace =>
  (_, priceMinor) =>
    priceMinor + waitMinor;

/** The month in which so much is paid for, from 1. */
export const monthOf = (spentMinor: number, perMonthMinor: number): number =>
  Math.max(1, Math.ceil(spentMinor / perMonthMinor));

/** Share of a month that {@link byMoney} counts for, so that what comes in the same month is in order too. */
const WITHIN_A_MONTH = 1e-3;

/** Coverage against months: a step is waited for until the month that pays for it. */
export const byMonth =
  (perMonthMinor: number, waitMinor: number): Pace =>
  (spentMinor, priceMinor) =>
    monthOf(spentMinor + priceMinor, perMonthMinor) -
    monthOf(spentMinor, perMonthMinor) +
    (WITHIN_A_MONTH * (priceMinor + waitMinor)) / perMonthMinor;

/**
 * The order that makes the early kit as good as it can be: least coverage missing while each step is waited for
 * (area over coverage against money or months, as `pace` says), by dynamic programming over subsets. `valueOf` gives the coverage of
 * some of the steps; one of `first`, when it is not empty, must come first. Returns indices.
 */
export function bestOrder(
  prices: readonly number[],
  valueOf: (steps: readonly number[]) => number,
  first: readonly number[],
  pace: Pace,
): number[] {
  const n = prices.length;
  if (n === 0) return [];
  if (n > EXACT_ORDER_LIMIT) return greedyOrder(prices, valueOf, first, pace);
  const full = (1 << n) - 1;
  const values = new Float64Array(full + 1);
  const spent = new Float64Array(full + 1);
  for (let mask = 0; mask <= full; mask++) {
    const steps = members(mask, n);
    values[mask] = valueOf(steps);
    spent[mask] = steps.reduce((sum, i) => sum + (prices[i] ?? 0), 0);
  }
  const cost = new Float64Array(full + 1).fill(Infinity);
  const came = new Int32Array(full + 1).fill(-1);
  cost[0] = 0;
  for (let mask = 0; mask < full; mask++) {
    const missing = (values[full] ?? 0) - (values[mask] ?? 0);
    for (let i = 0; i < n; i++) {
      if (mask & (1 << i) || (mask === 0 && first.length > 0 && !first.includes(i))) continue;
      const next = mask | (1 << i);
      const reached = (cost[mask] ?? Infinity) + pace(spent[mask] ?? 0, prices[i] ?? 0) * missing;
      if (reached < (cost[next] ?? Infinity) - 1e-12) {
        cost[next] = reached;
        came[next] = i;
      }
    }
  }
  const order: number[] = [];
  for (let mask = full; mask > 0;) {
    const i = came[mask] ?? -1;
    if (i < 0) break;
    order.unshift(i);
    mask &= ~(1 << i);
  }
  return order;
}

const members = (mask: number, n: number) => Array.from({ length: n }, (_, i) => i).filter((i) => mask & (1 << i));

function greedyOrder(
  prices: readonly number[],
  valueOf: (steps: readonly number[]) => number,
  first: readonly number[],
  pace: Pace,
): number[] {
  const order: number[] = [];
  while (order.length < prices.length) {
    const now = valueOf(order);
    const spent = order.reduce((sum, i) => sum + (prices[i] ?? 0), 0);
    const left = prices.flatMap((price, i) =>
      order.includes(i) || (order.length === 0 && first.length > 0 && !first.includes(i))
        ? []
        : [{ i, worth: (valueOf([...order, i]) - now) / pace(spent, price) }],
    );
    order.push(left.reduce((best, each) => (each.worth > best.worth ? each : best)).i);
  }
  return order;
}
