import type { Remote } from 'comlink';
import { useMemo } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { useAsked } from './useAsked';

/** The middling blade of a kind, at a length or its usual one, once the worker has it; null while no kind is named. */
export function useTypical(
  worker: Remote<KitchenWorker>,
  type: string | undefined,
  lengthMm?: number,
): BladeModel | null {
  const ask = useMemo(
    () =>
      type === undefined
        ? null
        : async () => (await worker.typical([{ type, ...(lengthMm === undefined ? {} : { lengthMm }) }]))[0] ?? null,
    [type, lengthMm, worker],
  );
  return useAsked(ask).found;
}
