import { z } from '../core/zod';
import { kitchenFileSchema } from '../core/formats/kitchenFile';
import { ask } from './http';

const keptSchema = z.object({
  id: z.string(),
  kind: z.enum(['snapshot', 'scenario']),
  name: z.string(),
  createdAt: z.string(),
  kitchen: kitchenFileSchema,
});
/** A kitchen as it was (a snapshot) or might be (a scenario). */
export type Kept = z.infer<typeof keptSchema>;
export type NewlyKept = Pick<Kept, 'kind' | 'name' | 'kitchen'>;

const at = (kitchenId: string) => `/api/kitchens/${kitchenId}/kept`;

export const listKept = (kitchenId: string): Promise<Kept[]> =>
  ask((answer) => z.object({ kept: z.array(keptSchema) }).parse(answer).kept, at(kitchenId));

export const keepBeside = (kitchenId: string, kept: NewlyKept): Promise<void> =>
  ask(() => undefined, at(kitchenId), 'POST', kept);

export const dropKept = (kitchenId: string, id: string): Promise<void> =>
  ask(() => undefined, `${at(kitchenId)}/${id}`, 'DELETE');
