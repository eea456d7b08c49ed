import { dishFinder, type NamedDish, theDish } from './dishNames';

/** A dish of a menu: as it was written, how often, and the known dish it most likely is. */
export interface MenuDish<T extends NamedDish> {
  written: string;
  times: number;
  dish: T | null;
}

/** Most lines of one menu. */
const MOST_LINES = 200;
/** What stands before the dish: a weekday, a meal, a bullet. */
const BEFORE =
  /^(?:[\s•*·\-–—]+|(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?\b|(?:montag|dienstag|mittwoch|donnerstag|freitag|samstag|sonnabend|sonntag)\b|(?:mo|di|mi|do|fr|sa|so)[.:]|(?:frühstück|mittag(?:essen)?|abend(?:essen|brot)?)\b(?=\s?[:–-])|(?:breakfast|brunch|lunch|dinner|supper|tea|evening|noon)\b|\d{1,2}[.)]\s|[:,]\s*|\s+)+/i;
/** The dishes of a week's menu, a line each, "Monday: leek soup"; the same dish twice is cooked twice. */
export function readMenu<T extends NamedDish>(text: string, known: readonly T[]): MenuDish<T>[] {
  const find = dishFinder(known);
  const dishes = new Map<string, MenuDish<T>>();
  for (const line of text.split(/\r?\n/).slice(0, MOST_LINES)) {
    const written = line.replace(BEFORE, '').trim();
    if (written === '') continue;
    const dish = theDish(find(written, 2));
    const key = dish?.id ?? written.toLowerCase();
    const before = dishes.get(key);
    dishes.set(key, before ? { ...before, times: before.times + 1 } : { written, times: 1, dish });
  }
  return [...dishes.values()];
}
