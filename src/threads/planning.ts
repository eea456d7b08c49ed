// A kitchen is planned on a thread of its own for the page that shows it, where there is time.
import type { Piscina } from 'piscina';
import { createHash } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import type { KitchenFile } from '../core/formats/kitchenFile';
import type { SentAnswer } from '../core/kit/plan/answered';
import type { ToPlan } from './planner';
import { TokenBuckets } from '../server/buckets';
import { readOwnModels } from '../server/catalogue';
import { threads } from '../server/threads';

/** One thread, and as many kitchens as wait for it: a page whose kitchen finds no room comes without its plan. */
const POOL = { most: 1, queue: 2 };
/** Kitchens planned for pages at most, at once and in every second: pages and saves come before. */
const PACE = new TokenBuckets(6, 3);
/** A page waits no longer for its plan, ms. */
const WAIT_MS = 250;
/** Answers remembered, about 60 kB each. */
const REMEMBERED = 300;

const answers = new LRUCache<string, SentAnswer>({ max: REMEMBERED });
let pool: Piscina<ToPlan, SentAnswer> | null | undefined;

/** Starts the thread: its program takes a moment to load. */
export const beginPlanning = (): void => {
  pool ??= threads('planner', POOL);
};

/** The plan a kitchen's page is sent with, unproven; null where there is none in time, and then the browser plans it. */
export async function firstAnswer(workspaceId: string, kitchen: KitchenFile): Promise<SentAnswer | null> {
  if (!pool) return null;
  const own = await readOwnModels(workspaceId);
  const key = createHash('sha256')
    .update(JSON.stringify([kitchen, own]))
    .digest('base64');
  const known = answers.get(key);
  if (known) return known;
  if (PACE.take('all', Date.now()) > 0) return null;
  // one that comes too late for this page is there for the next
  const planned = pool.run({ kitchen, own }).then((answer) => {
    answers.set(key, answer);
    return answer;
  });
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<null>((resolve) => (timer = setTimeout(() => resolve(null), WAIT_MS)));
  return Promise.race([planned.catch(() => null), late]).finally(() => clearTimeout(timer));
}
