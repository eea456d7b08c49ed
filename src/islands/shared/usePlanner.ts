import { proxy, type Remote } from 'comlink';
import type { Sureness } from '../../core/kit/robustness/robustness';
import { useCallback, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { BladeModel } from '../../core/blade/schema';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Answered, SentAnswer } from '../../core/kit/plan/answered';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { pocketsChanged } from './changes';
import { useCatalogue } from './useCatalogue';

/** Perturbed plans behind each "stays", run in the background. */
const PERTURBED = 200;

export interface Answer extends Answered {
  /** How long the worker took over the first answer; 0 where the page came with it. */
  milliseconds: number;
  /** False while the harder search is still under way. */
  final: boolean;
  /** The cook stopped the search: the first answer stands, unproven. */
  stopped: boolean;
  /** What the proof changed in the first answer, a few words each. */
  proofChanged: string[];
}

/** An answer as it is until it is proven. */
export const provisional = (answered: Answered & { milliseconds?: number }): Answer => ({
  milliseconds: 0,
  ...answered,
  final: false,
  stopped: false,
  proofChanged: [],
});

/** A page nobody looks at is not painted: it is not waited for longer than this, ms. */
const PAINTED_WITHIN = 400;

/** Resolves once what is on its way to the screen is there. */
const painted = () =>
  new Promise<void>((resolve) => {
    const timer = setTimeout(resolve, PAINTED_WITHIN);
    requestAnimationFrame(() =>
      setTimeout(() => {
        clearTimeout(timer);
        resolve();
      }),
    );
  });

const NOTHING_YET = new Map<string, BladeModel>();

/** How often each step stayed in the plans made again so far. */
export interface Sure {
  done: number;
  of: number;
  steps: (Sureness | null)[];
}

/**
 * Asks the worker for a plan at every change. The newest question wins; the answer grows surer while nothing changes, unless the view shows nothing of
 * that (`robustness` false). `sent`: what the page came with, shown until the worker has answered.
 */
export function usePlanner(
  kitchen: KitchenFile,
  worker: Remote<KitchenWorker>,
  { robustness = true, sent = null }: { robustness?: boolean; sent?: SentAnswer | null } = {},
) {
  const [answer, setAnswer] = useState<Answer | null>(() => sent && provisional(sent));
  const [sure, setSure] = useState<Sure | null>(null);
  const { catalogue, trouble: noCatalogue, reload } = useCatalogue(worker);
  /** What a better kit might still be worth, coverage; null before anything is known of it. */
  const [gap, setGap] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const asked = useRef(0);
  const ready = catalogue !== null;

  useEffect(() => {
    if (!ready) return;
    const mine = ++asked.current;
    const current = () => mine === asked.current;
    const think = async () => {
      const first = await worker.quick(kitchen);
      if (!current()) return;
      // one core does one thing at a time: what is known is drawn at once and painted before more is asked
      flushSync(() => {
        setTrouble(null);
        setSure(null);
        setGap(null);
        setAnswer(provisional(first));
      });
      await painted();
      if (!current()) return;
      const better = await worker.thorough(proxy((left) => current() && setGap(left)));
      if (!current()) return;
      const proofChanged = better ? pocketsChanged(first.plan, better.plan) : [];
      const answer = { ...first, ...better, final: true, stopped: better === null, proofChanged };
      setAnswer(answer);
      if (better === null || !robustness) return;
      const tell = (done: number, steps: (Sureness | null)[]) => current() && setSure({ done, of: PERTURBED, steps });
      await worker.sure(answer.plan, PERTURBED, proxy(tell));
    };
    think().catch((error: unknown) => {
      if (current()) setTrouble(error instanceof Error ? error.message : 'This kitchen could not be planned.');
    });
  }, [kitchen, ready, worker, robustness]);

  const stop = useCallback(() => void worker.stop(), [worker]);
  const [drawn] = useState(() => (sent ? new Map(sent.models.map((model) => [model.id, model])) : NOTHING_YET));
  return { answer, gap, stop, sure, reload, catalogue: catalogue ?? drawn, trouble: noCatalogue ?? trouble };
}
