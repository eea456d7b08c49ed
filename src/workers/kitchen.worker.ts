import { expose } from 'comlink';

export type { KitchenWorker, Target } from './planner';

/** What is asked while the planner and its data are on their way; answered when they have come. */
const early: MessageEvent<unknown>[] = [];
const hold = (event: MessageEvent<unknown>) => void early.push(event);
addEventListener('message', hold);

import('./planner').then(
  ({ kitchenWorker }) => {
    removeEventListener('message', hold);
    expose(kitchenWorker);
    for (const { data, ports } of early) dispatchEvent(new MessageEvent('message', { data, ports: [...ports] }));
  },
  // told to the page as the worker's own failure
  (error: unknown) => reportError(error),
);
