import type { BladeModel, BladeType } from '../../blade/schema';
import { bladeModelSchema } from '../../blade/schema';
import { UNKNOWN_MAKER } from '../../blade/words';
import { faultLine, faultsOf, FaultyInput } from '../../formats/faults';
import { MAX_MODELS } from '../../formats/catalogueFile';
import { isCurrency, minorDigits, toMinor } from '../../money/currency';
import type { Reference } from '../../reference';
import { slug } from '../../text/slug';
import { amountIn, currencyIn } from '../label/amounts';
import { kindIn, type KindWords } from '../label/kinds';
import { labelledBlade } from '../label/labelledBlade';
import type { Label } from '../label/label';
import { readLabel, type LabelKnowledge } from '../label/readLabel';
import { findColumns, type Column, type Columns } from './columns';

/** A row of a shop's list that became a model, its missing figures taken from the kind's usual build. */
export interface TakenRow {
  /** Row in the list, from 1. */
  row: number;
  model: BladeModel;
  /** Other things taken for granted, in words. */
  told: string[];
}

/** A row that could not be used, and why. */
export interface LeftRow {
  row: number;
  text: string;
  why: string;
}

export interface ShopList {
  taken: TakenRow[];
  left: LeftRow[];
}

/** What reading a list rests on. */
export interface ListKnowledge {
  reference: Reference;
  words: KindWords;
  /** Models whose middling figures stand for what a list does not tell. */
  models: readonly BladeModel[];
  hand: 'left' | 'right';
  /** Currency of a price that names none. */
  currency: string;
  /** What the list is called: its models carry the name. */
  list?: string;
}

/** How far beyond a kind's lengths a knife may be before kind or length is doubted. */
const LEEWAY = 1.2;
const INCH = 25.4;
const GRAMS_PER_OUNCE = 28.35;

const unitIn = (text: string): 'mm' | 'cm' | 'in' | null =>
  /\bmm\b|millimet/i.test(text)
    ? 'mm'
    : /\bcm\b|zentimet|centimet/i.test(text)
      ? 'cm'
      : /["”″]|\b(in|inch|inches|zoll)\b/i.test(text)
        ? 'in'
        : null;
const MM = { mm: 1, cm: 10, in: INCH } as const;

/** A length in mm: by the unit of cell or heading, else by the unit in which it is a length of the kind. */
function lengthOf(cell: string, heading: string, [short, long]: readonly [number, number]): number | null {
  const value = amountIn(cell);
  if (value === null) return null;
  const unit = unitIn(cell) ?? unitIn(heading);
  const fits = (mm: number) => mm >= short / LEEWAY && mm <= long * LEEWAY;
  const mm = unit ? value * MM[unit] : (['mm', 'cm', 'in'] as const).map((each) => value * MM[each]).find(fits);
  return mm === undefined ? null : Math.round(mm * 10) / 10;
}

/** A bare number in a name that is a length of the kind in mm: "Gyuto 210". */
function bareLength(name: string, [short, long]: readonly [number, number]): number | null {
  for (const [word] of name.matchAll(/(?<![\d.,])\d{2,3}(?![\d.,]|\s?(?:hrc|g\b|°))/gi)) {
    const mm = Number(word);
    if (mm >= short / LEEWAY && mm <= long * LEEWAY) return mm;
  }
  return null;
}

/** Longest part of an id that names the list, characters. */
const LIST_PART = 16;

const idOf = (name: string, list = '') =>
  ['list', slug(list).slice(0, LIST_PART).replace(/-$/, ''), slug(name) || 'knife'].filter(Boolean).join('-');

/**
 * Reads a shop's list, rows of cells with headings: kind, length and price of each knife, what is missing from the kind's usual build. Every row that
 * cannot be used is told with its reason. Throws {@link FaultyInput} where no headings are found.
 */
export function readShopList(rows: readonly (readonly string[])[], knowledge: ListKnowledge): ShopList {
  const columns = findColumns(rows);
  if (!columns)
    throw new FaultyInput([
      {
        path: 'list',
        message:
          'has no headings that are known: name two columns at least, such as "name" and "price", in the first row',
      },
    ]);
  const list: ShopList = { taken: [], left: [] };
  const used = new Map<string, number>();
  rows.slice(columns.row + 1).forEach((cells, i) => {
    const row = columns.row + i + 2;
    const text = cells.filter((cell) => cell.trim() !== '').join(' · ');
    if (text === '') return;
    if (list.taken.length >= MAX_MODELS) {
      list.left.push({ row, text, why: `only ${MAX_MODELS} models fit` });
      return;
    }
    const read = readRow(cells, columns, knowledge);
    if ('why' in read) {
      list.left.push({ row, text, why: read.why });
      return;
    }
    const times = (used.get(read.model.id) ?? 0) + 1;
    used.set(read.model.id, times);
    const model = times === 1 ? read.model : { ...read.model, id: `${read.model.id}-${times}` };
    list.taken.push({ row, model, told: read.told });
  });
  return list;
}

function readRow(
  cells: readonly string[],
  { at, headings }: Columns,
  { reference, words, models, hand, currency: usual, list }: ListKnowledge,
): { model: BladeModel; told: string[] } | { why: string } {
  const cell = (column: Column) => (at[column] === undefined ? '' : (cells[at[column]] ?? '').trim());
  const heading = (column: Column) => (at[column] === undefined ? '' : (headings[at[column]] ?? ''));
  const name = cell('name').replace(/\s+/g, ' ');
  if (name === '') return { why: 'it has no name' };

  const kinds = [name, cell('kind')].map((text) => kindIn(text, words));
  const [byName, byKind] = kinds;
  if (byName && 'no' in byName && byName.no !== 'unknown' && !(byName.no === 'other' && byKind && 'kind' in byKind))
    return {
      why: byName.no === 'set' ? 'it is a set: enter its knives one by one' : `it is no knife (${byName.word ?? ''})`,
    };
  const found = kinds.find((each) => 'kind' in each);
  const type = found && 'kind' in found ? reference.types.get(found.kind) : undefined;
  if (!type) return { why: 'no kind of knife is named in it: write one into the name, such as “chef’s knife”' };

  const price = amountIn(cell('price'));
  if (price === null) return { why: 'it has no price' };
  const code = cell('currency').toUpperCase();
  const named =
    currencyIn(code) ?? (isCurrency(code) ? code : null) ?? currencyIn(cell('price')) ?? currencyIn(heading('price'));
  const currency = named ?? usual;
  const told = named === null ? [`price taken for ${currency}`] : [];

  const label = labelOf(name, cell, heading, { type, words, types: reference.types });
  const lengthMm = label.lengthMm;
  if (lengthMm !== null && (lengthMm < type.lengthMm[0] / LEEWAY || lengthMm > type.lengthMm[1] * LEEWAY))
    return { why: `a ${type.name.toLowerCase()} of ${lengthMm} mm: is the kind or the length right?` };
  const { blade, assumed } = labelledBlade(type, label, hand, models);
  if (lengthMm === null) told.push(`length taken for ${Math.round(blade.lengthMm)} mm`);
  const exact = Math.round(price * 10 ** minorDigits(currency)) / 10 ** minorDigits(currency);
  const parsed = bladeModelSchema.safeParse({
    ...blade,
    id: idOf(cell('id') || name, list),
    maker: cell('maker') || UNKNOWN_MAKER,
    name: name.slice(0, 120),
    priceMinor: toMinor(exact, currency),
    currency,
    ...(list ? { list } : {}),
    assumed: [...(lengthMm === null ? ['lengthMm'] : []), ...assumed.filter((figure) => figure !== 'lengthMm')],
  });
  if (!parsed.success) return { why: faultsOf(parsed.error).map(faultLine).join('; ') };
  return { model: parsed.data, told };
}

/** What name and columns tell of a knife; a column's own figure wins over one in the name. */
function labelOf(
  name: string,
  cell: (column: Column) => string,
  heading: (column: Column) => string,
  { type, ...knowledge }: LabelKnowledge & { type: BladeType },
): Label {
  const lengths = type.lengthMm;
  const label = readLabel([name, cell('steel'), cell('handle'), cell('bevel')].join('\n'), knowledge).read;
  const number = (column: Column, low: number, high: number) => {
    const value = amountIn(cell(column));
    return value !== null && value >= low && value <= high ? value : null;
  };
  const mm = (column: Column) => {
    const value = amountIn(cell(column));
    const unit = unitIn(cell(column)) ?? unitIn(heading(column)) ?? 'mm';
    return value === null ? null : Math.round(value * MM[unit] * 10) / 10;
  };
  const ounces = /\boz\b|ounce|unze/i.test(`${cell('weight')} ${heading('weight')}`);
  const kilos = /\bkg\b/i.test(`${cell('weight')} ${heading('weight')}`);
  const weight = amountIn(cell('weight'));
  const weightG = weight === null ? null : Math.round(weight * (ounces ? GRAMS_PER_OUNCE : kilos ? 1000 : 1));
  const within = (value: number | null, low: number, high: number) =>
    value !== null && value >= low && value <= high ? value : null;
  return {
    ...label,
    lengthMm: lengthOf(cell('length'), heading('length'), lengths) ?? label.lengthMm ?? bareLength(name, lengths),
    heelHeightMm: within(mm('height'), 10, 130) ?? label.heelHeightMm,
    spineHeelMm: within(mm('thickness'), 0.8, 12) ?? label.spineHeelMm,
    weightG: within(weightG, 15, 1500) ?? label.weightG,
    hrc: number('hardness', 48, 69) ?? label.hrc,
    edgeAngleDeg: number('angle', 5, 50) ?? label.edgeAngleDeg,
  };
}
