import { PACKING } from '../../constants';
import type { AwayFile, KitchenFile } from '../../formats/kitchenFile';
import type { Pocket } from '../../formats/storageFile';
import { thingOf } from '../../keeping/things';
import { preparePlanning, type PlanningContext } from '../context/planningContext';
import { isBlunt } from '../candidates/owned';
import { serversOf } from '../plan/assignment';
import { ownedName } from '../plan/taught';
import { filledKit, KitValue } from '../search/value';
import { chooseToTake, seatsFor, type Travelling } from './choose';
import { kitchenElsewhere, pocketsOf } from './elsewhere';

/** A knife in the roll. */
export interface PackedKnife {
  /** Its place in the drawer. */
  owned: number;
  name: string;
  pocket: number;
  weightG: number;
  /** What would be missing there without it, coverage. */
  adds: number;
  /** The guard that covers its blade, mm. */
  guard: { lengthMm: number; heightMm: number };
  /** It goes along for a hard board, so that the keen ones are spared. */
  forHardBoard: boolean;
  /** Its edge is not what it should be: sharpen it before it goes. */
  dull: boolean;
}

export interface Packing {
  taken: PackedKnife[];
  left: { owned: number; name: string; why: string }[];
  weightG: number;
  /** Coverage there with what is taken, and with everything that is owned, 0–1. */
  coverage: number;
  withAll: number;
  proven: boolean;
  /** At home while the roll is away: coverage before and then, and what is done clearly worse. */
  home: { before: number; while: number; worse: { task: string; from: number; to: number }[] };
  /** Tasks there that nothing taken does well. */
  lacking: { task: string; score: number }[];
  /** What else goes along, and what to mind on the way. */
  along: string[];
  cautions: string[];
}

const points = (score: number): number => Math.round(score);

/** What owned knives cover, without some of them, 0–1. */
function coverageWithout({ problem }: PlanningContext, away: ReadonlySet<number>): number {
  const owned = problem.owned.filter((_, i) => !away.has(i));
  return Math.min(
    1,
    filledKit(new KitValue(problem.demand), { owned, given: problem.given }, [], () => new Float64Array()).value(false),
  );
}

/** The best score of each task among the tools and some owned knives. */
function bestScores(context: PlanningContext, isThere: (owned: number) => boolean): number[] {
  const servers = serversOf(context, []).filter(({ by }) => 'tool' in by || ('owned' in by && isThere(by.owned)));
  return context.loads.map((_, t) => servers.reduce((best, { scores }) => Math.max(best, scores[t] ?? 0), 0));
}

/** Of knives that may be abused the one that suffers least: what is lent anyway, else the cheapest that does general work. */
function sacrificed({ owned }: PlanningContext, lent: readonly number[]): number | null {
  if (lent[0] !== undefined) return lent[0];
  const price = (i: number) => owned[i]?.blade.blade.priceMinor ?? Infinity;
  const able = owned.flatMap(({ usefulness, blade: { serrated } }, i) =>
    !serrated && usefulness.some((u) => u > 0) ? [i] : [],
  );
  return able.length > 1 ? able.reduce((best, i) => (price(i) < price(best) ? i : best)) : null;
}

const isHard = ({ kitchen }: PlanningContext): boolean =>
  kitchen.board.material === 'glass' || kitchen.board.material === 'stone';

/**
 * The roll for another kitchen: of what is owned the pieces that its pockets and the weight allow and that serve most there, what stays and why, what home
 * lacks meanwhile, and what else goes along. `home` is the kitchen itself, laid out. Throws FaultyInput when the other kitchen names something unknown.
 */
export function packRoll(file: KitchenFile, away: AwayFile, home: PlanningContext): Packing {
  const there = preparePlanning(kitchenElsewhere(file, away), home.reference, home.models);
  const knives = there.owned.map(({ blade: { blade }, usefulness }, i): Travelling => ({
    thing: thingOf(`owned-${i}`, ownedName(there, i), blade),
    usefulness,
    weightG: blade.weightG,
  }));
  const pockets = pocketsOf(away);
  const maxWeightG = away.maxWeightG ?? Infinity;
  const lent = there.kitchen.owned.flatMap((_, i) => (file.owned?.[i]?.keep === 'lend' ? [i] : []));
  const spared = isHard(there) ? sacrificed(there, lent) : null;
  const fixed = spared !== null && mayGo(knives[spared], pockets, maxWeightG) ? [spared] : [];
  const { taken, proven } = chooseToTake({
    demand: there.problem.demand,
    given: there.problem.given,
    knives,
    pockets,
    maxWeightG,
    fixed,
  });
  const seats =
    seatsFor(
      taken.flatMap((i) => knives[i]?.thing ?? []),
      pockets,
    ) ?? [];
  const takenSet = new Set(taken);
  const notTaken = new Set(knives.map((_, i) => i).filter((i) => !takenSet.has(i)));
  const coverage = coverageWithout(there, notTaken);
  const weightG = taken.reduce((sum, i) => sum + (knives[i]?.weightG ?? 0), 0);
  const packed = taken.map((i, at): PackedKnife => ({
    ...pieceOf(there, i),
    pocket: seats[at] ?? 0,
    adds: coverage - coverageWithout(there, new Set([...notTaken, i])),
    forHardBoard: i === spared,
  }));
  return {
    taken: packed.sort((a, b) => b.adds - a.adds),
    left: [...notTaken].map((i) => ({
      owned: i,
      name: ownedName(there, i),
      why: whyLeft(knives[i], file.owned?.[i]?.keep, {
        pockets,
        full: taken.length >= pockets.length,
        mayWeigh: maxWeightG - weightG,
      }),
    })),
    weightG: Math.round(weightG),
    coverage,
    withAll: coverageWithout(there, new Set()),
    proven,
    home: whatHomeLacks(home, takenSet),
    lacking: lackingThere(there, takenSet),
    along: goesAlong(there, packed),
    cautions: CAUTIONS,
  };
}

/** Whether a knife alone finds a pocket and may be carried. */
const mayGo = (knife: Travelling | undefined, pockets: readonly Pocket[], maxWeightG: number): boolean =>
  knife !== undefined && knife.weightG <= maxWeightG && seatsFor([knife.thing], pockets) !== null;

/** What is told of a knife that goes along, whatever the roll. */
function pieceOf(there: PlanningContext, owned: number): Omit<PackedKnife, 'pocket' | 'adds' | 'forHardBoard'> {
  const knife = there.owned[owned];
  const { lengthMm = 0, heelHeightMm = 0, weightG = 0 } = knife?.blade.blade ?? {};
  return {
    owned,
    name: ownedName(there, owned),
    weightG: Math.round(weightG),
    guard: { lengthMm: Math.ceil(lengthMm), heightMm: Math.ceil(heelHeightMm) },
    dull: knife !== undefined && isBlunt(knife),
  };
}

/** Tasks there that nothing taken does well. */
function lackingThere(there: PlanningContext, taken: ReadonlySet<number>): Packing['lacking'] {
  const best = bestScores(there, (i) => taken.has(i));
  return there.loads.flatMap(({ task, minutesPerWeek }, t) => {
    const score = best[t] ?? 0;
    return !task.atTable && minutesPerWeek > 0 && score < PACKING.lacking.value
      ? [{ task: task.id, score: points(score) }]
      : [];
  });
}

function whatHomeLacks(home: PlanningContext, taken: ReadonlySet<number>): Packing['home'] {
  const [all, rest] = [bestScores(home, () => true), bestScores(home, (i) => !taken.has(i))];
  return {
    before: coverageWithout(home, new Set()),
    while: coverageWithout(home, taken),
    worse: home.loads
      .flatMap(({ task, minutesPerWeek }, t) => {
        const [from, to] = [all[t] ?? 0, rest[t] ?? 0];
        return from - to >= PACKING.worse.value
          ? [{ task: task.id, from: points(from), to: points(to), minutesPerWeek }]
          : [];
      })
      .sort((a, b) => b.minutesPerWeek * (b.from - b.to) - a.minutesPerWeek * (a.from - a.to))
      .map(({ task, from, to }) => ({ task, from, to })),
  };
}

/** Why a knife stays at home, in a sentence. */
function whyLeft(
  knife: Travelling | undefined,
  keep: string | undefined,
  roll: { pockets: readonly Pocket[]; full: boolean; mayWeigh: number },
): string {
  if (!knife) return '';
  if (keep === 'keepsake') return 'A keepsake stays at home.';
  if (seatsFor([knife.thing], roll.pockets) === null) return 'No pocket takes it.';
  if (!knife.usefulness.some((u) => u > 0)) return 'There is no work for it there, or whoever travels may not use it.';
  if (roll.full) return 'The pockets are full of what does more there.';
  if (knife.weightG > roll.mayWeigh) return 'It would weigh more than is carried; what goes does more for its weight.';
  return 'Beside what goes along it adds nothing there worth carrying.';
}

function goesAlong(there: PlanningContext, taken: readonly PackedKnife[]): string[] {
  if (taken.length === 0) return [];
  const honing = there.kitchen.habits.honing;
  return [
    `A guard for each of the ${taken.length}: the roll keeps them together, the guard keeps edge and hand apart.`,
    ...(isHard(there)
      ? ['A board of your own, thin plastic or wood: theirs is glass or stone and dulls an edge in minutes.']
      : []),
    ...(honing === 'none' ? [] : [honing === 'strop' ? 'The strop.' : 'The honing rod, in a pocket of its own.']),
    'A damp cloth to lie under the board, and a dry one to wipe with before the knives go back.',
  ];
}

const CAUTIONS = [
  'Carrying knives in public is governed by local law: wrapped, with a reason, out of reach; check before you travel, and never in hand luggage.',
  'Count them when you pack, when you leave and when you are home again.',
  'Clean and dry before they go into the roll; a wet roll rusts edges and grows mould.',
  'Roll it with the edges away from the tie, carry it closed, and tell whoever opens it what is inside.',
];
