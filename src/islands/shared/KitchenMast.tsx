import type { ReactNode } from 'react';
import css from './KitchenMast.module.css';
import { Masthead } from './Masthead';

/** The views of a kitchen in the order of the work. */
const VIEWS = [
  { id: 'cooks', path: '/cooks', name: 'Cooks and kitchen' },
  { id: 'cutting', path: '/cutting', name: 'What gets cut' },
  { id: 'drawer', path: '/drawer', name: 'Drawer' },
  { id: 'plan', path: '', name: 'Plan' },
  { id: 'schools', path: '/schools', name: 'Schools' },
  { id: 'what-if', path: '/what-if', name: 'What if' },
  { id: 'match', path: '/match', name: 'Match' },
  { id: 'compare', path: '/compare', name: 'Compare' },
] as const;
export type ViewId = (typeof VIEWS)[number]['id'];

/** The masthead of a kitchen's views: its name, whatever the view puts beside it, and the way to the others. */
export function KitchenMast({
  kitchenId,
  here,
  name,
  children,
}: {
  kitchenId: string;
  here: ViewId | null;
  /** The name as text or as a field. */
  name: ReactNode;
  children?: ReactNode;
}) {
  return (
    <>
      <Masthead>
        {typeof name === 'string' ? <strong className={css.name}>{name}</strong> : name}
        {children}
      </Masthead>
      <nav className={css.views} aria-label="Views of this kitchen">
        {VIEWS.map(({ id, path, name: view }) => (
          <a key={id} href={`/kitchens/${kitchenId}${path}`} aria-current={id === here ? 'page' : undefined}>
            {view}
          </a>
        ))}
      </nav>
    </>
  );
}
