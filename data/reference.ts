import { referenceOf } from '../src/core/reference';
import { rows } from './referenceRows';

/** The shipped trade knowledge. */
export const reference = referenceOf(rows);
