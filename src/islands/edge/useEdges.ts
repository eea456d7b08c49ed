import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Edges } from '../../workers/edges';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { today } from '../shared/today';
import type { Answer } from '../shared/usePlanner';

const MONTHS = 12;

/** The edges of an answer's plan, from today on; null until they are there. */
export function useEdges(answer: Answer | null, worker: Remote<KitchenWorker>): Edges | null {
  const [edges, setEdges] = useState<{ of: Answer; edges: Edges } | null>(null);
  useEffect(() => {
    if (!answer) return;
    let current = true;
    worker.edges(answer.plan, today(), MONTHS).then(
      (found) => current && found && setEdges({ of: answer, edges: found }),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [answer, worker]);
  return edges?.edges ?? null;
}
