import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Plan } from '../../core/formats/planFile';
import type { KitchenWorker } from '../../workers/kitchen.worker';

/** Perturbed plans behind each "stays", run in the background. */
const PERTURBED = 40;

export interface Answer {
  plan: Plan;
  /** Drawings of what is owned, in the kitchen's order. */
  owned: BladeModel[];
  /** How long the worker took over the first answer. */
  milliseconds: number;
  /** False while the harder search is still under way. */
  final: boolean;
}

/** Asks the worker for a plan at every change. The newest question wins; the answer grows surer while nothing changes. */
export function usePlanner(kitchen: KitchenFile, worker: Remote<KitchenWorker>) {
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [stays, setStays] = useState<number[] | null>(null);
  const [catalogue, setCatalogue] = useState<Map<string, BladeModel>>(new Map());
  const [trouble, setTrouble] = useState<string | null>(null);
  const asked = useRef(0);
  const [ready, setReady] = useState(false);

  useEffect(() => {
    worker
      .load()
      .then((models) => {
        setCatalogue(new Map(models.map((m) => [m.id, m])));
        setReady(true);
      })
      .catch((error: unknown) =>
        setTrouble(error instanceof Error ? error.message : 'The catalogue could not be read.'),
      );
  }, [worker]);

  useEffect(() => {
    if (!ready) return;
    const mine = ++asked.current;
    const current = () => mine === asked.current;
    const think = async () => {
      const first = await worker.quick(kitchen);
      if (!current()) return;
      setTrouble(null);
      setStays(null);
      setAnswer({ ...first, final: false });
      const better = await worker.thorough();
      if (!current()) return;
      const plan = better ?? first.plan;
      setAnswer({ ...first, plan, final: true });
      const share = await worker.sure(plan, PERTURBED);
      if (current() && share) setStays(share);
    };
    think().catch((error: unknown) => {
      if (current()) setTrouble(error instanceof Error ? error.message : 'This kitchen could not be planned.');
    });
  }, [kitchen, ready, worker]);

  return { answer, stays, catalogue, trouble };
}
