// Evenly paced pages and saves of many users.
import { setTimeout as pause } from 'node:timers/promises';
import type { User } from './client';
import type { Measures } from './measures';

/** Share of requests that save. */
const SAVES = 0.4;
const PAGES = ['', '/cutting', '/drawer', '/cooks'];
/** Users who ask at the same time get no further than this behind, ms: the pace is not made up for. */
const TICK = 4;

/** Pages and saves at a pace, requests a second, until the time is over, each by a user who waits for nothing. */
export async function pacedLoad(
  users: readonly User[],
  { aSecond, seconds, random }: { aSecond: number; seconds: number; random: () => number },
  measures: Measures,
): Promise<void> {
  const free = [...users];
  const under = new Set<Promise<void>>();
  const began = performance.now();
  let sent = 0;
  for (;;) {
    const passed = (performance.now() - began) / 1000;
    if (passed >= seconds) break;
    for (; sent < passed * aSecond; sent++) {
      const [user] = free.splice(Math.floor(random() * free.length), 1);
      if (!user) continue;
      const work = one(user, random, measures).finally(() => {
        free.push(user);
        under.delete(work);
      });
      under.add(work);
    }
    await pause(TICK);
  }
  await Promise.all(under);
}

async function one(user: User, random: () => number, measures: Measures): Promise<void> {
  if (random() < SAVES) {
    measures.note('saves', await user.save());
    return;
  }
  const page = PAGES[Math.floor(random() * PAGES.length)] ?? '';
  const path = random() < 0.5 ? `${user.path}${page}` : random() < 0.5 ? '/' : `/api${user.path}`;
  measures.note('reads', await user.ask('GET', path));
}
