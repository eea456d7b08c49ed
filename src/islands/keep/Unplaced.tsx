import { useDraggable } from '@dnd-kit/core';
import type { Keeping } from '../../core/formats/storageFile';
import type { KeptKnife } from '../../workers/keep';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import css from './KeepView.module.css';

/** What found no place, and why. */
export function Unplaced({
  left,
  knives,
  lifted,
}: {
  left: Keeping['left'];
  knives: readonly KeptKnife[];
  /** The knife that is being moved. */
  lifted: string | null;
}) {
  if (left.length === 0) return null;
  const longest = Math.max(0, ...knives.map(({ thing }) => thing.longMm));
  return (
    <section aria-labelledby="left">
      <h2 id="left">Without a place</h2>
      <ul className={css.left}>
        {left.map(({ ref, why }) => {
          const knife = knives.find((each) => each.ref === ref);
          return (
            knife && (
              <li key={ref} data-lifted={lifted === ref || undefined}>
                <Loose knife={knife} longest={longest} />
                <p>
                  <b>{knife.name}</b> {why}
                </p>
              </li>
            )
          );
        })}
      </ul>
    </section>
  );
}

function Loose({ knife, longest }: { knife: KeptKnife; longest: number }) {
  const { setNodeRef, listeners, attributes } = useDraggable({ id: knife.ref });
  const { height } = placed(knife.blade, false);
  return (
    <button
      type="button"
      ref={setNodeRef}
      className={css.loose}
      {...attributes}
      {...listeners}
      aria-label={`${knife.name}, without a place`}
    >
      <svg viewBox={`-1 -1 ${longest + 2} ${height + 2}`} aria-hidden="true">
        <KnifeDrawing blade={knife.blade} upright={false} owned={knife.owned !== null} line={1} />
      </svg>
    </button>
  );
}
