import type { BladeTraits } from '../fit/traits';
import type { Habits, Board } from '../kitchen/kitchen';

/** Minutes of cutting an edge lasts for each point of its family's wear figure: soft stainless in daily use comes to about two months. */
const MINUTES_PER_WEAR = 380;
/** How boards wear edges, against wood (handbook 6.2). */
const BOARD_WEAR: Record<Board['material'], number> = {
  wood: 1,
  rubber: 1,
  plastic: 1.1,
  bamboo: 1.4,
  glass: 6,
  stone: 6,
};
/** Height lost at each sharpening, mm (handbook 6.2). */
const HEIGHT_LOST: Record<Habits['sharpening'], number> = {
  none: 0,
  'pull-through': 0.1,
  professional: 0.15,
  stones: 0.04,
};
/** A knife is thinned or retired after losing this much height, mm (handbook 6.2). */
const ALLOWED_LOSS_MM = 6;
const LONGEST_LIFE_YEARS = 25;
/** Serrated knives are replaced, not sharpened: years by minutes of use a week (handbook 5.4: 2–6). */
const SERRATED_LIFE = { light: 6, heavy: 2, heavyMinutes: 60 } as const;

/** Sharpenings a year for `minutesPerWeek` of work, at least one every two years while the knife is used at all. */
export function sharpeningsPerYear(blade: BladeTraits, minutesPerWeek: number, board: Board): number {
  if (minutesPerWeek <= 0 || blade.serrated) return 0;
  const life = MINUTES_PER_WEAR * Math.max(1, blade.steel.wear);
  return Math.max(0.5, (52 * minutesPerWeek * BOARD_WEAR[board.material]) / life);
}

/** Years a knife lasts, an estimate: serrated by use, others until sharpening has eaten the allowed height. */
export function yearsOfLife(blade: BladeTraits, minutesPerWeek: number, board: Board, habits: Habits): number {
  if (blade.serrated) {
    const use = Math.min(1, minutesPerWeek / SERRATED_LIFE.heavyMinutes);
    return SERRATED_LIFE.light + (SERRATED_LIFE.heavy - SERRATED_LIFE.light) * use;
  }
  const lost = sharpeningsPerYear(blade, minutesPerWeek, board) * HEIGHT_LOST[habits.sharpening];
  return lost > 0 ? Math.min(LONGEST_LIFE_YEARS, ALLOWED_LOSS_MM / lost) : LONGEST_LIFE_YEARS;
}

/** Price over years of life plus sharpening, minor units a year, an estimate. `eventMinor`: one sharpening. */
export function costPerYearMinor(
  blade: BladeTraits,
  priceMinor: number,
  minutesPerWeek: number,
  kitchen: { board: Board; habits: Habits },
  eventMinor: number,
): number {
  const events = kitchen.habits.sharpening === 'none' ? 0 : sharpeningsPerYear(blade, minutesPerWeek, kitchen.board);
  return priceMinor / yearsOfLife(blade, minutesPerWeek, kitchen.board, kitchen.habits) + events * eventMinor;
}
