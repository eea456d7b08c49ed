import { z } from '../zod';
import { FOODS_AVOIDED, MOTIONS } from './words';

const level = z.number().int().min(0).max(3);

/**
 * A cutting task: the food's height on the board and the length of cut across it (mm), firmness 0–10, motions best first,
 * needs 0–3, what the edge may meet (`load` 0–10), acid and stick 0–3, minutes per unit (estimate) for a practised cook.
 * `contains`: all of it; `eitherOf`: it can be done to any of these. `tools`: what else does it, and how well (0–1).
 * `instead`: no knife belongs here, and what does.
 */
export const taskSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  group: z.string(),
  unit: z.string(),
  heightMm: z.number().positive(),
  widthMm: z.number().positive(),
  firm: z.number().min(0).max(10),
  motions: z.array(z.enum(MOTIONS)),
  tip: level,
  clean: level,
  separate: level,
  thin: level,
  crust: z.boolean(),
  long: z.boolean(),
  flexible: z.boolean(),
  stiff: z.boolean(),
  weight: z.boolean(),
  flatSide: z.boolean(),
  load: z.number().min(0).max(10),
  acid: level,
  stick: level,
  minutes: z.number().positive(),
  contains: z.array(z.enum(FOODS_AVOIDED)),
  eitherOf: z.array(z.enum(FOODS_AVOIDED)),
  tools: z.record(z.string(), z.number().min(0).max(1)),
  scales: z.enum(['portions', 'whole']),
  atTable: z.boolean().optional(),
  withChild: z.boolean().optional(),
  /** Takes an animal or a fish apart, which most have done where they buy it. */
  takesApart: z.literal(true).optional(),
  instead: z.string().optional(),
});
export type Task = z.infer<typeof taskSchema>;
