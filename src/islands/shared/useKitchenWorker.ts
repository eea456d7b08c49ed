import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { KitchenWorker } from '../../workers/kitchen.worker';

function begin() {
  const worker = new Worker(new URL('../../workers/kitchen.worker.ts', import.meta.url), { type: 'module' });
  return { worker, remote: wrap<KitchenWorker>(worker) };
}

/** The worker behind this page, for as long as the page is open: planning and saving happen there. */
export function useKitchenWorker(): Remote<KitchenWorker> {
  const [{ worker, remote }] = useState(begin);
  useEffect(() => () => worker.terminate(), [worker]);
  return remote;
}
