/** Most steps whose order is searched exactly; longer plans fall back to gain for money. */
export const EXACT_ORDER_LIMIT = 12;

/**
 * The order that makes the early kit as good as it can be: least coverage missing while each step is being paid for
 * (area over coverage against money), by dynamic programming over subsets. `valueOf` gives the coverage of some of the steps;
 * one of `first`, when it is not empty, must come first. `waitMinor` (above 0) is
 * what each step costs in waiting beside its price, so that cheap trifles do not push aside what is missed most. Returns indices.
 */
export function bestOrder(
  prices: readonly number[],
  valueOf: (steps: readonly number[]) => number,
  first: readonly number[],
  waitMinor: number,
): number[] {
  const n = prices.length;
  if (n === 0) return [];
  if (n > EXACT_ORDER_LIMIT) return greedyOrder(prices, valueOf, first, waitMinor);
  const full = (1 << n) - 1;
  const values = new Float64Array(full + 1);
  for (let mask = 0; mask <= full; mask++) values[mask] = valueOf(members(mask, n));
  const cost = new Float64Array(full + 1).fill(Infinity);
  const came = new Int32Array(full + 1).fill(-1);
  cost[0] = 0;
  for (let mask = 0; mask < full; mask++) {
    const missing = (values[full] ?? 0) - (values[mask] ?? 0);
    for (let i = 0; i < n; i++) {
      if (mask & (1 << i) || (mask === 0 && first.length > 0 && !first.includes(i))) continue;
      const next = mask | (1 << i);
      const reached = (cost[mask] ?? Infinity) + ((prices[i] ?? 0) + waitMinor) * missing;
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
  waitMinor: number,
): number[] {
  const order: number[] = [];
  while (order.length < prices.length) {
    const now = valueOf(order);
    const left = prices.flatMap((price, i) =>
      order.includes(i) || (order.length === 0 && first.length > 0 && !first.includes(i))
        ? []
        : [{ i, worth: (valueOf([...order, i]) - now) / (price + waitMinor) }],
    );
    order.push(left.reduce((best, each) => (each.worth > best.worth ? each : best)).i);
  }
  return order;
}
