import type { PartId } from '../constants';
import { TRIAL } from '../constants';
import type { AnswerVerdict, Consequence, HandCheck } from './handCheck';

export type HandVerdict = AnswerVerdict | 'unfinished';

/** Who holds the knife, as far as the checks go. Shares of the motions sum to 1. */
export interface Holder {
  handed: 'left' | 'right';
  motions: Record<'rock' | 'push' | 'pull' | 'chop', number>;
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
