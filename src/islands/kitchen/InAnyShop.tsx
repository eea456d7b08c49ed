import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import { useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { drawKnife } from '../../core/drawing/knife';
import { pathOfShape, upsideDown } from '../../core/drawing/shape';
import { FIGURE_WORDS } from '../../core/formats/figures';
import { BRIEF_FIGURES, type BriefFigure, type StepBrief } from '../../core/formats/briefFile';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { upperFirst } from '../../core/text/case';
import { Shapes } from '../shared/Shapes';
import { useLengths, type Lengths } from '../shared/units';
import type { Update } from '../shared/useKitchen';
import { Working } from '../shared/Working';
import { money } from '../shared/words';
import css from './InAnyShop.module.css';
import { OnTheShelf } from './OnTheShelf';

interface Props {
  step: PlanStep;
  plan: Plan;
  ready: boolean;
  worker: Remote<KitchenWorker>;
  catalogue: Map<string, BladeModel>;
  update: Update;
  onCatalogue: () => Promise<void>;
}

/** The step as it can be bought anywhere: what to look for, what it may cost, and a knife on the shelf judged. */
export default function InAnyShop(props: Props) {
  const { step, plan, ready, worker, catalogue } = props;
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
          <OnTheShelf {...props} brief={brief} />
        </>
      )}
    </section>
  );
}

/** A figure of a brief over its range, in the units of this device. */
function rangeTold(figure: BriefFigure, [low, high]: readonly [number, number], lengths: Lengths): string {
  const span = low === high ? `${low}` : `${low}–${high}`;
  return lengths.told(`${span}${FIGURE_WORDS[figure].unit}`);
}

function Brief({ brief, pick, currency }: { brief: StepBrief; pick: BladeModel | undefined; currency: string }) {
  const lengths = useLengths();
  const told = BRIEF_FIGURES.flatMap((figure) => {
    const range = brief.ranges[figure];
    return range ? [{ figure, range }] : [];
  });
  return (
    <div className={css.brief}>
      <p className={css.words}>{lengths.told(brief.inWords)}</p>
      {pick && <Band pick={pick} ranges={brief.ranges} />}
      <dl className={css.figures}>
        {told.map(({ figure, range }) => (
          <div key={figure}>
            <dt>{figure === 'lengthMm' ? 'Edge' : upperFirst(FIGURE_WORDS[figure].name)}</dt>
            <dd className="figure">{rangeTold(figure, range, lengths)}</dd>
          </div>
        ))}
        <div>
          <dt>Up to</dt>
          <dd className="figure">{money(brief.priceUpTo, currency)}</dd>
        </div>
      </dl>
      {brief.instead && <p className="faded">Dearer than that, {brief.instead} would take its place.</p>}
      <Part title="It has" items={brief.must} />
      <Part title="Leave it when it has" items={brief.avoid.map(lengths.told)} />
      {brief.indifferent.length > 0 && <p className="faded">Does not matter here: {brief.indifferent.join(', ')}.</p>}
      <Part title="Ask the seller" items={brief.ask} />
      <Part title="With it in the hand" items={brief.inTheHand.map(lengths.told)} />
    </div>
  );
}

function Part({ title, items }: { title: string; items: readonly string[] }) {
  if (items.length === 0) return null;
  return (
    <div>
      <h4>{title}</h4>
      <ul>
        {items.map((item) => (
          <li key={item}>{item}</li>
        ))}
      </ul>
    </div>
  );
}

/** The blade with its band of tolerance to scale: the shortest and lowest, and the longest and tallest that do as well. */
function Band({ pick, ranges }: { pick: BladeModel; ranges: StepBrief['ranges'] }) {
  const at = (end: 0 | 1): BladeModel => {
    const heelHeightMm = ranges.heelHeightMm?.[end] ?? pick.heelHeightMm;
    return { ...pick, lengthMm: ranges.lengthMm[end], heelHeightMm, bellyMm: Math.min(pick.bellyMm, heelHeightMm) };
  };
  const [least, most] = [drawKnife(at(0)), drawKnife(at(1))];
  const own = drawKnife(pick);
  const left = own.left - 6;
  const top = Math.max(own.top, most.top) + 6;
  return (
    <svg
      className={css.band}
      viewBox={`${left} ${-top} ${most.right - left + 8} ${top + 22}`}
      role="img"
      aria-label={`Drawn to scale: the blade of ${Math.round(pick.lengthMm)} mm, and dashed round it what does as well, ${ranges.lengthMm[0]} to ${ranges.lengthMm[1]} mm`}
    >
      <Shapes drawing={own} place={upsideDown} line={1} />
      {[least, most].map(({ shapes }, i) =>
        shapes.slice(0, 1).map((shape) => <path key={i} className={css.end} d={pathOfShape(shape, upsideDown)} />),
      )}
      <path
        className={css.end}
        d={`M${ranges.lengthMm[0]} 9H${ranges.lengthMm[1]}M${ranges.lengthMm[0]} 5v8M${ranges.lengthMm[1]} 5v8`}
      />
    </svg>
  );
}
