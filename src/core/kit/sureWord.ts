/** Shares of the perturbed plans from which a step is firm, or at least a close call. House judgement. */
const FIRM = 0.75;
const CLOSE = 0.4;

/** How sure a step is in words: firm, a close call with another, or a toss-up. */
export function sureWord(stays: number): 'firm' | 'close call' | 'toss-up' {
  return stays >= FIRM ? 'firm' : stays >= CLOSE ? 'close call' : 'toss-up';
}
