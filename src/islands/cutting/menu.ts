import Fuse from 'fuse.js';
import type { KnownDish } from '../../workers/stock';

/** A dish of a menu: as it was written, how often, and the known dish it most likely is. */
export interface MenuDish {
  written: string;
  times: number;
  dish: KnownDish | null;
}

/** Most lines of one menu. */
const MOST_LINES = 200;
/** What stands before the dish: a weekday, a meal, a bullet. */
const BEFORE =
  /^(?:[\s•*·\-–—]+|(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?\b|(?:breakfast|brunch|lunch|dinner|supper|tea|evening|noon)\b|\d{1,2}[.)]\s|[:,]\s*|\s+)+/i;
/** How unlike a name may be, 0–1. */
const UNLIKE = 0.36;

/** The dishes of a week's menu, a line each, "Monday: leek soup"; the same dish twice is cooked twice. */
export function readMenu(text: string, known: readonly KnownDish[]): MenuDish[] {
  const fuse = new Fuse([...known], { keys: ['name'], threshold: UNLIKE, ignoreLocation: true });
  const dishes = new Map<string, MenuDish>();
  for (const line of text.split(/\r?\n/).slice(0, MOST_LINES)) {
    const written = line.replace(BEFORE, '').trim();
    if (written === '') continue;
    const same = known.find(({ name }) => name.toLowerCase() === written.toLowerCase());
    const dish = same ?? fuse.search(written, { limit: 1 })[0]?.item ?? null;
    const key = dish?.id ?? written.toLowerCase();
    const before = dishes.get(key);
    dishes.set(key, before ? { ...before, times: before.times + 1 } : { written, times: 1, dish });
  }
  return [...dishes.values()];
}
