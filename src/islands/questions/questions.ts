import { FOODS_AVOIDED } from '../../core/cutting/words';
import { BOUNDS } from '../../core/formats/kitchenBounds';
import type { CookFile, KitchenFile } from '../../core/formats/kitchenFile';
import { DEFAULTS } from '../../core/kitchen/defaults';
import { upperFirst } from '../../core/text/case';
import {
  type Answer,
  BALANCES,
  BOARD_SIZES,
  COUNTER,
  CUTTING_HANDS,
  HAND_SIZES,
  handOf,
  handSizeOf,
  HONED,
  MATERIALS,
  PRACTICE,
  SHARPENED_BY,
  SPENDS,
  STORED,
  STRENGTH,
  WEIGHTS,
  WIPED,
} from '../shared/choices';

/** How a field is read from a file and written into one; of cooks, the one at `cook`. */
interface Field<T, Written = T> {
  read: (file: KitchenFile, cook: number) => T | undefined;
  write: (file: KitchenFile, cook: number, value: Written) => KitchenFile;
}
/** A field that can also be left out again. */
type Optional<T> = Field<T, T | undefined>;

/** One of a few answers. */
export interface OneOf {
  kind: 'one';
  label: string;
  answers: readonly Answer<string>[];
  /** Asked as a row of tabs also where there is room for cards. */
  tabs: boolean;
  value: (file: KitchenFile, cook: number) => string;
  answered: (file: KitchenFile, cook: number, value: string) => KitchenFile;
}
/** A number; `mm`: a length, in the units of the device. */
export interface Amount {
  kind: 'number';
  label: string;
  bounds: readonly [number, number];
  whole: boolean;
  mm: boolean;
  /** What holds where nothing is said, in words. */
  holds: string;
  /** Null: nothing is said, and nothing taken for granted. */
  value: (file: KitchenFile, cook: number) => number | null;
  /** Undefined takes the answer back. */
  answered: (file: KitchenFile, cook: number, value: number | undefined) => KitchenFile;
}
/** Yes or no. */
export interface Truth {
  kind: 'truth';
  label: string;
  value: (file: KitchenFile, cook: number) => boolean;
  answered: (file: KitchenFile, cook: number, value: boolean) => KitchenFile;
}
/** Any of a few. */
export interface AnyOf {
  kind: 'any';
  label: string;
  answers: readonly Answer<string>[];
  value: (file: KitchenFile) => readonly string[];
  answered: (file: KitchenFile, value: string, on: boolean) => KitchenFile;
}

const one = <T extends string>(
  label: string,
  answers: readonly Answer<T>[],
  { read, write }: Field<T>,
  assumed: T,
  tabs = false,
): OneOf => ({
  kind: 'one',
  label,
  answers,
  tabs,
  value: (file, cook) => read(file, cook) ?? assumed,
  answered: (file, cook, value) => {
    const chosen = answers.find((answer) => answer.value === value);
    return chosen ? write(file, cook, chosen.value) : file;
  },
});
const number = (
  label: string,
  bounds: readonly [number, number],
  { read, write }: Optional<number>,
  assumed: number | null,
  { mm = false, whole = false } = {},
): Amount => ({
  kind: 'number',
  label,
  bounds,
  mm,
  whole,
  holds: assumed === null ? 'not said' : String(assumed),
  value: (file, cook) => read(file, cook) ?? assumed,
  answered: write,
});
const length = (...asked: [string, readonly [number, number], Optional<number>, number | null]) =>
  number(...asked, { mm: true });
const truth = (label: string, { read, write }: Field<boolean>): Truth => ({
  kind: 'truth',
  label,
  value: (file, cook) => read(file, cook) ?? false,
  answered: write,
});

type Parts = Pick<Required<KitchenFile>, 'board' | 'habits' | 'cooking' | 'limits' | 'budget'>;
/** A field of a part of the file. Null is as good as nothing said. */
const of = <P extends keyof Parts, K extends keyof Parts[P]>(part: P, key: K): Optional<NonNullable<Parts[P][K]>> => ({
  read: (file) => {
    const parts: Partial<Parts> = file;
    const inside: Parts[P] | undefined = parts[part];
    return inside?.[key] ?? undefined;
  },
  write: (file, _, value) => ({ ...file, [part]: { ...file[part], [key]: value } }),
});
/** A change of one cook; where none was named before, there is one now. */
export const cookChanged = (file: KitchenFile, at: number, change: CookFile): KitchenFile => ({
  ...file,
  cooks: (file.cooks ?? [{}]).map((cook, i) => (i === at ? { ...cook, ...change } : cook)),
});
const ofCook = <K extends keyof CookFile>(key: K): Optional<NonNullable<CookFile[K]>> => ({
  read: (file, cook) => file.cooks?.[cook]?.[key] ?? undefined,
  write: (file, cook, value) => cookChanged(file, cook, { [key]: value }),
});

const handSize: Field<(typeof HAND_SIZES)[number]['value']> = {
  read: (file, cook) => handSizeOf(file.cooks?.[cook]?.handLengthMm ?? DEFAULTS.handLengthMm),
  write: (file, cook, size) => cookChanged(file, cook, handOf(size)),
};
const boardSize: Field<string> = {
  read: ({ board }) => `${board?.lengthMm ?? DEFAULTS.board.lengthMm}x${board?.widthMm ?? DEFAULTS.board.widthMm}`,
  write: (file, _, value) => {
    const size = BOARD_SIZES.find((each) => each.value === value);
    return size ? { ...file, board: { ...file.board, lengthMm: size.lengthMm, widthMm: size.widthMm } } : file;
  },
};

const { board, habits } = DEFAULTS;

/** Every question that is put by itself, by the field it fills: its words, its answers or bounds, and what holds until it is answered. */
export const QUESTIONS = {
  handSize: one('Hand', HAND_SIZES, handSize, 'middle', true),
  handLengthMm: length('Wrist to fingertip', BOUNDS.handLengthMm, ofCook('handLengthMm'), DEFAULTS.handLengthMm),
  handed: one('Cuts with the', CUTTING_HANDS, ofCook('handed'), 'right', true),
  experience: one('Practice', PRACTICE, ofCook('experience'), 'home'),
  strength: one('Strength and stamina', STRENGTH, ofCook('strength'), 'average'),
  wantsWeight: one('Weight wanted', WEIGHTS, ofCook('wantsWeight'), 'any', true),
  wantsBalance: one('Balance wanted', BALANCES, ofCook('wantsBalance'), 'any', true),
  wantsLengthMm: length('Length wanted', BOUNDS.wantsLengthMm, ofCook('wantsLengthMm'), null),
  nervous: truth('Uneasy with long blades', ofCook('nervous')),
  boardSize: one('Board', BOARD_SIZES, boardSize, '400x300'),
  boardLengthMm: length('Long side', BOUNDS.boardLengthMm, of('board', 'lengthMm'), board.lengthMm),
  boardWidthMm: length('Short side', BOUNDS.boardWidthMm, of('board', 'widthMm'), board.widthMm),
  material: one('Board material', MATERIALS, of('board', 'material'), board.material),
  counter: one('Counter', COUNTER, of('board', 'counter'), board.counter, true),
  storage: one('Knives are kept', STORED, of('habits', 'storage'), habits.storage),
  upkeep: one('Knives are wiped', WIPED, of('habits', 'upkeep'), habits.upkeep),
  honing: one('They are honed with', HONED, of('habits', 'honing'), habits.honing),
  sharpening: one('Who sharpens', SHARPENED_BY, of('habits', 'sharpening'), habits.sharpening),
  dishwasher: truth('They go in the dishwasher', of('habits', 'dishwasher')),
  roughUse: truth('Shared, borrowed or dropped', of('habits', 'roughUse')),
  bones: truth('Bones are chopped here', of('habits', 'bones')),
  mealsPerWeek: number(
    'Cooked meals a week',
    BOUNDS.mealsPerWeek,
    of('cooking', 'mealsPerWeek'),
    DEFAULTS.mealsPerWeek,
  ),
  portions: number('Portions a meal', BOUNDS.portions, of('cooking', 'portions'), DEFAULTS.portions),
  spend: one('How the money should work', SPENDS, of('budget', 'spend'), 'even', true),
  maxKnives: number(
    'At most this many knives to buy',
    BOUNDS.maxKnives,
    of('limits', 'maxKnives'),
    DEFAULTS.maxKnives,
    { whole: true },
  ),
  avoids: {
    kind: 'any',
    label: 'Never eaten here',
    answers: FOODS_AVOIDED.map((value) => ({ value, name: upperFirst(value) })),
    value: ({ avoids = [] }) => avoids,
    answered: (file, value, on) => {
      const others = (file.avoids ?? []).filter((each) => each !== value);
      const food = FOODS_AVOIDED.find((each) => each === value);
      return { ...file, avoids: on && food ? [...others, food] : others };
    },
  },
} as const satisfies Record<string, OneOf | Amount | Truth | AnyOf>;

export type QuestionId = keyof typeof QUESTIONS;
