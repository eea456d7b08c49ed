import type { KitchenFile } from '../../core/formats/kitchenFile';

/** A kitchen with what it was before and what was undone: newest last on both sides. */
export interface History {
  past: KitchenFile[];
  present: KitchenFile;
  future: KitchenFile[];
  /** When the present was made, ms. */
  at: number;
}

/** Most steps that can be undone. */
export const MOST_STEPS = 100;
/** Changes that follow one another this fast are one step: typing a number, drawing a slider, ms. */
export const ONE_STEP_MS = 700;

export const begun = (present: KitchenFile): History => ({ past: [], present, future: [], at: -Infinity });

/** The history after a change at a time; what had been undone is forgotten. `alone`: a step of its own however fast it came. */
export function changed(history: History, present: KitchenFile, now: number, alone = false): History {
  if (present === history.present) return history;
  const sameStep = !alone && now - history.at < ONE_STEP_MS && history.past.length > 0 && history.future.length === 0;
  const past = sameStep ? history.past : [...history.past, history.present].slice(-MOST_STEPS);
  return { past, present, future: [], at: alone ? -Infinity : now };
}

/** One step back; the same history when there is none. */
export function undone(history: History): History {
  const present = history.past[history.past.length - 1];
  if (!present) return history;
  return { past: history.past.slice(0, -1), present, future: [...history.future, history.present], at: -Infinity };
}

/** One step forward again; the same history when there is none. */
export function redone(history: History): History {
  const present = history.future[history.future.length - 1];
  if (!present) return history;
  return { past: [...history.past, history.present], present, future: history.future.slice(0, -1), at: -Infinity };
}
