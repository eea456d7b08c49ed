import type { KitchenFile } from '../formats/kitchenFile';
import type { Reference } from '../reference';
import { DEFAULTS } from './defaults';
import type { Habits, Kitchen } from './kitchen';

/** Habits that decide a plan; prices of tools do not. */
type Habit = Exclude<keyof Habits, 'sharpenerPrices'>;

/** What each habit is taken to be where nothing is said, in words. */
const HABIT_WORDS: Record<Habit, string> = {
  upkeep: 'knives wiped after use',
  sharpening: 'sharpened by a professional',
  honing: 'not honed',
  storage: 'knives kept in a block',
  dishwasher: 'no dishwasher',
  roughUse: 'no rough or shared use',
  bones: 'no bones chopped',
  lifts: 'nothing said of carrying food on the blade',
  carves: 'meat carved as the dish has it',
  sharpeningPrice: 'sharpening at the usual price',
  visitsPerYear: 'sharpened when it is due',
  sharpenAtMostEveryWeeks: 'own stones used whenever an edge is due',
};
const CARRIED_WORDS = 'cut food carried on the flat of the blade, as is usual where this is cooked';

/** How cut food goes to the pan in more than half of what is cooked; nothing is said where no cuisine does. */
function usualLifting({ cooking = {} }: KitchenFile, { cuisines }: Reference): Habits['lifts'] {
  let [all, carried] = [0, 0];
  for (const { id, share = 1 } of cooking.cuisines ?? []) {
    all += share;
    if (cuisines.get(id)?.lifts === 'flat') carried += share;
  }
  return carried > all / 2 ? 'flat' : DEFAULTS.habits.lifts;
}

/** The board and the habits of a kitchen, with what is taken for granted where nothing is said, in words. */
export function completePlace(
  file: KitchenFile,
  reference: Reference,
  assumed: string[],
): Pick<Kitchen, 'board' | 'habits'> {
  const board = { ...DEFAULTS.board, ...file.board };
  if (file.board?.lengthMm === undefined || file.board.widthMm === undefined || file.board.material === undefined)
    assumed.push(`A ${board.material} board of ${board.lengthMm} × ${board.widthMm} mm.`);
  const lifts = usualLifting(file, reference);
  const words = { ...HABIT_WORDS, ...(lifts === 'flat' ? { lifts: CARRIED_WORDS } : {}) };
  const unsaid = (Object.keys(HABIT_WORDS) as Habit[]).filter((key) => file.habits?.[key] === undefined);
  if (unsaid.length > 0) assumed.push(`Habits: ${unsaid.map((key) => words[key]).join(', ')}.`);
  return { board, habits: asHeld({ ...DEFAULTS.habits, lifts, ...file.habits }, file.tastes, assumed) };
}

/** Habits as sides taken in how edges are kept change them. */
function asHeld(habits: Habits, tastes: KitchenFile['tastes'], assumed: string[]): Habits {
  const held = { ...habits };
  if (tastes?.sharpening === 'own' && habits.sharpening !== 'stones') {
    held.sharpening = 'stones';
    assumed.push('Sharpened on your own stones, as you hold.');
  }
  if (tastes?.sharpening === 'never-lent' && habits.sharpening === 'professional') {
    held.sharpening = 'none';
    assumed.push('No knife is sent away to be sharpened, as you hold: until somebody sharpens here, edges stay dull.');
  }
  if (tastes?.rod === 'always' && habits.honing === 'none') {
    held.honing = 'steel';
    assumed.push('Honed on a rod between sharpenings, as you hold.');
  }
  if (tastes?.rod === 'never' && habits.honing !== 'none') {
    held.honing = 'none';
    assumed.push('No rod in this kitchen, as you hold.');
  }
  return held;
}
