import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { KitchenWorker } from '../../workers/kitchen.worker';

/** The worker behind this page: planning and saving happen there. Null until it has been started. */
export function useKitchenWorker(): Remote<KitchenWorker> | null {
  const [remote, setRemote] = useState<Remote<KitchenWorker> | null>(null);
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/kitchen.worker.ts', import.meta.url), { type: 'module' });
    const wrapped = wrap<KitchenWorker>(worker);
    setRemote(() => wrapped);
    return () => worker.terminate();
  }, []);
  return remote;
}
