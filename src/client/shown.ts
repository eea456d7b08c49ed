import type { Plan } from '../core/formats/planFile';
import { z } from '../core/zod';
import { ask } from './http';

const shownSchema = z.object({
  id: z.string(),
  withPrices: z.boolean(),
  createdAt: z.string(),
  expiresAt: z.string(),
});
/** A link that shows a plan of a kitchen; the link itself is told only once. */
export type Shown = z.infer<typeof shownSchema>;

const at = (kitchenId: string) => `/api/kitchens/${kitchenId}/shown`;

export const listShown = (kitchenId: string): Promise<Shown[]> =>
  ask((answer) => z.object({ shown: z.array(shownSchema) }).parse(answer).shown, at(kitchenId));

/** Makes a link; its path is returned, this once. */
export const showPlan = (kitchenId: string, plan: Plan, withPrices: boolean, days: number): Promise<string> =>
  ask((answer) => z.object({ path: z.string() }).parse(answer).path, at(kitchenId), 'POST', { plan, withPrices, days });

export const withdrawShown = (kitchenId: string, id: string): Promise<void> =>
  ask(() => undefined, `${at(kitchenId)}/${id}`, 'DELETE');
