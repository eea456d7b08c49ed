import type { Remote } from 'comlink';
import { useMemo } from 'react';
import type { Edges } from '../../workers/edges';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { today } from '../shared/today';
import { useAsked } from '../shared/useAsked';
import type { Answer } from '../shared/usePlanner';

const MONTHS = 12;

/** The edges of an answer's plan, from today on; null until they are there. */
export function useEdges(answer: Answer | null, worker: Remote<KitchenWorker>): Edges | null {
  const ask = useMemo(() => answer && (() => worker.edges(answer.plan, today(), MONTHS)), [answer, worker]);
  return useAsked(ask).found;
}
