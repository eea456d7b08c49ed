import { z } from '../src/core/zod';
import { handCheckSchema } from '../src/core/trial/handCheck';
import checks from './handTest.json';

/** The checks of the hand test, in their order. */
export const handChecks = z.array(handCheckSchema).parse(checks);
