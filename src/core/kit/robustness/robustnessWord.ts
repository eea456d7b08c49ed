import { DOUBT } from '../../constants';
import type { Stays } from './robustness';

/** How sure a step is in words: firm, a close call with another, or a toss-up. */
export function robustnessWord(stays: number): 'firm' | 'close call' | 'toss-up' {
  return stays >= DOUBT.firm.value ? 'firm' : stays >= DOUBT.close.value ? 'close call' : 'toss-up';
}

const inHundred = (share: number) => `${Math.round(100 * share)} of 100`;

/** What is told first of a step that stays in under a third of the plans made again, whatever knife of its kind is taken; nothing of others. */
export const doubtfulWords = ({ kind }: Pick<Stays, 'kind'>): string[] =>
  kind < DOUBT.doubtful.value
    ? [`Not a sure pick: nothing like it was bought in ${inHundred(1 - kind)} test plans.`]
    : [];

/** What a step is, for its doubt: a bought knife, told by its kind and length, or anything else. */
export interface Doubted {
  /** "general knife", "bread knife". */
  kind: string;
  lengthMm: number | null;
  /** "santoku". */
  type: string;
  /** What takes its place most often: type and name of a model; null where nothing does. */
  rival: { type: string; name: string } | null;
}

/**
 * How sure a purchase is, at each level at which a person chooses: that such a knife is right, which kind of it, which model.
 */
export function doubtWords(
  { kind, type, model }: Stays,
  { kind: what, lengthMm, type: named, rival }: Doubted,
): string[] {
  const length = lengthMm === null ? '' : ` of about ${lengthMm} mm`;
  const words = [`A ${what}${length} is right in ${inHundred(kind)} test plans.`];
  if (type < kind - DOUBT.sameLevel.value) {
    const other = rival && rival.type !== named ? ` with a ${rival.type}` : '';
    words.push(`That it is a ${named}: ${inHundred(type)}, ${asCall(type, other)}.`);
  }
  if (robustnessWord(model) === 'firm') words.push('This very model is the best of them.');
  else if (rival && rival.type === named && robustnessWord(model) === 'close call')
    words.push(`This model or ${rival.name}: a close call.`);
  else words.push('Which model hardly matters: any within the brief.');
  return words;
}

const asCall = (share: number, other: string): string => {
  const word = robustnessWord(share);
  return word === 'firm' ? 'firm' : `a ${word}${other}`;
};
