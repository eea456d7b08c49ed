import type { EXPERIENCES, SHARPENINGS, UPKEEPS } from '../../core/formats/kitchenWords';
import { DEFAULTS } from '../../core/kitchen/defaults';

/** The answers that are asked for on more than one page: one list each, so that a small board is the same board everywhere. */

export interface Answer<T extends string> {
  value: T;
  name: string;
  /** As it stands within a sentence. */
  said: string;
  about?: string;
}

export const HAND_SIZES = [
  { value: 'small', name: 'Small', mm: 165 },
  { value: 'middle', name: 'Middle', mm: DEFAULTS.handLengthMm },
  { value: 'large', name: 'Large', mm: 205 },
] as const;
export type HandSize = (typeof HAND_SIZES)[number]['value'];

/** Which of the sizes a measured hand is nearest to. */
export const handSizeOf = (mm: number): HandSize =>
  HAND_SIZES.reduce((best, size) => (Math.abs(size.mm - mm) < Math.abs(best.mm - mm) ? size : best)).value;

/** A hand of one of the sizes, with the palm that usually goes with it. */
export const handOf = (size: HandSize) => {
  const mm = HAND_SIZES.find(({ value }) => value === size)?.mm ?? DEFAULTS.handLengthMm;
  return { handLengthMm: mm, palmBreadthMm: Math.round(mm * DEFAULTS.palmPerHand) };
};

export const BOARD_SIZES = [
  { value: '280x200', name: 'Small', lengthMm: 280, widthMm: 200 },
  { value: '400x300', name: 'Middle', lengthMm: 400, widthMm: 300 },
  { value: '500x350', name: 'Large', lengthMm: 500, widthMm: 350 },
  { value: '600x400', name: 'Huge', lengthMm: 600, widthMm: 400 },
] as const;

export const PRACTICE: Answer<(typeof EXPERIENCES)[number]>[] = [
  { value: 'new', name: 'New to it', said: 'new to it', about: 'no single bevels, nothing very long' },
  { value: 'home', name: 'Home cook', said: 'a practised home cook', about: 'cooks most days' },
  { value: 'keen', name: 'Keen', said: 'keen', about: 'good technique, likes a longer edge' },
  { value: 'trained', name: 'Trained', said: 'trained', about: 'any blade, if it is asked for' },
];

export const WIPED: Answer<(typeof UPKEEPS)[number]>[] = [
  { value: 'leaves-wet', name: 'Later: left wet', said: 'left wet', about: 'only rust-proof steel lasts' },
  { value: 'wipes-after', name: 'After the work', said: 'wiped after use', about: 'most steels do' },
  { value: 'wipes-during', name: 'During the work', said: 'wiped during the work', about: 'any steel, carbon too' },
];

export const SHARPENED_BY: Answer<(typeof SHARPENINGS)[number]>[] = [
  { value: 'none', name: 'Nobody', said: 'nobody sharpens' },
  { value: 'pull-through', name: 'A pull-through', said: 'a pull-through sharpener', about: 'quick, eats the blade' },
  { value: 'powered', name: 'A machine', said: 'a powered sharpener', about: 'quick, eats steel' },
  { value: 'professional', name: 'A professional', said: 'sharpened by a professional' },
  { value: 'stones', name: 'Own stones', said: 'sharpened on stones', about: 'the blade lasts longest' },
];

/** A list of answers as a select takes them. */
export const asOptions = (answers: readonly { value: string; name: string }[]) =>
  answers.map(({ value, name }) => ({ value, label: name }));
