/** Word for a score of 0–100 (handbook 4). */
export function scoreWord(score: number, veto: string | null): string {
  if (veto) return 'do not';
  if (score >= 85) return 'made for it';
  if (score >= 70) return 'does it well';
  if (score >= 55) return 'manages';
  if (score >= 35) return 'a struggle';
  return 'wrong tool';
}
