import type { PartId } from '../constants';
import { TRIAL } from '../constants';
import { z } from '../zod';

/** What an answer in the hand means: leave the knife, take it on a condition, a good sign, or nothing yet. */
const VERDICTS = ['walk-away', 'only-if', 'good', 'open'] as const;
export type HandVerdict = (typeof VERDICTS)[number] | 'unfinished';

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
type Consequence = z.infer<typeof consequenceSchema>;

/** Who holds the knife, as far as the checks go. Shares of the motions sum to 1. */
export interface Holder {
  handed: 'left' | 'right';
  motions: Record<(typeof MOTIONS)[number], number>;
}

/** The checks asked of a hand about a knife, in their order. */
export const checksFor = (
  checks: readonly HandCheck[],
  { handed }: Pick<Holder, 'handed'>,
  role: string | undefined,
): HandCheck[] =>
  checks.filter(
    ({ onlyHanded, notRoles = [] }) =>
      (onlyHanded === undefined || onlyHanded === handed) && !(role !== undefined && notRoles.includes(role)),
  );

/** What an answer means for a cook; null where the check has no such answer. */
export function consequenceOf({ answers }: HandCheck, answer: string, { motions }: Holder): Consequence | null {
  const found = answers.find(({ id }) => id === answer);
  if (!found) return null;
  const { suits } = found;
  if (!suits) return found;
  const share = suits.motions.reduce((sum, motion) => sum + motions[motion], 0);
  return share >= suits.least ? found : suits.otherwise;
}

/** A hand test read: the verdict, its reasons by weight, what an only-if asks, and what it does to the score. */
export interface HandReading {
  verdict: HandVerdict;
  against: string[];
  conditions: string[];
  inFavour: string[];
  shifts: Partial<Record<PartId, number>>;
  sets: Partial<Record<PartId, number>>;
}

/**
 * Reads the answers of a hand test: one walk-away decides; otherwise conditions make it an only-if; at least {@link TRIAL}.hand.enough answers
 * without either are a good sign. Answers to unknown checks are passed over.
 *
 * @example readHandTest(checks, { bite: 'bites' }, holder).verdict // 'walk-away'
 */
export function readHandTest(
  checks: readonly HandCheck[],
  answers: Readonly<Record<string, string>>,
  holder: Holder,
): HandReading {
  const told = checks.flatMap((check) => {
    const answer = answers[check.id];
    const found = answer === undefined ? null : consequenceOf(check, answer, holder);
    return found ? [found] : [];
  });
  const of = (verdict: Consequence['verdict']) => told.filter((each) => each.verdict === verdict);
  const reasons = (each: readonly Consequence[]) => each.map(({ reason }) => reason);
  const shifts: HandReading['shifts'] = {};
  const sets: HandReading['sets'] = {};
  for (const each of told) {
    for (const part of ['felt', 'clearance'] as const) {
      const factor = each.shifts?.[part];
      if (factor !== undefined) shifts[part] = (shifts[part] ?? 1) * factor;
      const value = each.sets?.[part];
      if (value !== undefined) sets[part] = value;
    }
  }
  const [walk, only, good] = [of('walk-away'), of('only-if'), of('good')];
  return {
    verdict:
      walk.length > 0
        ? 'walk-away'
        : told.length < TRIAL.hand.enough.value
          ? 'unfinished'
          : only.length > 0
            ? 'only-if'
            : 'good',
    against: reasons(walk.length > 0 ? walk : only),
    conditions: only.flatMap(({ condition }) => (condition ? [condition] : [])),
    inFavour: reasons(good),
    shifts,
    sets,
  };
}
