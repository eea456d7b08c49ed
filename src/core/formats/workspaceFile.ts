import { bladeModelSchema } from '../blade/schema';
import { z } from '../zod';
import { MAX_MODELS } from './catalogueFile';
import { shown } from './faults';
import { kitchenFileSchema } from './kitchenFile';

/** Most kitchens a workspace holds, and most snapshots and scenarios beside one of them. */
export const MAX_KITCHENS = 200;
export const MAX_SNAPSHOTS = 60;
/** Most corrections of recipe lines a workspace remembers, and the longest words of one, characters. */
export const MAX_CORRECTIONS = 2000;
export const MAX_WORDS = 200;
/** Largest workspace file, bytes, and most values in it. */
export const MAX_WORKSPACE_BYTES = 32 * 1024 * 1024;
export const MAX_WORKSPACE_VALUES = 1_000_000;

const name = z.string().trim().min(1).max(80);
const when = z.iso.datetime().optional();

/** Everything a workspace holds: kitchens with what is kept beside them, and models of one's own. Documented in docs/formats.md. */
export const workspaceFileSchema = z.strictObject({
  format: z.literal('scabbard.workspace', { error: (i) => `${shown(i.input)} is not "scabbard.workspace"` }),
  version: z.literal(1, { error: (i) => `${shown(i.input)} is not 1, the version this release reads` }),
  models: z.array(bladeModelSchema).max(MAX_MODELS),
  kitchens: z
    .array(
      z.strictObject({
        kitchen: kitchenFileSchema,
        changedAt: when,
        kept: z
          .array(z.strictObject({ kind: z.enum(['snapshot', 'scenario']), name, at: when, kitchen: kitchenFileSchema }))
          .max(MAX_SNAPSHOTS),
      }),
    )
    .max(MAX_KITCHENS),
  /** What was said of lines of recipes. */
  corrections: z
    .array(z.strictObject({ words: z.string().min(1).max(MAX_WORDS), task: z.string().max(80).nullable() }))
    .max(MAX_CORRECTIONS)
    .optional(),
});
export type WorkspaceFile = z.infer<typeof workspaceFileSchema>;
