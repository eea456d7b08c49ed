import type { Task } from '../cutting/task';
import type { CookContext } from './cook';
import type { PartId } from '../constants';
import type { Mode } from './modes';
import type { BladeTraits } from './traits';

/** Everything a part reads of the cook, with board, habits and week: cooks that agree in it share its value. */
interface ReadsCook {
  reads(cook: CookContext): readonly unknown[];
  /** Whether it reads the week's work, or the size of the hand: these change most. */
  changes?: 'week' | 'hand';
}

/**
 * What the value of a part rests on beside the blade and the way of cutting: the task, the cook, or both; then `sees` tells everything it reads
 * of the task, and tasks that agree in it share one value. What is shared is worked out once.
 */
type RestsOn =
  | { restsOn: 'task' }
  | ({ restsOn: 'cook' } & ReadsCook)
  | ({ restsOn: 'both'; sees(task: Task, mode: Mode): readonly (number | string | boolean)[] } & ReadsCook);

/** One reason why a blade does a task well or badly: a pure function from 0 to 1 and a sentence with its figures. */
export type Part = RestsOn & {
  id: PartId;
  /** Name shown beside the bar. */
  name: string;
  /** What it looks at, one plain sentence. */
  about: string;
  /** How strongly it counts for this task done this way; 0 when it does not apply. Multiplies the exponent. */
  level(task: Task, mode: Mode): number;
  /** 0 hopeless … 1 nothing to wish for. */
  value(blade: BladeTraits, task: Task, cook: CookContext, mode: Mode): number;
  /** Whether there is anything to say of this blade and cook; always, where it is left out. */
  tells?(blade: BladeTraits, cook: CookContext): boolean;
  /** The reason, with its own figures. */
  why(blade: BladeTraits, task: Task, cook: CookContext, mode: Mode, value: number): string;
};

/** Picks the words that go with a value. */
export function byValue(value: number, good: string, middling: string, bad: string): string {
  return value >= 0.9 ? good : value >= 0.65 ? middling : bad;
}

/** Millimetres as a whole number. */
export const mm = (value: number) => `${Math.round(value)} mm`;
