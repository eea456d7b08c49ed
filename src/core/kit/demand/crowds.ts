import type { TaskLoad } from '../../load/load';
import { type WorkKind, workKind } from '../../cutting/work';

/** P(exactly k of n), each with probability p. */
function binomial(n: number, k: number, p: number): number {
  let chance = 1;
  for (let i = 0; i < k; i++) chance *= (n - i) / (i + 1);
  return chance * Math.pow(p, k) * Math.pow(1 - p, n - k);
}

/** P(so many, 1 … n, are at a kind of work when one is): the others join with probability `joins` each. */
const crowds = (n: number, joins: number) => Array.from({ length: n }, (_, k) => binomial(n - 1, k, joins));

/** Share of the minutes in each kind of work, 0–1. */
export function workShares(loads: readonly TaskLoad[]): Map<WorkKind, number> {
  const total = loads.reduce((sum, load) => sum + load.minutesPerWeek, 0);
  const shares = new Map<WorkKind, number>();
  for (const { task, minutesPerWeek } of loads) {
    const kind = workKind(task);
    shares.set(kind, (shares.get(kind) ?? 0) + (total > 0 ? minutesPerWeek / total : 0));
  }
  return shares;
}

/**
 * How many are at a kind of work at once, as chances for 1, 2 … people: with `cooksAtOnce` at work, each of the others is at it with the share
 * of the minutes that kind takes (handbook 8.4). Where more cook by turns than at once, each of them is there as much more seldom.
 */
export function crowdAt(
  kind: WorkKind,
  shares: ReadonlyMap<WorkKind, number>,
  cooksAtOnce: number,
  cooks: number,
): number[] {
  if (kind === 'table' || kind === 'child' || kind === 'tool' || kind === 'blow') return [1];
  const people = Math.max(cooksAtOnce, cooks);
  const there = people > 1 ? (cooksAtOnce - 1) / (people - 1) : 0;
  return crowds(people, (shares.get(kind) ?? 0) * there);
}
