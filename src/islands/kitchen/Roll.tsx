import { counted } from '../../core/formats/planSteps';
import { useMediaQuery } from '@mantine/hooks';
import { memo, useRef, type RefObject } from 'react';
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
  /** Which steps most plans made again are without; null until it is known. */
  inDoubt: readonly boolean[] | null;
  open: number | null;
  onOpen: (order: number) => void;
}

const DRAWN_HEIGHT_PX = 312;
/** Pockets a wide window shows side by side. */
const MOST_SEEN = 8;
/** With less than this left beyond the edge the last pocket is seen whole. */
const HEM_PX = 24;
const NARROW_WIDTH_PX = 326;
const LARGEST_PX_PER_MM = 0.9;

interface Group {
  name: string;
  items: PocketContent[];
}

/** What is kept, what is needed and what is wanted, pocket by pocket; empty groups are left out. */
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
    { name: 'Needs', items: contents.filter((c) => c.step?.need === 'need') },
    { name: 'Wants', items: contents.filter((c) => c.step?.need === 'want') },
  ].filter((group) => group.items.length > 0);
}

/** One scale for every pocket: the longest knife fits the room. */
function scaleOf(pockets: readonly PocketContent[], narrow: boolean): Scale {
  const blades = pockets.flatMap((c) => c.blade ?? []);
  const handleMm = Math.max(110, ...blades.map((b) => b.handleLengthMm));
  const bladeMm = Math.max(120, ...blades.map((b) => b.lengthMm));
  const room = narrow ? NARROW_WIDTH_PX : DRAWN_HEIGHT_PX;
  const pxPerMm = Math.min(LARGEST_PX_PER_MM, room / (handleMm + bladeMm + 8));
  return { upright: !narrow, pxPerMm, handleMm, bladeMm };
}

/** The kit laid out as a knife roll: every knife to one scale, in buying order, needs sewn apart from wants. */
export const Roll = memo(function Roll(props: Props) {
  const { plan, open, onOpen } = props;
  const roll = useRef<HTMLElement>(null);
  const narrow = useMediaQuery('(max-width: 640px)', false, { getInitialValueInEffect: false });
  const groups = groupsOf(props);
  const pockets = groups.flatMap(({ items }) => items);
  const scale = scaleOf(pockets, narrow);
  return (
    <section ref={roll} className={css.roll} aria-label="Your knife roll" data-px-per-mm={scale.pxPerMm.toFixed(4)}>
      {!narrow && pockets.length > MOST_SEEN && <Turn pockets={pockets.length} roll={roll} />}
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
    </section>
  );
});

/** Says that the roll is wider than the window, and turns it: on to the pockets that follow, and from the last back to the first. */
function Turn({ pockets, roll }: { pockets: number; roll: RefObject<HTMLElement | null> }) {
  const turn = () => {
    const { scrollLeft = 0, clientWidth = 0, scrollWidth = 0 } = roll.current ?? {};
    const isAtEnd = scrollLeft + clientWidth > scrollWidth - HEM_PX;
    roll.current?.scrollTo({ left: isAtEnd ? 0 : scrollLeft + 0.8 * clientWidth });
  };
  return (
    <div className={css.turns}>
      <button type="button" className={css.turn} onClick={turn}>
        {pockets} pockets: turn the roll
      </button>
    </div>
  );
}

function titleOf(name: string, lengthMm: number | null, type: string | null): string {
  if (lengthMm === null) return name;
  return type ? typeName(type).replace(', double bevel', '') : name;
}
