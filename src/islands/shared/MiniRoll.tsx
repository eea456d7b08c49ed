import type { BladeModel } from '../../core/blade/schema';
import type { Plan } from '../../core/formats/planFile';
import { KnifeDrawing, placed } from './KnifeDrawing';
import css from './MiniRoll.module.css';

const GAP_MM = 14;
const PX_PER_MM = 0.42;

/** A plan's knives in miniature, in order and to one scale, the owned ones filled. */
export function MiniRoll({
  plan,
  owned,
  catalogue,
}: {
  plan: Plan;
  owned: BladeModel[];
  catalogue: Map<string, BladeModel>;
}) {
  const stepped = plan.steps.flatMap((step) => {
    if (step.action === 'retire') return [];
    const blade = step.owned !== undefined ? owned[step.owned] : catalogue.get(step.model ?? '');
    return blade ? [{ blade, own: step.owned !== undefined, key: `${step.order}` }] : [];
  });
  const inSteps = new Set(plan.steps.flatMap((s) => s.owned ?? []));
  const keeps = owned.flatMap((blade, i) => (inSteps.has(i) ? [] : [{ blade, own: true, key: `own ${i}` }]));
  const knives = [...keeps, ...stepped];
  const handle = Math.max(0, ...knives.map(({ blade }) => blade.handleLengthMm));
  const long = Math.max(0, ...knives.map(({ blade }) => blade.lengthMm));
  let x = 0;
  const laid = knives.map((each) => {
    const { width } = placed(each.blade, true);
    const at = x;
    x += width + GAP_MM;
    return { ...each, at };
  });
  const tools = plan.steps.filter((s) => s.action === 'tool').map((s) => s.name);
  return (
    <div className={css.roll}>
      {knives.length === 0 ? (
        <p className={css.none}>Nothing to buy.</p>
      ) : (
        <div
          className={css.cloth}
          role="img"
          aria-label={`Knives in order: ${knives.map(({ blade }) => blade.name).join(', ')}`}
        >
          <svg
            width={(x - GAP_MM + 8) * PX_PER_MM}
            height={(handle + long + 8) * PX_PER_MM}
            viewBox={`-4 -4 ${x - GAP_MM + 8} ${handle + long + 8}`}
          >
            {laid.map(({ blade, own, at, key }) => (
              <g key={key} transform={`translate(${at} ${handle - blade.handleLengthMm})`}>
                <KnifeDrawing blade={blade} upright owned={own} line={2.4} />
              </g>
            ))}
          </svg>
        </div>
      )}
      {tools.length > 0 && <p className={css.tools}>and {tools.join(', ').toLowerCase()}</p>}
    </div>
  );
}
