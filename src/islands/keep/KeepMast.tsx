import { SubMast } from '../shared/SubMast';

/** The views of keeping. */
const WAYS = [
  { path: 'keep', name: 'Storage' },
  { path: 'keep/away', name: 'Travel roll' },
  { path: 'keep/use', name: 'Which knife now' },
  { path: 'keep/wall', name: 'Care sheet' },
] as const;
type KeepPath = (typeof WAYS)[number]['path'];

/** The head of a view of keeping. */
export const KeepMast = (props: { id: string; here: KeepPath; title: string; children: string }) => (
  <SubMast label="Keeping them" ways={WAYS} {...props} />
);
