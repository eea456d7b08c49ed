import { LOAD, PEOPLE, WORTH } from '../constants';
import type { TaskLoad } from '../cutting/load';
import { workKind, type WorkKind } from '../cutting/work';
import type { CookContext } from '../fit/cook';
import type { Kitchen } from '../kitchen/kitchen';
import type { Demand, State } from './value';

/** A hand that knives are scored for: one or several cooks alike. Shares sum to 1. */
export interface Hand {
  cook: CookContext;
  share: number;
}

const RAW = ['Raw meat and poultry', 'Fish and shellfish'];

/** The different hands of a kitchen. More than {@link PEOPLE}.classes are counted as so many, the middle one of each group standing for it. */
export function handsOf(cooks: readonly CookContext[]): Hand[] {
  const byKey = new Map<string, CookContext[]>();
  for (const cook of cooks) {
    const key = JSON.stringify({ ...cook.cook, name: '' });
    byKey.set(key, [...(byKey.get(key) ?? []), cook]);
  }
  const each = [...byKey.values()].sort(([a], [b]) => (a?.cook.handLengthMm ?? 0) - (b?.cook.handLengthMm ?? 0));
  const most = PEOPLE.classes.value;
  const groups =
    each.length <= most
      ? each
      : Array.from({ length: most }, (_, g) =>
          each.slice(Math.floor((g * each.length) / most), Math.floor(((g + 1) * each.length) / most)).flat(),
        );
  return groups.flatMap((group) => {
    const cook = group[Math.floor((group.length - 1) / 2)];
    return cook ? [{ cook, share: group.length / cooks.length }] : [];
  });
}

/** P(exactly k of n), each with probability p. */
function binomial(n: number, k: number, p: number): number {
  let chance = 1;
  for (let i = 0; i < k; i++) chance *= (n - i) / (i + 1);
  return chance * Math.pow(p, k) * Math.pow(1 - p, n - k);
}

/** P(so many, 1 … n, are at a kind of work when one is): the others join with probability `joins` each. */
const crowds = (n: number, joins: number) => Array.from({ length: n }, (_, k) => binomial(n - 1, k, joins));

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

/** Whether three or more may be at one kind of work, so that the rows carry the mean of the hands as well. */
export const isPooled = (hands: readonly Hand[], people: number): boolean => hands.length > 1 && people > 2;

/** Weekly work, or work that matters: what is brought out of a struggle before anything is polished (handbook 8.1). */
export const isPressing = ({ task, weight, matters, timesPerYear }: TaskLoad): boolean =>
  weight > 0 && !task.atTable && (matters >= LOAD.pressing.value || timesPerYear >= LOAD.weekly.value);

const pressing = new WeakMap<readonly TaskLoad[], readonly number[]>();

/** The tasks whose rescue is counted, by index: they have columns of their own behind those of the hands. */
export function rescued(loads: readonly TaskLoad[]): readonly number[] {
  const found = pressing.get(loads) ?? loads.flatMap((load, t) => (isPressing(load) ? [t] : []));
  pressing.set(loads, found);
  return found;
}

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

/** How far a score (0–100) brings weekly work out of a struggle, 0–1. */
export const rescues = (score: number): number =>
  Math.min(1, Math.max(0, (score - WORTH.rescueFrom.value) / (WORTH.rescueTo.value - WORTH.rescueFrom.value)));

/** Whether two demands are equal figure for figure. */
export const isSameDemand = (a: Demand, b: Demand): boolean =>
  a.columns === b.columns && JSON.stringify(a.states) === JSON.stringify(b.states);
