import { DOUBT } from '../../constants';
/** How sure a step is in words: firm, a close call with another, or a toss-up. */
export function robustnessWord(stays: number): 'firm' | 'close call' | 'toss-up' {
  return stays >= DOUBT.firm.value ? 'firm' : stays >= DOUBT.close.value ? 'close call' : 'toss-up';
}
