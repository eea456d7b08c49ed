import { z } from '../zod';
import { shown } from './faults';

const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/);
const money = z.number().min(0);

const knifeSchema = z.strictObject({
  /** `owned-0` by its place in the drawer, `step-1` by its step in the plan, `step-1.2` where that is several pieces. */
  ref: z.string(),
  type: z.string(),
  lengthMm: z.number(),
  minutesPerWeek: z.number().min(0),
  /** 0–1; null for what is not owned yet. */
  keennessNow: z.number().min(0).max(1).nullable(),
  /** Between what it lies eight times in ten; null for what is not owned yet. */
  keennessBetween: z.tuple([z.number(), z.number()]).nullable(),
  averageKeenness: z.number().min(0).max(1),
  /** What tests say of its half-life against the computed one, and the share of lost keenness a honing gives back. */
  learned: z
    .strictObject({
      tests: z.number(),
      factor: z.number(),
      factorBetween: z.tuple([z.number(), z.number()]),
      honingGives: z.number().nullable(),
    })
    .nullable(),
  /** What measurements at the heel say: mm a sharpening, years left by it, and an alarm where too much is ground away. */
  ruler: z.strictObject({ mmEach: z.number(), yearsLeft: z.number(), alarm: z.string().nullable() }).nullable(),
  hone: z.strictObject({ with: z.string(), everyDays: z.number() }).nullable(),
  /** A few strokes between sharpenings, seconds each time; null where nothing is there to do it with, or the edge does not take it. */
  touchUp: z.strictObject({ with: z.string(), everyDays: z.number() }).nullable(),
  /** Its share of a year at one's own stones, setting up included. */
  stoneMinutesPerYear: z.number().min(0),
  sharpen: z
    .strictObject({
      with: z.string(),
      everyWeeks: z.number().positive(),
      angleDeg: z.number(),
      /** Gap between the stone and the lower corner of the spine. */
      spineHeightMm: z.number(),
      /** Tools in the order they are used; none where others sharpen. */
      stones: z.array(z.string()),
    })
    .nullable(),
  /** When it is next due by its own work, and between what days eight times in ten; null where it never is. */
  due: z.strictObject({ on: day, between: z.tuple([day, day]) }).nullable(),
  yearsLeft: z.number().min(0),
  costPerYear: money,
});

const eventSchema = z.strictObject({
  date: day,
  ref: z.string(),
  action: z.enum(['sharpen', 'replace', 'oil', 'flatten', 'visit']),
  why: z.string(),
});

export const edgeFileSchema = z.strictObject({
  format: z.literal('scabbard.edge'),
  version: z.literal(1),
  knives: z.array(knifeSchema),
  events: z.array(eventSchema),
  fiveYears: z.array(
    z.strictObject({
      method: z.enum(['stones', 'professional', 'pull-through', 'powered']),
      /** Tools included. */
      cost: money,
      /** What of that its tools are. */
      tools: money,
      /** Blades that are worn out in that time and bought anew; their price is in the cost. */
      replaced: z.number().min(0),
      /** Height that one blade of the knife that works most has lost by then. */
      heightLostMm: z.number().min(0),
      averageKeenness: z.number().min(0).max(1),
    }),
  ),
});
/** The edges of a kitchen: how each fares, what is due when, and what each way of sharpening comes to. Money in the kitchen's currency. */
export type EdgeReport = z.infer<typeof edgeFileSchema>;
export type EdgeKnife = EdgeReport['knives'][number];
export type EdgeEvent = EdgeReport['events'][number];

/** What a bad day is told. */
export const badDay = (text: string): string => `${shown(text)} is no day such as 2026-03-31`;
