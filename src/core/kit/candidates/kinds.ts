import type { BladeType } from '../../blade/schema';
import type { Candidate } from './candidate';

/** The kind of work a candidate is for. General and vegetable knives stand in for each other; tools stand for themselves. */
export const kindOfWork = ({ type, id }: Pick<Candidate, 'type' | 'id'>): string => (type ? kindOfRole(type) : id);

/** The same of a type. */
export const kindOfRole = ({ role, work }: Pick<BladeType, 'role' | 'work'>): string =>
  work ?? (role === 'vegetable' ? 'general' : role);

/** The same among pieces that are bought: of long slicers one stands in for another, whether it slices raw or cooked. */
export function kindOfPiece(piece: Pick<Candidate, 'type' | 'id'>): string {
  const kind = kindOfWork(piece);
  return kind === 'raw-slices' ? 'slicer' : kind;
}

/** A kind of work as the knife for it is called. */
const CALLED: Record<string, string> = {
  general: 'general knife',
  small: 'small knife',
  serrated: 'serrated knife',
  slicer: 'long slicer',
  'raw-slices': 'slicer for raw fish',
  butchery: 'knife for joints',
  'breaking-meat': 'long knife for breaking meat',
  'bone-chopping': 'bone cleaver',
  fish: 'knife for whole fish',
  table: 'table knife',
};
export const calledByKind = (type: Pick<BladeType, 'role' | 'work' | 'name'>): string =>
  CALLED[kindOfRole(type)] ?? type.name.toLowerCase();

/** A knife that cuts on the board like a general knife: it is the one whose length the hand and the board decide. */
export const isAllRound = (type: Pick<BladeType, 'role'> | null | undefined): boolean =>
  type?.role === 'general' || type?.role === 'vegetable';
