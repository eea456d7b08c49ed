import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { KitchenWorker } from '../../workers/kitchen.worker';

function begin() {
  const worker = new Worker(new URL('../../workers/kitchen.worker.ts', import.meta.url), { type: 'module' });
  return { worker, remote: wrap<KitchenWorker>(worker) };
}

/** The worker behind this page, for as long as the page is open: planning and saving happen there. `failed`: it never came, or broke down. */
export function useKitchenWorker(): { worker: Remote<KitchenWorker>; failed: boolean } {
  const [{ worker, remote }] = useState(begin);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    worker.addEventListener('error', () => setFailed(true));
    return () => worker.terminate();
  }, [worker]);
  return { worker: remote, failed };
}
