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

/** A knife that cuts on the board like a general knife: it is the one whose length the hand and the board decide. */
export const isAllRound = (type: Pick<BladeType, 'role'> | null | undefined): boolean =>
  type?.role === 'general' || type?.role === 'vegetable';
