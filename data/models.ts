import { z } from '../src/core/zod';
import { bladeModelSchema } from '../src/core/blade/schema';
import models from './models.json';

/** The shipped catalogue of invented models, parsed once. */
export const shippedModels = z.array(bladeModelSchema).parse(models);
