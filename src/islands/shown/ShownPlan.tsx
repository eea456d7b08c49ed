import { counted } from '../../core/formats/planSteps';
import { reference } from '../../../data/reference';
import type { BladeModel } from '../../core/blade/schema';
import { UNKNOWN_MAKER } from '../../core/blade/words';
import { drawKnife, overallMm } from '../../core/drawing/knife';
import { drawTool } from '../../core/drawing/tool';
import type { PlanStep } from '../../core/formats/planFile';
import type { ShownPlan } from '../../core/formats/shownPlan';
import { typicalBlade } from '../../core/kit/candidates/typicalBlade';
import { STEP_WORDS } from '../../core/formats/stepWords';
import { placedDrawing } from '../shared/KnifeDrawing';
import { Shapes } from '../shared/Shapes';
import { taskName, typeName, writingIn } from '../shared/words';
import css from './ShownPlan.module.css';

/** A tool is drawn no larger than this beside the knives, mm. */
const TOOL_MM = 90;

/** What is owned is drawn as its kind is usually built. */
function usualBlade({ type: id, lengthMm }: PlanStep): BladeModel | undefined {
  const type = reference.types.get(id ?? '');
  return type && typicalBlade(type, { lengthMm: lengthMm ?? undefined }, 'right');
}

/** A knife or a tool lying in a picture whose unit is a millimetre; every picture is as wide, so that all are to one scale. */
function Picture({ blade, step, wide }: { blade: BladeModel | undefined; step: PlanStep; wide: number }) {
  const drawing = blade ? drawKnife(blade) : drawTool(step.type ?? '');
  if (!drawing) return <span />;
  const { place, width, height } = placedDrawing(drawing, false);
  const scale = blade ? 1 : Math.min(1, TOOL_MM / Math.max(width, height));
  return (
    <svg className={css.picture} viewBox={`-1 -1 ${wide + 2} ${height * scale + 2}`} aria-hidden="true">
      <g transform={`scale(${scale})`}>
        <Shapes drawing={drawing} place={place} line={1 / scale} owned={step.owned !== undefined} />
      </g>
    </svg>
  );
}

export interface ShownPlanProps {
  shown: ShownPlan;
  on: Date;
  until: Date;
  /** What its reader's browser asks for, a BCP 47 tag. */
  language: string;
}

/** The steps of a plan in the two groups that are shown. */
export const shownGroups = ({ steps }: ShownPlan['plan']) =>
  [
    { name: 'Needs', steps: steps.filter((step) => step.need === 'need') },
    { name: 'Wants', steps: steps.filter((step) => step.need === 'want') },
  ].filter((group) => group.steps.length > 0);

/** What the kit is and what it reaches. */
export function ShownPlanHead({ shown: { plan, withPrices }, language }: ShownPlanProps) {
  const { percent, money } = writingIn(language);
  return (
    <header>
      <h1>{plan.kitchen}</h1>
      <p>
        A knife kit in buying order. {percent(plan.coverage.now)} of the cutting here is done well today,{' '}
        {percent(plan.coverage.needs)} with the needs, {percent(plan.coverage.all)} with everything
        {withPrices && `, for ${money(plan.spent, plan.currency)}`}.
      </p>
    </header>
  );
}

/** What stays badly served, and how long the page is there. */
export function ShownPlanFoot({ shown: { plan }, on, until, language }: ShownPlanProps) {
  const { day } = writingIn(language);
  return (
    <>
      {plan.steps.length === 0 && <p>Nothing to buy: the knives you have do the work.</p>}
      {plan.unserved.length > 0 && (
        <section>
          <h2>Still badly served</h2>
          <ul>
            {plan.unserved.map(({ task, why }) => (
              <li key={task}>
                <b>{taskName(task)}</b>: {why}
              </li>
            ))}
          </ul>
        </section>
      )}
      <footer className="faded">
        <p>
          As planned on {day(on)}; this page is there until {day(until)}. Models are examples: any knife alike does the
          same work. Figures are estimates.
        </p>
      </footer>
    </>
  );
}

/** The blade that a step shows. */
const bladeOf = ({ blades }: ShownPlan, step: PlanStep) =>
  blades.find(({ id }) => id === step.model) ?? usualBlade(step);

/** Width of every picture of a plan, mm. Worked out once for a plan, as every step needs it. */
const widths = new WeakMap<ShownPlan, number>();
function widthOf(shown: ShownPlan): number {
  const known = widths.get(shown);
  if (known !== undefined) return known;
  const wide = Math.max(200, ...shown.plan.steps.flatMap((step) => bladeOf(shown, step) ?? []).map(overallMm));
  widths.set(shown, wide);
  return wide;
}

/** One step: its picture, what to do, and why. */
export function ShownStep({ shown, step, language }: ShownPlanProps & { step: PlanStep }) {
  const { money } = writingIn(language);
  const beside = [
    ...(step.maker && step.maker !== UNKNOWN_MAKER ? [`such as ${step.maker} ${step.name}`] : []),
    ...(shown.withPrices && step.action !== 'retire' ? [money(step.price, shown.plan.currency)] : []),
  ];
  return (
    <li value={step.order}>
      <Picture blade={bladeOf(shown, step)} step={step} wide={widthOf(shown)} />
      <div>
        <h3>
          <span className="figure">{step.order}</span> {STEP_WORDS[step.action]}:{' '}
          {counted(step, step.type && step.lengthMm !== null ? typeName(step.type) : step.name)}
          {step.lengthMm !== null && `, ${Math.round(step.lengthMm)} mm`}
        </h3>
        {beside.length > 0 && <p className="faded">{beside.join(' · ')}</p>}
        {step.because.slice(0, 2).map((reason) => (
          <p key={reason}>{reason}</p>
        ))}
      </div>
    </li>
  );
}
