import { isFlesh, isRawFlesh } from '../cutting/eaten';
import type { Task } from '../cutting/task';
import type { Motion } from '../cutting/words';
import type { BoardMotion } from '../kitchen/kitchen';
import { FIT } from '../constants';

/**
 * A way of doing a task. People pick the way that suits the knife in hand: a paring knife hulls in the air, a long one on the
 * board. A blade is scored in every way the task allows and keeps the best.
 */
export type ModeId = 'board' | 'slice' | 'saw' | 'hand' | 'tip' | 'cleave' | 'pry' | 'table' | 'child';
export interface Mode {
  id: ModeId;
  /** What the way itself costs: 1 for the task's first choice. */
  factor: number;
  /** Board motions the task lists for this way, best first. */
  motions: BoardMotion[];
  /** Whether the food asks for one long draw. */
  long: boolean;
}

export const MODE_WORDS: Record<ModeId, string> = {
  board: 'on the board',
  slice: 'in a long draw',
  saw: 'sawing',
  hand: 'in the hand',
  tip: 'with the tip',
  cleave: 'with a blow',
  pry: 'prying',
  table: 'at the table',
  child: 'beside a child',
};

const MODE_OF: Record<Motion, ModeId> = {
  rock: 'board',
  push: 'board',
  chop: 'board',
  pull: 'slice',
  saw: 'saw',
  'in-hand': 'hand',
  tip: 'tip',
  cleave: 'cleave',
  pry: 'pry',
};

const isBoardMotion = (motion: Motion): motion is BoardMotion =>
  motion === 'rock' || motion === 'push' || motion === 'chop' || motion === 'pull';

/** A sheet is rolled in the hand against a long flat edge held still. */
export const isSheet = (task: Pick<Task, 'thin' | 'motions'>) => task.thin === 3 && task.motions[0] === 'in-hand';

/** Fine dice and mince: the tip makes the cuts, and the edge behind it must meet the board as well. */
export const isFineDice = (task: Task, mode: Mode): boolean =>
  mode.id === 'tip' && task.separate >= 2 && task.load === 0 && !isFlesh(task);

/** Hard rind is split by a blade that both hands press. */
export const isPressed = (task: Task, mode: Mode): boolean =>
  mode.id === 'board' && task.weight && task.firm >= FIT.mass.rind.value;

/** Skin and fat are lifted off raw flesh by a blade that slides under them. */
export const slidesUnder = (task: Task, mode: Mode): boolean =>
  mode.id === 'tip' && task.thin > 0 && task.load < FIT.joint.from.value && isRawFlesh(task);

/** A draw across small food that is no flesh: it ends on the board like any board cut. */
export const isShortDraw = (task: Task, mode: Mode): boolean =>
  mode.id === 'slice' && !mode.long && task.load === 0 && !isFlesh(task);

/** The ways a task can be done, best first, each with what it costs to be a later choice. */
export function taskModes(task: Task): Mode[] {
  if (task.atTable) return [{ id: 'table', factor: 1, motions: [], long: false }];
  if (task.withChild) return [{ id: 'child', factor: 1, motions: [], long: false }];
  const { second, third, later } = FIT.mode;
  const costs = [1, second.value, third.value];
  const motions = task.motions.filter(isBoardMotion);
  const pressed = motions.some((m) => m !== 'pull');
  const ids: ModeId[] = [];
  for (const motion of task.motions) {
    const id = MODE_OF[motion];
    // a pull that is not the task's first choice belongs to ordinary board work
    if (id === 'slice' && pressed && task.motions[0] !== 'pull') continue;
    if (!ids.includes(id)) ids.push(id);
  }
  return ids.map((id, rank) => ({
    id,
    factor: costs[rank] ?? later.value,
    motions: id === 'board' || id === 'tip' ? motions : id === 'slice' ? ['pull'] : [],
    long: task.long,
  }));
}
