import type { PartId } from '../constants';
import type { HandTestFile } from '../formats/trialsFile';
import type { HandCheck } from '../trial/handCheck';
import { checksFor, type HandVerdict, type Holder, readHandTest } from '../trial/handTest';

/** What a cook found out about a model by holding it. */
export interface Felt {
  /** The day of the test. */
  on: string;
  verdict: HandVerdict;
  reasons: readonly string[];
  /** Why the cook walked away from it, in a sentence; null where they did not. */
  leftFor: string | null;
  shifts: Partial<Record<PartId, number>>;
  sets: Partial<Record<PartId, number>>;
}
export type FeltKnives = Readonly<Record<string, Felt>>;

/** What a cook's hand tests say of each model; the latest of a model counts, and unfinished ones do not. */
export function feltBy(tests: readonly HandTestFile[], holder: Holder, checks: readonly HandCheck[]): FeltKnives {
  const asked = checksFor(checks, holder, undefined);
  const felt: Record<string, Felt> = {};
  for (const { model, on, answers } of [...tests].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))) {
    if (model === undefined) continue;
    const { verdict, against, conditions, inFavour, shifts, sets } = readHandTest(asked, answers, holder);
    if (verdict === 'unfinished') continue;
    felt[model] = {
      on,
      verdict,
      reasons: verdict === 'good' ? inFavour : verdict === 'only-if' ? conditions : against,
      leftFor: verdict === 'walk-away' ? `Held on ${on} and left: ${against.join('; ')}.` : null,
      shifts,
      sets,
    };
  }
  return felt;
}
