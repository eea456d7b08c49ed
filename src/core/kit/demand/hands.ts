import { PEOPLE } from '../../constants';
import type { CookContext } from '../../fit/cook';

/** A hand that knives are scored for: one or several cooks alike. Shares sum to 1. */
export interface Hand {
  cook: CookContext;
  share: number;
}

/** The different hands of a kitchen. More than {@link PEOPLE}.classes are counted as so many, the middle one of each group standing for it. */
export function handsOf(cooks: readonly CookContext[]): Hand[] {
  const byKey = new Map<string, CookContext[]>();
  for (const cook of cooks) {
    const key = JSON.stringify({ ...cook.cook, name: '' });
    byKey.set(key, [...(byKey.get(key) ?? []), cook]);
  }
  const each = [...byKey.values()].sort(([a], [b]) => (a?.cook.handLengthMm ?? 0) - (b?.cook.handLengthMm ?? 0));
  const most = PEOPLE.classes.value;
  const groups =
    each.length <= most
      ? each
      : Array.from({ length: most }, (_, g) =>
          each.slice(Math.floor((g * each.length) / most), Math.floor(((g + 1) * each.length) / most)).flat(),
        );
  return groups.flatMap((group) => {
    const cook = group[Math.floor((group.length - 1) / 2)];
    return cook ? [{ cook, share: group.length / cooks.length }] : [];
  });
}

/** Most people of different hands at once who are each served for their own hand. */
export const apartAtMost = (hands: readonly Pick<Hand, 'share'>[]): number =>
  Math.min(hands.length, PEOPLE.apart.value);

/** Whether more may be at one kind of work than are served each for their own hand, so that the rows carry the mean of the hands as well. */
export const isPooled = (hands: readonly Pick<Hand, 'share'>[], people: number): boolean =>
  hands.length > 1 && people > apartAtMost(hands);
