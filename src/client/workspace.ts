import { z } from '../core/zod';
import { ask } from './http';
import { upload } from './upload';

const importedSchema = z.object({
  kitchens: z.number(),
  already: z.number(),
  models: z.object({ added: z.number(), replaced: z.number(), skipped: z.number() }),
});
const endedSchema = z.object({ ended: z.number() });
const othersSchema = z.object({ others: z.number() });
const codeSchema = z.object({ code: z.string() });
const deletedSchema = z.object({
  kitchens: z.array(z.object({ id: z.string(), name: z.string(), deletedAt: z.string() })),
});
export type DeletedKitchen = z.infer<typeof deletedSchema>['kitchens'][number];
const nothing = () => undefined;

/** Where the whole workspace is had as a file. */
export const WORKSPACE_FILE = '/api/workspace';

/** Imports a whole workspace file, beside what is there. What is there already is not added again. */
export const importWorkspace = (file: Blob, options: Parameters<typeof upload>[3]) =>
  upload((answer) => importedSchema.parse(answer), WORKSPACE_FILE, file, options);

/** A new recovery code; the one before no longer opens anything. */
export const newRecoveryCode = () => ask((a) => codeSchema.parse(a).code, '/api/workspace/recovery', 'POST', {});

/** Ends the access of every other browser; returns how many there were. */
export const endOthers = () => ask((a) => endedSchema.parse(a).ended, '/api/workspace/browsers', 'DELETE');

/** How many other browsers open this workspace. */
export const countOthers = () => ask((a) => othersSchema.parse(a).others, '/api/workspace/browsers');

/** Opens the workspace of a code in this browser; `leave` what this browser has of its own. */
export const openWithCode = (code: string, leave: boolean) =>
  ask(nothing, '/api/workspace/open', 'POST', { code, leave });

/** Removes everything of this workspace for good. */
export const forgetEverything = () => ask(nothing, '/api/workspace', 'DELETE');

export const fetchDeleted = () => ask((a) => deletedSchema.parse(a).kitchens, '/api/workspace/deleted');
/** Removes deleted kitchens for good. */
export const emptyDeleted = () => ask(nothing, '/api/workspace/deleted', 'DELETE');
