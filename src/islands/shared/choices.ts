import type {
  BALANCE_TASTES,
  BOARD_MATERIALS,
  COUNTERS,
  EXPERIENCES,
  HANDS,
  HONINGS,
  SHARPENINGS,
  SPENDINGS,
  STORAGES,
  STRENGTHS,
  UPKEEPS,
  WEIGHT_TASTES,
} from '../../core/formats/kitchenWords';
import { DEFAULTS } from '../../core/kitchen/defaults';

/** The answers to what is asked with a few words: one list each, so that a small board is the same board everywhere. */

export interface Answer<T extends string> {
  value: T;
  name: string;
  /** Where there is little room. */
  short?: string;
  about?: string;
}
/** An answer that also stands within sentences. */
export interface SaidAnswer<T extends string> extends Answer<T> {
  said: string;
}
type Of<Words extends readonly string[]> = readonly Answer<Words[number]>[];

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

export const PRACTICE: readonly SaidAnswer<(typeof EXPERIENCES)[number]>[] = [
  { value: 'new', name: 'New to it', said: 'new to it', about: 'no single bevels, nothing very long' },
  { value: 'home', name: 'Home cook', said: 'a practised home cook', about: 'cooks most days' },
  { value: 'keen', name: 'Keen', said: 'keen', about: 'good technique, likes a longer edge' },
  { value: 'trained', name: 'Trained', said: 'trained', about: 'any blade, if it is asked for' },
];

export const WIPED: Of<typeof UPKEEPS> = [
  { value: 'leaves-wet', name: 'Later: left wet', short: 'Left wet', about: 'only rust-proof steel lasts' },
  { value: 'wipes-after', name: 'After the work', short: 'After', about: 'most steels do' },
  { value: 'wipes-during', name: 'During the work', short: 'During', about: 'any steel, carbon too' },
];

export const SHARPENED_BY: readonly SaidAnswer<(typeof SHARPENINGS)[number]>[] = [
  { value: 'none', name: 'Nobody', said: 'nobody sharpens' },
  { value: 'pull-through', name: 'A pull-through', said: 'a pull-through sharpener', about: 'quick, eats the blade' },
  { value: 'powered', name: 'A machine', said: 'a powered sharpener', about: 'quick, eats steel' },
  { value: 'professional', name: 'A professional', said: 'sharpened by a professional' },
  { value: 'stones', name: 'Own stones', said: 'sharpened on stones', about: 'the blade lasts longest' },
];

export const CUTTING_HANDS: Of<typeof HANDS> = [
  { value: 'right', name: 'Right hand', short: 'Right' },
  { value: 'left', name: 'Left hand', short: 'Left' },
];

export const STRENGTH: Of<typeof STRENGTHS> = [
  { value: 'light', name: 'Light', about: 'heavy knives tire soon; rest when a hand aches' },
  { value: 'average', name: 'Average' },
  { value: 'strong', name: 'Strong', about: 'weight is no burden' },
];

export const WEIGHTS: Of<typeof WEIGHT_TASTES> = [
  { value: 'light', name: 'Light' },
  { value: 'neutral', name: 'Middle' },
  { value: 'heavy', name: 'Heavy' },
  { value: 'any', name: 'Any' },
];

export const BALANCES: Of<typeof BALANCE_TASTES> = [
  { value: 'forward', name: 'Forward' },
  { value: 'neutral', name: 'Neutral' },
  { value: 'handle', name: 'Handle' },
  { value: 'any', name: 'Any' },
];

export const MATERIALS: Of<typeof BOARD_MATERIALS> = [
  { value: 'wood', name: 'Wood', about: 'kind to edges' },
  { value: 'rubber', name: 'Rubber', about: 'kind to edges' },
  { value: 'plastic', name: 'Plastic', about: 'a little harder' },
  { value: 'bamboo', name: 'Bamboo', about: 'edges last a third less' },
  { value: 'glass', name: 'Glass', about: 'ruins every edge' },
  { value: 'stone', name: 'Stone', about: 'ruins every edge' },
];

export const COUNTER: Of<typeof COUNTERS> = [
  { value: 'roomy', name: 'Roomy' },
  { value: 'cramped', name: 'Cramped' },
];

export const STORED: Of<typeof STORAGES> = [
  { value: 'block', name: 'In a block' },
  { value: 'strip', name: 'On a strip' },
  { value: 'tray', name: 'In a tray' },
  { value: 'roll', name: 'In a roll' },
  { value: 'guards', name: 'In guards' },
  { value: 'loose', name: 'Loose in a drawer', about: 'edges knock dull, fingers find them' },
];

export const HONED: Of<typeof HONINGS> = [
  { value: 'none', name: 'Nothing' },
  { value: 'steel', name: 'A steel', about: 'for soft edges only' },
  { value: 'ceramic', name: 'A ceramic rod', about: 'for hard edges too' },
  { value: 'strop', name: 'A strop', about: 'gentle, any edge' },
  { value: 'diamond', name: 'A diamond rod', about: 'grinds as much as it aligns' },
];

export const SPENDS: Of<typeof SPENDINGS> = [
  { value: 'sparing', name: 'Sparing', about: 'We spend half as much as usual for each 1% of your cutting.' },
  { value: 'even', name: 'Even', about: 'The usual balance of price and cutting done well.' },
  {
    value: 'generous',
    name: 'Generous',
    about: 'We spend three times as much as usual for each 1% of your cutting.',
  },
];

/** A list of answers as a select takes them. */
export const asOptions = (answers: readonly Answer<string>[]) =>
  answers.map(({ value, name, short }) => ({ value, label: short ?? name }));
