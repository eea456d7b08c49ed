/** Runs of a trial: which knife takes its turn at which task. */
export interface Turn {
  task: string;
  knife: number;
}

/** A small seeded generator of whole numbers below `n`, so that an order can be made again. */
function drawing(seed: number): (n: number) => number {
  let state = seed >>> 0 || 1;
  return (n) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 2 ** 32) * n);
  };
}

function shuffled<T>(items: readonly T[], below: (n: number) => number): T[] {
  const left = [...items];
  return items.flatMap(() => left.splice(below(left.length), 1));
}

/** Shuffled Latin square of `n` knives: every knife once in each row and in each column. */
export function latinSquare(n: number, below: (n: number) => number): number[][] {
  const symbols = shuffled([...Array(n).keys()], below);
  const columns = shuffled([...Array(n).keys()], below);
  const rows = shuffled([...Array(n).keys()], below);
  return rows.map((row) => columns.map((column) => symbols[(row + column) % n] ?? 0));
}

/**
 * The order of a trial: tasks shuffled, and at each task the knives in the order of a row of a Latin square, so that over every block of as many
 * tasks as knives each knife goes first, and last, once. The same seed gives the same order.
 *
 * @example runOrder(['tomato-slice', 'onion-dice'], 2, 7).length // 4
 */
export function runOrder(tasks: readonly string[], knives: number, seed: number): Turn[] {
  const below = drawing(seed);
  let square: number[][] = [];
  return shuffled(tasks, below).flatMap((task) => {
    if (square.length === 0) square = latinSquare(knives, below);
    return (square.pop() ?? []).map((knife) => ({ task, knife }));
  });
}

/** A number that stands for a text. */
const seedOf = (text: string) =>
  Array.from(text).reduce((seed, letter) => (Math.imul(seed, 31) + letter.charCodeAt(0)) >>> 0, 7);

/** Turns of one round of a trial, the same whenever it is taken up again; `round` counts from nought. */
export const turnsOf = (
  { on, tasks, knives }: { on: string; tasks: readonly string[]; knives: readonly unknown[] },
  round: number,
): Turn[] => runOrder(tasks, knives.length, seedOf(`${on} ${round} ${tasks.join()}`));
