import type { Remote } from 'comlink';
import { useCallback, useEffect, useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { KitchenWorker } from '../../workers/kitchen.worker';

/** The catalogue by id once the worker has it, or why there is none; `reload` fetches it again. */
export function useCatalogue(worker: Remote<KitchenWorker>) {
  const [catalogue, setCatalogue] = useState<Map<string, BladeModel> | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const reload = useCallback(
    () =>
      worker.load().then(
        (models) => setCatalogue(new Map(models.map((m) => [m.id, m]))),
        (error: unknown) => setTrouble(error instanceof Error ? error.message : 'The catalogue could not be read.'),
      ),
    [worker],
  );
  useEffect(() => void reload(), [reload]);
  return { catalogue, trouble, reload };
}
