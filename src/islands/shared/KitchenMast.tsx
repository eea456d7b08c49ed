import { useMemo, type ReactNode } from 'react';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import { dueBy } from './dueDays';
import css from './KitchenMast.module.css';
import { Masthead } from './Masthead';
import { today } from './today';
import { isAnswered } from '../../core/kitchen/nextQuestion';

/** The views of a kitchen in the order of the work; those after the plan belong to it. */
const VIEWS = [
  { id: 'cooks', path: '/cooks', name: 'Cooks' },
  { id: 'cutting', path: '/cutting', name: 'Cutting' },
  { id: 'drawer', path: '/drawer', name: 'Drawer' },
  { id: 'plan', path: '', name: 'Plan' },
  { id: 'try', path: '/try', name: 'Try' },
  { id: 'keep', path: '/keep', name: 'Storage' },
  { id: 'edge', path: '/edge', name: 'Sharpness' },
  { id: 'schools', path: '/schools', name: 'Schools of thought' },
  { id: 'what-if', path: '/what-if', name: 'What if' },
  { id: 'match', path: '/match', name: 'Knives by task' },
  { id: 'compare', path: '/compare', name: 'Compare knives' },
  { id: 'paper', path: '/paper', name: 'Print & share' },
] as const;
export type ViewId = (typeof VIEWS)[number]['id'];
const OF_THE_PLAN: readonly ViewId[] = ['schools', 'what-if', 'match', 'compare', 'paper'];

/** Views in which nothing has been said yet. */
const lackingIn = (kitchen: KitchenFile): readonly ViewId[] => [
  ...(kitchen.cooks ? [] : (['cooks'] as const)),
  ...(isAnswered('cooking', kitchen) ? [] : (['cutting'] as const)),
  ...(kitchen.owned?.length || kitchen.tools?.length ? [] : (['drawer'] as const)),
];

/** The masthead of a kitchen's views: its name, whatever the view puts beside it, and the way to the others. */
export function KitchenMast({
  kitchenId,
  kitchen,
  here,
  name,
  children,
}: {
  kitchenId: string;
  kitchen: KitchenFile;
  here: ViewId | null;
  /** The name as text or as a field. */
  name: ReactNode;
  children?: ReactNode;
}) {
  const lacking = lackingIn(kitchen);
  const due = useMemo(() => dueBy(kitchenId, today()), [kitchenId]);
  const isOfPlan = here === 'plan' || here === null || OF_THE_PLAN.includes(here);
  return (
    <>
      <Masthead>
        {typeof name === 'string' ? <strong className={css.name}>{name}</strong> : name}
        {children}
      </Masthead>
      <nav className={css.views} aria-label="Views of this kitchen" data-bar data-planning={isOfPlan || undefined}>
        {VIEWS.map(({ id, path, name: view }) => (
          <a
            key={id}
            href={`/kitchens/${kitchenId}${path}`}
            aria-current={id === here ? 'page' : undefined}
            data-within={OF_THE_PLAN.includes(id) || undefined}
          >
            {view}
            {id === 'edge' && due.length > 0 && (
              <span className={css.due} title={due.map(({ title }) => title).join('; ')}>
                <span className="visually-hidden">, due: </span>
                {due.length}
              </span>
            )}
            {lacking.includes(id) && (
              <span className={css.lacks} title="Nothing said yet: usual values are assumed">
                <span className="visually-hidden">, nothing said yet</span>
              </span>
            )}
          </a>
        ))}
      </nav>
    </>
  );
}
