import { PEOPLE } from '../../constants';
import type { TaskLoad } from '../../load/load';
import { workKind } from '../../cutting/work';
import type { Kitchen } from '../../kitchen/kitchen';
import { crowdAt, workShares } from './crowds';
import type { Demand, State } from './types';
import { type Hand, isPooled } from './hands';
import { rescued } from './rescue';

const RAW = ['Raw meat and poultry', 'Fish and shellfish'];

/** Share of a task done while a second knife is wanted, for one who cooks alone. */
function besides({ task }: TaskLoad, rawMeat: Kitchen['tastes']['rawMeat']): number {
  const kind = workKind(task);
  if (kind === 'blow' || kind === 'table' || kind === 'child' || kind === 'tool') return 0;
  const raw = RAW.includes(task.group);
  if (!raw || rawMeat === 'wash') return PEOPLE.backup.value;
  return rawMeat === 'own' ? PEOPLE.rawOwnKnife.value : PEOPLE.rawBesideVegetables.value;
}

/** States of one task for hands that are all alike: the k-th knife counts as often as k people are at that work. */
function alike(column: number, crowd: readonly number[], backup: number): State['roles'] {
  const atLeast = crowd.map((_, k) => crowd.slice(k).reduce((a, b) => a + b, 0));
  if (atLeast.length === 1)
    return [
      { column, weight: 1 - backup },
      { column, weight: backup },
    ];
  const total = atLeast.reduce((a, b) => a + b, 0);
  const shares = atLeast.map((b) => b / total).filter((share) => share >= PEOPLE.leastRole.value);
  const kept = shares.reduce((a, b) => a + b, 0);
  return shares.map((share) => ({ column, weight: share / kept }));
}

/**
 * States of one task for different hands: each alone; two at once, every two of different hands as often as they meet; and three or more, whose
 * knives are judged by the mean of the hands.
 */
function different(
  hands: readonly Hand[],
  columnOf: (hand: number) => number,
  pooled: number,
  crowd: readonly number[],
  backup: number,
): Pick<State, 'roles' | 'same'>[] {
  const total = crowd.reduce((sum, chance, k) => sum + (k + 1) * chance, 0);
  const [one = 0, two = 0, ...more] = crowd.map((chance) => chance / total);
  const alone = hands.map(({ share }, h) => ({
    same: true,
    roles: [
      { column: columnOf(h), weight: one * share * (1 - backup) },
      { column: columnOf(h), weight: one * share * backup },
    ],
  }));
  const meetings = hands.flatMap((a, i) =>
    hands.slice(i + 1).map((b, j) => ({ i, j: i + 1 + j, chance: a.share * b.share })),
  );
  const meet = meetings.reduce((sum, { chance }) => sum + chance, 0);
  const pairs = meetings.map(({ i, j, chance }) => ({
    same: false,
    roles: [i, j].map((h) => ({ column: columnOf(h), weight: (two * chance) / meet })),
  }));
  const atLeast = [0, 1, 2, ...more.map((_, k) => k + 3)].slice(0, more.length + 2);
  const crowded = atLeast
    .map((_, k) => more.reduce((sum, chance, m) => sum + (m + 3 > k ? chance : 0), 0))
    .filter((weight) => weight >= PEOPLE.leastRole.value)
    .map((weight) => ({ column: pooled, weight }));
  return [...alone, ...(two > 0 ? pairs : []), ...(crowded.length > 0 ? [{ same: true, roles: crowded }] : [])];
}

/** What a kitchen's kit is measured against, for its hands and loads. `rescueWorth`: what rescued weekly work weighs in the choice, coverage. */
export function demandOf(
  kitchen: Pick<Kitchen, 'cooksAtOnce' | 'tastes'>,
  loads: readonly TaskLoad[],
  hands: readonly Hand[],
  cooks: number,
  rescueWorth: number,
): Demand {
  const T = loads.length;
  const weights = new Float64Array(loads.map((load) => load.weight));
  const total = weights.reduce((a, b) => a + b, 0);
  const shares = workShares(loads);
  const states = loads.flatMap((load, t): State[] => {
    if (load.weight <= 0 || total <= 0) return [];
    const share = load.weight / total;
    const backup = besides(load, kitchen.tastes.rawMeat);
    const crowd = crowdAt(workKind(load.task), shares, kitchen.cooksAtOnce, cooks);
    const moments: Pick<State, 'roles' | 'same'>[] =
      hands.length === 1
        ? [{ roles: alike(t, crowd, backup), same: true }]
        : different(hands, (h) => h * T + t, hands.length * T + t, crowd, backup);
    return moments.map(({ roles, same }) => ({
      task: t,
      same,
      rescue: false,
      roles: roles.map((role) => ({ ...role, weight: role.weight * share })),
    }));
  });
  const people = (hands.length + Number(isPooled(hands, Math.max(cooks, kitchen.cooksAtOnce)))) * T;
  const pressing = rescued(loads).map((t, r): State => ({
    task: t,
    same: true,
    rescue: true,
    roles: [{ column: people + r, weight: rescueWorth }],
  }));
  return { columns: people + pressing.length, states: [...states, ...pressing], weights, total };
}

/** Whether two demands are equal figure for figure. */
export const isSameDemand = (a: Demand, b: Demand): boolean =>
  a.columns === b.columns && JSON.stringify(a.states) === JSON.stringify(b.states);
