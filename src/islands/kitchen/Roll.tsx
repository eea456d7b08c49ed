import { useMediaQuery } from '@mantine/hooks';
import type { BladeModel } from '../../core/blade/schema';
import type { OwnedFile } from '../../core/formats/kitchenFile';
import type { Plan } from '../../core/formats/planFile';
import { Pocket, type PocketContent } from './Pocket';
import { Rule } from './Rule';
import type { Scale } from './scale';
import css from './Roll.module.css';
import { typeName } from '../shared/words';

interface Props {
  plan: Plan;
  owned: BladeModel[];
  ownedFile: OwnedFile[];
  catalogue: Map<string, BladeModel>;
  stays: readonly (number | null)[] | null;
  open: number | null;
  onOpen: (order: number) => void;
}

const DRAWN_HEIGHT_PX = 312;
/** Pockets a wide window shows side by side. */
const MOST_SEEN = 8;
const NARROW_WIDTH_PX = 326;
const LARGEST_PX_PER_MM = 0.9;

/** The kit laid out as a knife roll: every knife to one scale, in buying order, needs sewn apart from wants. */
export function Roll({ plan, owned, ownedFile, catalogue, stays, open, onOpen }: Props) {
  const narrow = useMediaQuery('(max-width: 640px)', false, { getInitialValueInEffect: false });
  const contents = plan.steps.map((step): PocketContent => {
    const blade = step.owned !== undefined ? owned[step.owned] : step.model ? catalogue.get(step.model) : undefined;
    return {
      key: `${step.order}`,
      step,
      blade: blade ?? null,
      title: titleOf(step.name, step.lengthMm, step.type),
      stays: stays?.[step.order - 1] ?? null,
    };
  });
  const inSteps = new Set(plan.steps.flatMap((s) => (s.owned === undefined ? [] : [s.owned])));
  const kept = owned.flatMap((blade, i): PocketContent[] =>
    inSteps.has(i)
      ? []
      : [
          {
            key: `owned-${i}`,
            step: null,
            blade,
            title: titleOf(blade.name, blade.lengthMm, blade.type),
            condition: ownedFile[i]?.condition ?? 'serviceable',
            stays: null,
          },
        ],
  );
  const groups = [
    { name: 'Yours already', items: kept },
    { name: 'Needs', items: contents.filter((c) => c.step?.need === 'need') },
    { name: 'Wants', items: contents.filter((c) => c.step?.need === 'want') },
  ].filter((group) => group.items.length > 0);

  const blades = [...kept, ...contents].flatMap((c) => c.blade ?? []);
  const handleMm = Math.max(110, ...blades.map((b) => b.handleLengthMm));
  const bladeMm = Math.max(120, ...blades.map((b) => b.lengthMm));
  const room = narrow ? NARROW_WIDTH_PX : DRAWN_HEIGHT_PX;
  const scale: Scale = {
    upright: !narrow,
    pxPerMm: Math.min(LARGEST_PX_PER_MM, room / (handleMm + bladeMm + 8)),
    handleMm,
    bladeMm,
  };

  return (
    <section className={css.roll} aria-label="Your knife roll" data-px-per-mm={scale.pxPerMm.toFixed(4)}>
      {groups.length === 0 && (
        <p className={css.empty}>Nothing to buy: what there is to spend buys no knife that would help.</p>
      )}
      <div className={css.laid}>
        {groups.length > 0 && <Rule scale={scale} />}
        {groups.map(({ name, items }) => (
          <div key={name} className={css.group} data-group={name} role="group" aria-label={name}>
            <h2 className={css.seam}>{name}</h2>
            <ol className={css.pockets}>
              {items.map((content) => (
                <Pocket
                  key={content.key}
                  content={content}
                  scale={scale}
                  currency={plan.currency}
                  open={content.step !== null && content.step.order === open}
                  onOpen={onOpen}
                />
              ))}
            </ol>
          </div>
        ))}
      </div>
      {!narrow && kept.length + contents.length > MOST_SEEN && (
        <p className={css.turns}>{kept.length + contents.length} pockets: the roll turns sideways</p>
      )}
    </section>
  );
}

function titleOf(name: string, lengthMm: number | null, type: string | null): string {
  if (lengthMm === null) return name;
  return type ? typeName(type).replace(', double bevel', '') : name;
}
