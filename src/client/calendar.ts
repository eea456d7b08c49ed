import type { SharpeningDay } from '../core/formats/sharpeningDays';
import { z } from '../core/zod';
import { ask } from './http';

const at = (kitchenId: string) => `/api/kitchens/${kitchenId}/calendar`;

/** Whether a kitchen's sharpening days have a private address. */
export const hasCalendar = (kitchenId: string): Promise<boolean> =>
  ask((answer) => z.object({ open: z.boolean() }).parse(answer).open, at(kitchenId));

/** Makes a new private address, told this once; the one before is revoked. */
export const openCalendar = (kitchenId: string, days: readonly SharpeningDay[]): Promise<string> =>
  ask((answer) => z.object({ path: z.string() }).parse(answer).path, at(kitchenId), 'POST', { days });

/** Tells the calendar behind the address of the days as they are now. */
export const changeCalendar = (kitchenId: string, days: readonly SharpeningDay[]): Promise<void> =>
  ask(() => undefined, at(kitchenId), 'PUT', { days });

export const revokeCalendar = (kitchenId: string): Promise<void> => ask(() => undefined, at(kitchenId), 'DELETE');
