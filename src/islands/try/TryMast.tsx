import { SubMast } from '../shared/SubMast';

export { SubPage as TryPage } from '../shared/SubMast';

/** The ways of trying a knife, in the order of the effort they ask. */
const WAYS = [
  { path: 'try', name: 'Life size' },
  { path: 'try/hand', name: 'In the hand' },
  { path: 'try/feel', name: 'Feel it with coins' },
  { path: 'try/food', name: 'On the food' },
  { path: 'try/measure', name: 'Measure yours' },
  { path: 'try/wishes', name: 'Wish list' },
] as const;
type TryPath = (typeof WAYS)[number]['path'];

/** The head of a view of trying. */
export const TryMast = (props: { id: string; here: TryPath; title: string; children: string }) => (
  <SubMast label="Ways of trying" ways={WAYS} {...props} />
);
