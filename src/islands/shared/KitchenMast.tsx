import css from './KitchenMast.module.css';
import { Masthead } from './Masthead';

const VIEWS = [
  { id: 'plan', path: '', name: 'Plan' },
  { id: 'match', path: '/match', name: 'Match' },
  { id: 'compare', path: '/compare', name: 'Compare' },
] as const;
export type ViewId = (typeof VIEWS)[number]['id'];

/** The way between a kitchen's views. */
export function ViewLinks({ kitchenId, here }: { kitchenId: string; here: ViewId | null }) {
  return (
    <nav className={css.views} aria-label="Views of this kitchen">
      {VIEWS.map(({ id, path, name }) => (
        <a key={id} href={`/kitchens/${kitchenId}${path}`} aria-current={id === here ? 'page' : undefined}>
          {name}
        </a>
      ))}
    </nav>
  );
}

/** The masthead of a kitchen's further views: its name and the way to the others. */
export function KitchenMast({ kitchenId, name, here }: { kitchenId: string; name: string; here: ViewId | null }) {
  return (
    <Masthead>
      <strong className={css.name}>{name}</strong>
      <ViewLinks kitchenId={kitchenId} here={here} />
    </Masthead>
  );
}
