import type { PartId } from '../constants';
import { z } from '../zod';

/** What an answer in the hand means: leave the knife, take it on a condition, a good sign, or nothing yet. */
const VERDICTS = ['walk-away', 'only-if', 'good', 'open'] as const;
export type AnswerVerdict = (typeof VERDICTS)[number];

const text = z.string().min(1);
const factors = z.partialRecord(z.enum(['felt', 'clearance'] satisfies PartId[]), z.number().min(0).max(1));
const consequence = {
  verdict: z.enum(VERDICTS),
  reason: text,
  /** What has to be true for an only-if. */
  condition: text.optional(),
  /** Factors on parts of the score for this cook. */
  shifts: factors.optional(),
  /** Parts known better from the hand than from figures: their value. */
  sets: factors.optional(),
};
const MOTIONS = ['rock', 'push', 'pull', 'chop'] as const;
const consequenceSchema = z.strictObject(consequence);
const answerSchema = z.strictObject({
  id: text,
  label: text,
  ...consequence,
  /** The consequence holds where these motions make up so much of the board work; otherwise another. */
  suits: z
    .strictObject({ motions: z.array(z.enum(MOTIONS)).min(1), least: z.number(), otherwise: consequenceSchema })
    .optional(),
});

/** One check of the hand test, with what each answer means. The verdicts are data: `data/handTest.json`. */
export const handCheckSchema = z.strictObject({
  id: text,
  draw: z.enum(['grip', 'bite', 'fill', 'built', 'balance', 'knuckles', 'reach', 'wet', 'hand', 'hold']),
  title: text,
  ask: z.partialRecord(z.enum(['pinch', 'handle', 'fingertip', 'any']), text),
  /** Asked of this hand only. */
  onlyHanded: z.enum(['left', 'right']).optional(),
  /** Roles of knives of which it is not asked. */
  notRoles: z.array(text).optional(),
  answers: z.array(answerSchema).min(2),
});
export type HandCheck = z.infer<typeof handCheckSchema>;
export type Consequence = z.infer<typeof consequenceSchema>;
