import { FIT, PEOPLE } from '../constants';
import type { Kitchen, Cook, Habits, Board } from '../kitchen/kitchen';
import type { TaskLoad } from '../load/load';
import { isPressed, taskModes } from './modes';
import { lately } from '../text/lately';
import { sliceLengthMm, wantedLength } from './wantedLength';
import type { LengthBand } from '../formats/planFile';
import type { MeasuredScores } from './measuredScore';

/** The person and the place a blade is scored for. */
export interface CookContext {
  cook: Cook;
  board: Board;
  habits: Habits;
  /** Cutting beyond what any arm bears, hours a week: long weeks tire. */
  longHours: number;
  /** Pressing hard rind, minutes a week, in steps of five: what a week perturbed a little does not change need not be scored again. */
  pressedMinutes: number;
  length: LengthBand;
  /** Longest edge drawn with ease through long food, mm. */
  sliceToMm: number;
  /** More hands at once than know what they hold. */
  shared: boolean;
  /** The cook asked for it: types and models named under `must`, which lift the caution against long or single-bevel blades. */
  asksFor: readonly string[];
  /** Scores measured on food, by blade id and task; they win over computed ones by their trials. */
  measured: MeasuredScores;
}

/** A cook who is new to it and has a child's hand: a child's work is theirs, and no one else's knife is changed for them. */
const isChild = ({ handLengthMm, experience }: Cook): boolean =>
  experience === 'new' && handLengthMm < PEOPLE.childHandMm.value;

/** The cooks whose hands knives are bought for: children only where nobody else cooks. */
export function workingCooks(cooks: readonly Cook[]): readonly Cook[] {
  const grown = cooks.filter((cook) => !isChild(cook));
  return grown.length > 0 ? grown : cooks;
}

/** One context per cook of the kitchen, in a canonical order so that the order of the file changes nothing. */
export function cookContexts(kitchen: Kitchen, loads: readonly TaskLoad[]): CookContext[] {
  const minutes = loads.reduce((sum, load) => sum + load.minutesPerWeek, 0);
  const hours = minutes / 60 / Math.max(1, kitchen.cooksAtOnce);
  return workingCooks(kitchen.cooks)
    .map((cook) => ({
      cook,
      board: kitchen.board,
      habits: kitchen.habits,
      longHours: Math.max(0, hours - FIT.mass.sessionHours.value),
      pressedMinutes: 5 * Math.round(minutesPressed(loads) / Math.max(1, kitchen.cooksAtOnce) / 5),
      length: wantedLength(cook, kitchen, loads),
      shared: kitchen.cooksAtOnce >= PEOPLE.sharedFrom.value,
      sliceToMm: sliceLengthMm(cook, kitchen.board),
      asksFor: kitchen.limits.must,
      measured: {},
    }))
    .sort((a, b) => (cookKey(a.cook) < cookKey(b.cook) ? -1 : 1));
}

const minutesPressed = (loads: readonly TaskLoad[]): number =>
  loads.reduce(
    (sum, { task, minutesPerWeek }) =>
      sum + (taskModes(task).some((mode) => isPressed(task, mode)) ? minutesPerWeek : 0),
    0,
  );

const cookKey = (cook: Cook) => JSON.stringify({ ...cook, name: '' });

/** So many cooks are remembered, with what was scored for them. */
const cooks = lately<CookContext>(16);

/** The same object for an equal cook, so that what has been scored for it need not be scored again. */
export const sameCook = (context: CookContext): CookContext => cooks(JSON.stringify(context), () => context);
