import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { StepBrief } from '../../core/formats/briefFile';
import type { Plan } from '../../core/formats/planFile';
import type { KitchenWorker } from '../../workers/kitchen.worker';

interface Found {
  plan: Plan;
  briefs: StepBrief[];
  /** How far it is; null at its end. */
  progress: { done: number; of: number } | null;
}

const NONE: StepBrief[] = [];

/** The briefs of a plan's purchases, worked out one after the other; none while there is no proven plan. */
export function useBriefs(plan: Plan | null, worker: Remote<KitchenWorker>) {
  const [found, setFound] = useState<Found | null>(null);
  const run = useRef(0);
  useEffect(() => {
    const mine = ++run.current;
    if (!plan) return;
    const orders = plan.steps.filter(({ action }) => action === 'buy').map(({ order }) => order);
    const work = async () => {
      const briefs: StepBrief[] = [];
      for (const [done, order] of orders.entries()) {
        if (mine !== run.current) return;
        setFound({ plan, briefs: [...briefs], progress: { done, of: orders.length } });
        const brief = await worker.brief(plan, order);
        if (brief) briefs.push(brief);
      }
      if (mine === run.current) setFound({ plan, briefs, progress: null });
    };
    work().catch(() => setFound((now) => now && { ...now, progress: null }));
  }, [plan, worker]);
  const stop = () => {
    run.current++;
    setFound((now) => now && { ...now, progress: null });
    void worker.stop();
  };
  const current = found?.plan === plan ? found : null;
  return { briefs: current?.briefs ?? NONE, progress: current?.progress ?? null, stop };
}
