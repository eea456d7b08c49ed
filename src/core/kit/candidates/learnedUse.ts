import { daysBetween } from '../../calendar/between';
import type { Day } from '../../calendar/day';
import { LOAD, USE } from '../../constants';
import { cookContexts } from '../../fit/cook';
import { prepareTask, type PreparedTask } from '../../fit/score';
import type { DiaryEntry } from '../../formats/diaryFile';
import type { BoardMotion, Kitchen, MotionShares } from '../../kitchen/kitchen';
import type { TaskLoad } from '../../load/load';
import { latelyOf } from '../../text/lately';
import type { Making } from './making';
import { handsOf } from '../demand/hands';
import { type OwnedKnife, ownedKnives } from './owned';
import { sharpScores } from './scoring';

/** How often each owned knife is drawn: a share each that sum to 1, or all 0 where there is no work. */
export type UseShares = readonly number[];

/** What a diary of use teaches of a kitchen. */
export interface LearnedUse {
  /** Entries of use. */
  uses: number;
  /** As reckoned from the cooking alone, and as the diary has it so far. */
  reckoned: UseShares;
  learned: UseShares;
  /** The work, each kind grown or shrunk as the knife that does it is drawn more or less than reckoned; minutes in all stay. */
  loads: readonly TaskLoad[];
  /** How each cook moves a knife, as said and by what they draw; null where the diary tells nothing of it. */
  motions: ({ said: MotionShares; now: MotionShares } | null)[];
}

export const MOTIONS: readonly BoardMotion[] = ['rock', 'push', 'pull', 'chop'];
const MEALS_IN_DOUBT = 7;
/** The commonest tasks tell how a knife is moved; rare ones would cost time and tell little. */
const TELLING_TASKS = 40;
const WEEKS_A_YEAR = 52;

const sum = (figures: readonly number[]): number => figures.reduce((total, figure) => total + figure, 0);

/** Shares of the times a week that each knife is drawn: at a meal once, however many tasks it does there. */
function drawnShares(
  knives: readonly { scores: Float64Array }[],
  loads: readonly TaskLoad[],
  mealsPerWeek: number,
): number[] {
  const meals = mealsPerWeek > 0 ? mealsPerWeek : MEALS_IN_DOUBT;
  const times = knives.map(() => 0);
  loads.forEach(({ timesPerYear }, t) => {
    const best = bestAt(knives, t);
    if (best !== null) times[best] = (times[best] ?? 0) + timesPerYear / WEEKS_A_YEAR;
  });
  const drawn = times.map((weekly) => meals * (1 - Math.exp(-weekly / meals)));
  const total = sum(drawn);
  return total > 0 ? drawn.map((each) => each / total) : drawn;
}

/** The knife that does a task best; null where none may. */
function bestAt(knives: readonly { scores: Float64Array }[], t: number): number | null {
  let [best, most] = [null as number | null, 0];
  knives.forEach(({ scores }, i) => {
    const score = scores[t] ?? 0;
    if (score > most) [best, most] = [i, score];
  });
  return best;
}

/** Uses by knife, older ones counting less; of one cook where it is said which. */
function usesBy(entries: readonly DiaryEntry[], knives: number): number[] {
  const newest = entries.reduce((latest, { on }) => (on > latest ? on : latest), '');
  const uses = new Array<number>(knives).fill(0);
  const sameDay = new Map<string, number>();
  const ages = new Map<Day, number>();
  const ageOf = (on: Day): number => {
    const known = ages.get(on) ?? daysBetween(on, newest);
    ages.set(on, known);
    return known;
  };
  for (const { knife, on } of entries) {
    const day = `${knife} ${on}`;
    const before = sameDay.get(day) ?? 0;
    sameDay.set(day, before + 1);
    if (knife < knives && before < USE.mostADay.value)
      uses[knife] = (uses[knife] ?? 0) + 2 ** (-ageOf(on) / USE.halfLifeDays.value);
  }
  return uses;
}

/** What tells how a knife is moved: the drawer at the commonest tasks. */
interface Telling {
  knives: readonly OwnedKnife[];
  loads: readonly TaskLoad[];
  tasks: readonly PreparedTask[];
}

function tellingOf(knives: readonly OwnedKnife[], all: readonly TaskLoad[]): Telling {
  const loads = [...all].sort((a, b) => b.timesPerYear - a.timesPerYear).slice(0, TELLING_TASKS);
  return { knives, loads, tasks: loads.map(({ task }) => prepareTask(task)) };
}

/** The kitchen with one cook alone who moves a knife in one way only, and how its knives, all keen, are then drawn. */
function drawnByMotion(
  { kitchen, loads: all }: Making,
  { knives, loads, tasks }: Telling,
  cook: number,
  motion: BoardMotion,
): number[] {
  const motions = { rock: 0, push: 0, pull: 0, chop: 0, [motion]: 1 };
  const only = kitchen.cooks.flatMap((each, i) => (i === cook ? [{ ...each, motions, trials: [] }] : []));
  const alone: Kitchen = { ...kitchen, cooks: only, cooksAtOnce: 1 };
  const hands = handsOf(cookContexts(alone, all));
  const counted = knives.map(({ blade, owned: { keep } }) => ({
    scores: keep === 'use' ? sharpScores(blade, { tasks, hands }) : new Float64Array(tasks.length),
  }));
  return drawnShares(counted, loads, kitchen.mealsPerWeek);
}

/**
 * How a cook moves a knife by what they draw: each use is shared among the motions by how much each would draw that knife, and counted beside the motions
 * as they were said (a step of the expectation–maximisation of a mixture, with {@link USE}'s prior uses).
 */
function motionsLearned(
  making: Making,
  telling: Telling,
  cook: number,
  uses: readonly number[],
): LearnedUse['motions'][number] {
  const said = making.kitchen.cooks[cook]?.motions;
  const total = said ? sum(Object.values(said)) : 0;
  if (!said || total <= 0 || sum(uses) === 0) return null;
  const drawn = MOTIONS.map((motion) => drawnByMotion(making, telling, cook, motion));
  const before = MOTIONS.map((motion) => said[motion] / total);
  const counted = before.map((share) => share * USE.priorUses.value);
  uses.forEach((many, i) => {
    const likely = MOTIONS.map((_, m) => (before[m] ?? 0) * (drawn[m]?.[i] ?? 0));
    const all = sum(likely);
    if (all > 0) likely.forEach((each, m) => (counted[m] = (counted[m] ?? 0) + (many * each) / all));
  });
  const learned = sum(counted);
  const [rock = 0, push = 0, pull = 0, chop = 0] = counted.map((each) => (total * each) / learned);
  return { said, now: { rock, push, pull, chop } };
}

const grown = latelyOf<readonly TaskLoad[]>(4);

/** Work grown or shrunk as the knives that do it are drawn; the minutes in all stay what they were. The same object for the same work and factors. */
function loadsLearned(
  loads: readonly TaskLoad[],
  knives: readonly { scores: Float64Array }[],
  factors: readonly number[],
): readonly TaskLoad[] {
  const own = loads.map((_, t) => {
    const by = bestAt(knives, t);
    return by === null ? 1 : (factors[by] ?? 1);
  });
  const [before, after] = [
    sum(loads.map((load) => load.minutesPerWeek)),
    sum(loads.map((load, t) => load.minutesPerWeek * (own[t] ?? 1))),
  ];
  const even = after > 0 ? before / after : 1;
  const times = own.map((factor) => factor * even);
  return grown(loads, times.join(), () => loads.map((load, t) => grownLoad(load, times[t] ?? 1)));
}

const grownLoad = (load: TaskLoad, times: number): TaskLoad => ({
  ...load,
  minutesPerWeek: load.minutesPerWeek * times,
  weight: load.weight * times ** LOAD.exponent.value,
  from: load.from.map((each) => ({ ...each, minutesPerWeek: each.minutesPerWeek * times })),
});

/** How often each owned knife is drawn, reckoned from the cooking alone. */
export const reckonedShares = (making: Making): UseShares =>
  drawnShares(ownedKnives(making), making.loads, making.kitchen.mealsPerWeek);

/**
 * What the uses written down in the diary teach: how often each knife is drawn (a Dirichlet prior of {@link USE}'s uses at the reckoned shares, older uses
 * counting less), from that the work, and how each cook moves a knife. Null where no use is written down, or where the kitchen does not want it.
 */
export function learnFromUse(making: Making): LearnedUse | null {
  const { kitchen, loads } = making;
  const entries = kitchen.diary.filter(({ did }) => did === 'used');
  if (entries.length === 0 || !kitchen.learnsFromUse || kitchen.owned.length === 0) return null;
  const knives = ownedKnives(making);
  const uses = usesBy(entries, knives.length);
  const reckoned = drawnShares(knives, loads, kitchen.mealsPerWeek);
  const prior = USE.priorUses.value;
  const learned = reckoned.map((share, i) => (prior * share + (uses[i] ?? 0)) / (prior + sum(uses)));
  const most = USE.mostFactor.value;
  const factors = reckoned.map((share, i) =>
    share < USE.leastShare.value ? 1 : Math.min(most, Math.max(1 / most, (learned[i] ?? share) / share)),
  );
  const alone = kitchen.cooks.length === 1;
  const telling = tellingOf(knives, loads);
  return {
    uses: entries.length,
    reckoned,
    learned,
    loads: loadsLearned(loads, knives, factors),
    motions: kitchen.cooks.map((_, cook) =>
      motionsLearned(
        making,
        telling,
        cook,
        usesBy(
          entries.filter((entry) => (entry.cook ?? (alone ? 0 : -1)) === cook),
          knives.length,
        ),
      ),
    ),
  };
}
