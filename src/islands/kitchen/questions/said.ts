import { plural } from '../../../core/text/plural';
import { cuisineNames } from '../../../../data/names';
import type { KitchenFile } from '../../../core/formats/kitchenFile';
import { DEFAULTS } from '../../../core/kitchen/defaults';
import { isAnswered } from '../../../core/kitchen/nextQuestion';
import { CATALOGUE_CURRENCY } from '../../../core/money/currency';
import { PRACTICE, SHARPENED_BY, type SaidAnswer } from '../../shared/choices';
import { money, typeName } from '../../shared/words';
import { listed, lowerFirst } from '../../../core/text/case';

/** What a kitchen has said, a sentence for each part of the questions; what is assumed is told as such. */

/** An answer as it stands in a sentence. */
const inSentence = <T extends string>(answers: readonly SaidAnswer<T>[], value: T): string =>
  answers.find((answer) => answer.value === value)?.said ?? value;

/** The first few of a list, and how many more. */
function few(names: readonly string[], most = 3): string {
  const shown = names.slice(0, most);
  const more = names.length - shown.length;
  if (more > 0) return `${shown.join(', ')} and ${more} more`;
  return listed(shown);
}
/** Whether nothing at all has been said of what is cooked, by whom, and for how much. */
export const isNew = (kitchen: KitchenFile): boolean =>
  !isAnswered('cooking', kitchen) && !kitchen.cooks && !kitchen.budget && !kitchen.owned?.length;

export function cookingSaid({ cooking = {}, avoids = [] }: KitchenFile): string {
  const cuisines = (cooking.cuisines ?? []).map(({ id }) => cuisineNames.get(id) ?? id);
  const dishes = cooking.dishes?.length ?? 0;
  const tasks = cooking.tasks?.length ?? 0;
  const cooked = [
    ...(cuisines.length > 0 ? [few(cuisines)] : []),
    ...(dishes > 0 ? [plural(dishes, 'dish', 'dishes')] : []),
    ...(tasks > 0 ? [plural(tasks, 'task')] : []),
  ];
  const what = cooked.length > 0 ? cooked.join(', ') : 'Assumed: everyday Western cooking';
  const { mealsPerWeek = DEFAULTS.mealsPerWeek, portions = DEFAULTS.portions, guests } = cooking;
  const meals = `${plural(mealsPerWeek, 'meal')} a week for ${portions}`;
  const table = guests ? `, ${plural(guests.portions, 'guest')}` : '';
  return `${what}; ${meals}${table}${avoids.length > 0 ? `; no ${few(avoids)}` : ''}.`;
}

export function cookSaid({ cooks, cooksAtOnce = 1, board, habits }: KitchenFile): string {
  const cook = cooks?.[0] ?? {};
  const hand = cook.handLengthMm ?? DEFAULTS.handLengthMm;
  const who = `${cooks ? 'Hand' : 'Assumed: hand'} ${hand} mm, ${cook.handed ?? 'right'}, ${inSentence(PRACTICE, cook.experience ?? 'home')}`;
  const others = (cooks?.length ?? 1) - 1;
  const { lengthMm, widthMm, material } = { ...DEFAULTS.board, ...board };
  const sharpening = inSentence(SHARPENED_BY, habits?.sharpening ?? DEFAULTS.habits.sharpening);
  const together = cooksAtOnce > 1 ? `; ${cooksAtOnce} cut at once` : '';
  return `${who}${others > 0 ? ` and ${plural(others, 'more cook')}` : ''}${together}; ${material} board ${lengthMm} × ${widthMm}; ${sharpening}.`;
}

export function moneySaid({ budget, currency = CATALOGUE_CURRENCY, limits }: KitchenFile): string {
  const { total, perMonth, spend = 'even' } = budget ?? {};
  const month = perMonth == null ? '' : `${money(perMonth, currency)} a month`;
  const whole =
    total == null
      ? total === null && !month
        ? 'No ceiling'
        : month || `Assumed: ${money(DEFAULTS.budgetEur, CATALOGUE_CURRENCY)} in all`
      : `${money(total, currency)} in all${month ? `, ${month}` : ''}`;
  const most = limits?.maxKnives;
  const list = limits?.list ? `; only from ${limits.list}` : '';
  return `${whole}; ${spend}${most === undefined ? '' : `; at most ${plural(most, 'knife', 'knives')}`}${list}.`;
}

export function drawerSaid({ owned = [], tools = [] }: KitchenFile): string {
  const knives = owned.map(({ type, model }) => (type ? lowerFirst(typeName(type)) : (model ?? 'knife')));
  const have = knives.length > 0 ? few(knives) : 'No knife yet';
  const said = `${have}${tools.length > 0 ? `; ${plural(tools.length, 'tool')}` : ''}.`;
  return said.charAt(0).toUpperCase() + said.slice(1);
}
