import { z } from '../core/zod';
import { kitchenFileSchema } from '../core/formats/kitchenFile';
import { ask } from './http';

const snapshotSchema = z.object({
  id: z.string(),
  kind: z.enum(['snapshot', 'scenario']),
  name: z.string(),
  createdAt: z.string(),
  kitchen: kitchenFileSchema,
});
/** A kitchen as it was (a snapshot) or might be (a scenario). */
export type Snapshot = z.infer<typeof snapshotSchema>;
export type NewSnapshot = Pick<Snapshot, 'kind' | 'name' | 'kitchen'>;

const at = (kitchenId: string) => `/api/kitchens/${kitchenId}/snapshots`;

export const listSnapshots = (kitchenId: string): Promise<Snapshot[]> =>
  ask((answer) => z.object({ snapshots: z.array(snapshotSchema) }).parse(answer).snapshots, at(kitchenId));

export const addSnapshot = (kitchenId: string, snapshot: NewSnapshot): Promise<void> =>
  ask(() => undefined, at(kitchenId), 'POST', snapshot);

export const deleteSnapshot = (kitchenId: string, id: string): Promise<void> =>
  ask(() => undefined, `${at(kitchenId)}/${id}`, 'DELETE');
