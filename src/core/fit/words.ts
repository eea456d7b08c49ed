import { SCORE_WORDS } from '../constants';

/** Word for a score of 0–100 (handbook 4). */
export function scoreWord(score: number, veto: string | null): string {
  if (veto) return 'do not';
  if (score >= SCORE_WORDS.madeForIt.value) return 'made for it';
  if (score >= SCORE_WORDS.doesItWell.value) return 'does it well';
  if (score >= SCORE_WORDS.manages.value) return 'manages';
  if (score >= SCORE_WORDS.struggles.value) return 'a struggle';
  return 'wrong tool';
}
