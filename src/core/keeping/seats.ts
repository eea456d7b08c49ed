/** Gives every thing a seat of its own among those it can take, or null where that cannot be done (augmenting paths). */
export function seated(
  things: number,
  seats: number,
  takes: (thing: number, seat: number) => boolean,
): number[] | null {
  const holds = new Array<number>(seats).fill(-1);
  const seat = (thing: number, seen: Set<number>): boolean => {
    for (let s = 0; s < seats; s++) {
      if (seen.has(s) || !takes(thing, s)) continue;
      seen.add(s);
      const there = holds[s] ?? -1;
      if (there < 0 || seat(there, seen)) {
        holds[s] = thing;
        return true;
      }
    }
    return false;
  };
  for (let thing = 0; thing < things; thing++) if (!seat(thing, new Set())) return null;
  return Array.from({ length: things }, (_, thing) => holds.indexOf(thing));
}
