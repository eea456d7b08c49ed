import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import { useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { StepBrief } from '../../core/formats/briefFile';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Brief } from '../shop/Brief';
import { Working } from '../shared/Working';
import css from './InAnyShop.module.css';

interface Props {
  step: PlanStep;
  plan: Plan;
  ready: boolean;
  worker: Remote<KitchenWorker>;
  catalogue: Map<string, BladeModel>;
  /** The kitchen's page for the counter. */
  shop: string;
}

/** The step as it can be bought anywhere: what to look for, what it may cost, and the way to have one judged. */
export default function InAnyShop({ step, plan, ready, worker, catalogue, shop }: Props) {
  const [brief, setBrief] = useState<StepBrief | 'working' | 'stopped' | null>(null);
  const [open, setOpen] = useState(false);
  const turn = () => {
    setOpen(!open);
    if (open || (brief !== null && brief !== 'stopped')) return;
    setBrief('working');
    const stopped = () => setBrief('stopped');
    worker.brief(plan, step.order).then((found) => (found ? setBrief(found) : stopped()), stopped);
  };
  const pick = catalogue.get(step.model ?? '');
  return (
    <section className={css.shop} aria-labelledby="shop">
      <h3 id="shop">In any shop</h3>
      <p className="faded">
        This knife is an example to plan with. Any knife within the brief does the same work here.
      </p>
      <Button variant="default" size="sm" aria-expanded={open} disabled={!ready} onClick={turn}>
        {open ? 'Fold the brief' : 'What to look for'}
      </Button>
      {open && brief === 'working' && (
        <Working onStop={() => void worker.stop()}>Trying other knives and prices in its place</Working>
      )}
      {open && brief === 'stopped' && <p>Not worked out to its end. Fold it and open it again to go on.</p>}
      {open && brief !== null && typeof brief !== 'string' && (
        <>
          <Brief brief={brief} pick={pick} currency={plan.currency} />
          <p>
            <a href={`${shop}?step=${step.order}`}>Judge a knife you see in a shop</a>
          </p>
        </>
      )}
    </section>
  );
}
