import { bladeModelSchema } from '../blade/schema';
import { z } from '../zod';
import { MAX_MODELS } from './catalogueFile';
import { shown } from './faults';
import { moment } from './fields';
import { kitchenFileSchema } from './kitchenFile';

/** Most kitchens a workspace holds, and most snapshots and scenarios beside one of them. */
export const MAX_KITCHENS = 200;
export const MAX_SNAPSHOTS = 60;
/** Most corrections of recipe lines a workspace remembers, and the longest words of one, characters. */
export const MAX_CORRECTIONS = 2000;
export const MAX_WORDS = 200;
/** Largest workspace file that is read, bytes: more than any workspace holds. */
export const MAX_WORKSPACE_BYTES = 80 * 1024 * 1024;

const name = z.string().trim().min(1).max(80);

/** A snapshot or scenario kept beside a kitchen. */
export const keptSchema = z.strictObject({
  kind: z.enum(['snapshot', 'scenario']),
  name,
  at: moment.optional(),
  kitchen: kitchenFileSchema,
});

/** What was said of lines of recipes: the task that a line of these words comes to, null where nothing is cut. */
export const correctionsSchema = z
  .array(z.strictObject({ words: z.string().trim().min(1).max(MAX_WORDS), task: z.string().max(80).nullable() }))
  .max(MAX_CORRECTIONS);

/** Everything a workspace holds: kitchens with what is kept beside them, and models of one's own. Documented in docs/formats.md. */
export const workspaceFileSchema = z.strictObject({
  format: z.literal('scabbard.workspace', { error: (i) => `${shown(i.input)} is not "scabbard.workspace"` }),
  version: z.literal(1, { error: (i) => `${shown(i.input)} is not 1, the version this release reads` }),
  models: z.array(bladeModelSchema).max(MAX_MODELS),
  kitchens: z
    .array(
      z.strictObject({
        kitchen: kitchenFileSchema,
        changedAt: moment.optional(),
        kept: z.array(keptSchema).max(MAX_SNAPSHOTS),
      }),
    )
    .max(MAX_KITCHENS),
  corrections: correctionsSchema.optional(),
});
