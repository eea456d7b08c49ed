import { z } from '../core/zod';
import { ask } from './http';

const takenSchema = z.object({
  kitchens: z.number(),
  models: z.object({ added: z.number(), replaced: z.number(), skipped: z.number() }),
});
const codeSchema = z.object({ code: z.string() });
const deletedSchema = z.object({
  kitchens: z.array(z.object({ id: z.string(), name: z.string(), deletedAt: z.string() })),
});
export type DeletedKitchen = z.infer<typeof deletedSchema>['kitchens'][number];
const nothing = () => undefined;

/** Where the whole workspace is had as a file. */
export const WORKSPACE_FILE = '/api/workspace';

/** Takes a whole workspace file in, beside what is there. */
export const takeWorkspace = (file: unknown) => ask((a) => takenSchema.parse(a), '/api/workspace', 'POST', file);

/** A new recovery code; the one before no longer opens anything. */
export const newRecoveryCode = () => ask((a) => codeSchema.parse(a).code, '/api/workspace/recovery', 'POST', {});

/** Opens the workspace of a code in this browser; `leave` what this browser has of its own. */
export const openWithCode = (code: string, leave: boolean) =>
  ask(nothing, '/api/workspace/open', 'POST', { code, leave });

/** Removes everything of this workspace for good. */
export const forgetEverything = () => ask(nothing, '/api/workspace', 'DELETE');

export const fetchDeleted = () => ask((a) => deletedSchema.parse(a).kitchens, '/api/workspace/deleted');
/** Removes deleted kitchens for good. */
export const emptyDeleted = () => ask(nothing, '/api/workspace/deleted', 'DELETE');
