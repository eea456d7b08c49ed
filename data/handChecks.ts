import { z } from '../src/core/zod';
import { handCheckSchema } from '../src/core/trial/handTest';
import checks from './handTest.json';

/** The checks of the hand test, in their order. */
export const handChecks = z.array(handCheckSchema).parse(checks);
