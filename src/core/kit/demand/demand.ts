import { PEOPLE } from '../../constants';
import type { TaskLoad } from '../../load/load';
import { latelyOf } from '../../text/lately';
import { workKind } from '../../cutting/work';
import type { Kitchen } from '../../kitchen/kitchen';
import { crowdAt, workShares } from './crowds';
import type { Demand, Role, State } from './types';
import { apartAtMost, type Hand, isPooled } from './hands';
import { rescued } from './rescue';

/** So many people at a task, each wanting a knife. */
type Moment = Pick<State, 'roles' | 'same'>;

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
  return worthTelling(
    column,
    atLeast.map((b) => b / total),
  );
}

/** Roles of one column by how much they are wanted, most first, without those wanted too seldom: the others, or the first, stand for them. */
function worthTelling(column: number, wanted: readonly number[]): Role[] {
  const all = wanted.reduce((a, b) => a + b, 0);
  if (all === 0) return [];
  const told = wanted.filter((share, k) => k === 0 || share >= PEOPLE.leastRole.value);
  const kept = told.reduce((a, b) => a + b, 0);
  return told.map((share) => ({ column, weight: (share * all) / kept }));
}

/** Every choice of so many of a list, in its order. */
const choices = <T>(from: readonly T[], many: number): T[][] =>
  many === 0 ? [[]] : from.flatMap((one, i) => choices(from.slice(i + 1), many - 1).map((some) => [one, ...some]));

/** Moments at which so many people of different hands meet, each as often as they do; `share`: what one of them counts of all. */
function meeting(
  hands: readonly Pick<Hand, 'share'>[],
  many: number,
  share: number,
  columnOf: (hand: number) => number,
): Moment[] {
  const met = choices([...hands.keys()], many).map((some) => ({
    some,
    chance: some.reduce((product, h) => product * (hands[h]?.share ?? 0), 1),
  }));
  const all = met.reduce((sum, { chance }) => sum + chance, 0);
  return met.map(({ some, chance }) => ({
    same: false,
    roles: some.map((h) => ({ column: columnOf(h), weight: (share * chance) / all })),
  }));
}

/**
 * States of one task for different hands: each alone; two or three at once, every two or three of different hands as often as they meet; and more
 * than there are hands or than three, whose knives are judged by the mean of the hands.
 */
function different(
  hands: readonly Pick<Hand, 'share'>[],
  columnOf: (hand: number) => number,
  pooled: number,
  crowd: readonly number[],
  backup: number,
): Moment[] {
  const total = crowd.reduce((sum, chance, k) => sum + (k + 1) * chance, 0);
  const shares = crowd.map((chance) => chance / total);
  const [one = 0] = shares;
  const alone = hands.map(({ share }, h) => ({
    same: true,
    roles: [
      { column: columnOf(h), weight: one * share * (1 - backup) },
      { column: columnOf(h), weight: one * share * backup },
    ],
  }));
  const apart = apartAtMost(hands);
  const meetings = shares
    .slice(1, apart)
    .flatMap((share, k) => (share > 0 ? meeting(hands, k + 2, share, columnOf) : []));
  const more = shares.slice(apart);
  const crowded = worthTelling(
    pooled,
    shares.map((_, k) => more.reduce((sum, share, m) => sum + (m + apart + 1 > k ? share : 0), 0)),
  );
  return [...alone, ...meetings, ...(crowded.length > 0 ? [{ same: true, roles: crowded }] : [])];
}

const asked = latelyOf<Demand>(8);

/**
 * What a kitchen's kit is measured against, for its hands and loads; the same object for the same loads and hands as many. `rescueWorth`: what
 * rescued weekly work weighs in the choice, coverage.
 */
export function demandOf(
  kitchen: Pick<Kitchen, 'cooksAtOnce' | 'tastes'>,
  loads: readonly TaskLoad[],
  hands: readonly Pick<Hand, 'share'>[],
  cooks: number,
  rescueWorth: number,
): Demand {
  const shares = hands.map(({ share }) => share);
  const key = JSON.stringify([kitchen.cooksAtOnce, kitchen.tastes.rawMeat, shares, cooks, rescueWorth]);
  return asked(loads, key, () => laidOut(kitchen, loads, hands, cooks, rescueWorth));
}

function laidOut(...[kitchen, loads, hands, cooks, rescueWorth]: Parameters<typeof demandOf>): Demand {
  const T = loads.length;
  const weights = new Float64Array(loads.map((load) => load.weight));
  const total = weights.reduce((a, b) => a + b, 0);
  const shares = workShares(loads);
  const states = loads.flatMap((load, t): State[] => {
    if (load.weight <= 0 || total <= 0) return [];
    const share = load.weight / total;
    const backup = besides(load, kitchen.tastes.rawMeat);
    const crowd = crowdAt(workKind(load.task), shares, kitchen.cooksAtOnce, cooks);
    const moments: Moment[] =
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
