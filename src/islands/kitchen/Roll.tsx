import { counted } from '../../core/formats/planSteps';
import { useMediaQuery } from '@mantine/hooks';
import { memo, type CSSProperties } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { OwnedFile } from '../../core/formats/kitchenFile';
import type { Plan, PlanStep } from '../../core/formats/planFile';
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
  /** Which steps most plans made again are without; null until it is known. */
  inDoubt: readonly boolean[] | null;
  open: number | null;
  onOpen: (order: number) => void;
  /** What the server knows of the window, which it cannot measure. */
  isPhone?: boolean;
}

const DRAWN_HEIGHT_PX = 312;
/** A pocket is at least so wide, and leaves so much beside its blade. */
const LEAST_WIDTH_PX = 84;
const BESIDE_BLADE_PX = 28;
const NARROW_WIDTH_PX = 326;
/** The same on the smallest phones. */
const SMALLEST_WIDTH_PX = 230;
const LARGEST_PX_PER_MM = 0.9;

interface Group {
  name: string;
  items: PocketContent[];
}

const isGivenAway = ({ action }: PlanStep) => action === 'retire';

/** What is kept, needed, wanted and given away, pocket by pocket; empty groups are left out. */
function groupsOf({ plan, owned, ownedFile, catalogue, inDoubt }: Props): Group[] {
  const contents = plan.steps.map((step): PocketContent => {
    const blade = step.owned !== undefined ? owned[step.owned] : step.model ? catalogue.get(step.model) : undefined;
    return {
      key: `${step.order}`,
      step,
      blade: blade ?? null,
      title: counted(step, titleOf(step.name, step.lengthMm, step.type)),
      inDoubt: inDoubt?.[step.order - 1] ?? false,
    };
  });
  const inSteps = new Set(plan.steps.flatMap((s) => (s.owned === undefined ? [] : [s.owned])));
  const kept = owned.flatMap((blade, i): PocketContent[] => {
    if (inSteps.has(i)) return [];
    const condition = ownedFile[i]?.condition ?? 'serviceable';
    const title = titleOf(blade.name, blade.lengthMm, blade.type);
    return [{ key: `owned-${i}`, step: null, blade, title, condition, inDoubt: false }];
  });
  return [
    { name: 'Yours already', items: kept },
    { name: 'Needs', items: contents.filter(({ step }) => step?.need === 'need' && !isGivenAway(step)) },
    { name: 'Wants', items: contents.filter(({ step }) => step?.need === 'want' && !isGivenAway(step)) },
    { name: 'Give away', items: contents.filter(({ step }) => step && isGivenAway(step)) },
  ].filter((group) => group.items.length > 0);
}

/** One scale for every pocket: the longest knife fits the room. */
function scaleOf(pockets: readonly PocketContent[], narrow: boolean, isSmallest: boolean): Scale {
  const blades = pockets.flatMap((c) => c.blade ?? []);
  const handleMm = Math.max(110, ...blades.map((b) => b.handleLengthMm));
  const bladeMm = Math.max(120, ...blades.map((b) => b.lengthMm));
  const room = isSmallest ? SMALLEST_WIDTH_PX : narrow ? NARROW_WIDTH_PX : DRAWN_HEIGHT_PX;
  const pxPerMm = Math.min(LARGEST_PX_PER_MM, room / (handleMm + bladeMm + 8));
  return { upright: !narrow, pxPerMm, handleMm, bladeMm };
}

/** Every pocket is as wide as the tallest blade needs. */
const leastWidth = (pockets: readonly PocketContent[], { pxPerMm }: Scale) =>
  Math.max(LEAST_WIDTH_PX, ...pockets.map(({ blade }) => (blade ? blade.heelHeightMm * pxPerMm + BESIDE_BLADE_PX : 0)));

/** The kit laid out as a knife roll: every knife to one scale, in buying order, needs sewn apart from wants. */
export const Roll = memo(function Roll(props: Props) {
  const { plan, open, onOpen, isPhone = false } = props;
  const matches = useMediaQuery('(max-width: 640px)', false, { getInitialValueInEffect: false });
  const narrow = typeof window === 'undefined' ? isPhone : matches;
  const isSmallest = useMediaQuery('(max-width: 374px)', false, { getInitialValueInEffect: false });
  const groups = groupsOf(props);
  const pockets = groups.flatMap(({ items }) => items);
  const scale = scaleOf(pockets, narrow, narrow && isSmallest);
  return (
    <section
      className={css.roll}
      aria-label="Your knife roll"
      data-px-per-mm={scale.pxPerMm.toFixed(4)}
      style={{ '--least': `${leastWidth(pockets, scale)}px` } as CSSProperties}
    >
      {groups.length === 0 && <p className={css.empty}>Nothing to buy: no knife within your budget would help.</p>}
      <div className={css.laid}>
        {groups.length > 0 && <Rule scale={scale} />}
        <div className={css.groups}>
          {groups.map(({ name, items }) => (
            <div
              key={name}
              className={css.group}
              data-group={name}
              role="group"
              aria-label={name}
              style={{ '--pockets': items.length } as CSSProperties}
            >
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
      </div>
    </section>
  );
});

function titleOf(name: string, lengthMm: number | null, type: string | null): string {
  if (lengthMm === null) return name;
  return type ? typeName(type).replace(', double bevel', '') : name;
}
