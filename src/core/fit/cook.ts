import type { Kitchen, Cook, Habits, Board } from '../kitchen/kitchen';
import type { TaskLoad } from '../cutting/load';
import { wantedLength, type LengthBand } from './wantedLength';

/** The person and the place a blade is scored for. */
export interface CookContext {
  cook: Cook;
  board: Board;
  habits: Habits;
  /** Total cutting, hours a week: long weeks tire. */
  hoursPerWeek: number;
  length: LengthBand;
  /** The cook asked for it: types and models named under `must`, which lift the caution against long or single-bevel blades. */
  asksFor: readonly string[];
}

/** One context per cook of the kitchen, in a canonical order so that the order of the file changes nothing. */
export function cookContexts(kitchen: Kitchen, loads: readonly TaskLoad[]): CookContext[] {
  const minutes = loads.reduce((sum, load) => sum + load.minutesPerWeek, 0);
  const hoursPerWeek = minutes / 60 / Math.max(1, kitchen.cooksAtOnce);
  return kitchen.cooks
    .map((cook) => ({
      cook,
      board: kitchen.board,
      habits: kitchen.habits,
      hoursPerWeek,
      length: wantedLength(cook, kitchen, loads),
      asksFor: kitchen.limits.must,
    }))
    .sort((a, b) => (cookKey(a.cook) < cookKey(b.cook) ? -1 : 1));
}

const cookKey = (cook: Cook) => JSON.stringify({ ...cook, name: '' });
