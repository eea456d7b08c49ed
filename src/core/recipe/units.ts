import type { Task } from '../cutting/task';
import type { Food } from './foods';

/** Grams in a mass unit. */
const GRAMS: Record<string, number> = { milligram: 0.001, gram: 1, kilogram: 1000, ounce: 28.35, pound: 453.6 };
/** Millilitres in a measure; an American cup is taken for 240. */
const MILLILITRES: Record<string, number> = {
  milliliter: 1,
  deciliter: 100,
  centiliter: 10,
  liter: 1000,
  teaspoon: 5,
  dessertspoon: 10,
  tablespoon: 15,
  fluidounce: 29.6,
  cup: 240,
  pint: 500,
  quart: 946,
  gallon: 3785,
};
const CUP_ML = 240;
/** Pieces in a count word where the food does not say otherwise; a herb's piece is a handful. */
const PIECES: Record<string, number> = {
  bunch: 1,
  handful: 1,
  sprig: 0.15,
  leaf: 0.08,
  pinch: 0.1,
  stem: 0.2,
  dozen: 12,
  half: 0.5,
  quarter: 0.25,
};
/** A herb's bunch in handfuls. */
const HERB_BUNCH = 3;
const CM_PER_PIECE = 3;

/** How much of a food a line asks for, pieces or grams; both when one can be had from the other. */
export interface Measure {
  pieces: number;
  grams: number;
}

/** Turns quantity and unit into pieces and grams of a food. No quantity counts as one. */
export function measure(quantity: number | null, unit: string | null, food: Food): Measure {
  const count = quantity ?? 1;
  const each = food.grams ?? 100;
  const byGrams = (grams: number): Measure => ({ grams, pieces: grams / each });
  const byPieces = (pieces: number): Measure => ({ pieces, grams: pieces * each });
  if (unit === null) return byPieces(count * (food.each ?? 1));
  const mass = GRAMS[unit];
  if (mass !== undefined) return byGrams(count * mass);
  const volume = MILLILITRES[unit];
  if (volume !== undefined) return byGrams((count * volume * (food.cup ?? 120)) / CUP_ML);
  if (unit === 'centimeter') return byPieces(count / CM_PER_PIECE);
  if (unit === 'inch') return byPieces((count * 2.54) / CM_PER_PIECE);
  const held = food.holds?.[unit];
  if (held !== undefined) return byPieces(count * held);
  if (unit === 'bunch' && /herb/.test(food.class)) return byPieces(count * HERB_BUNCH);
  return byPieces(count * (PIECES[unit] ?? 1));
}

interface Quantity {
  quantity: number | null;
  unit: string | null;
}

/** Two measures of one food in the unit of the first; null where they cannot be added. */
export function sumOf(one: Quantity, other: Quantity): number | null {
  for (const units of [GRAMS, MILLILITRES]) {
    const [a, b] = [units[one.unit ?? ''], units[other.unit ?? '']];
    if (a !== undefined && b !== undefined && one.quantity !== null && other.quantity !== null)
      return one.quantity + (other.quantity * b) / a;
  }
  return null;
}

/** Amount of a task, in its own unit, for so much of a food; two decimals. */
export function amountOf(task: Task, { pieces, grams }: Measure, food: Food): number {
  const [, number, noun = ''] = /^(?:(\d+(?:\.\d+)?)\s*)?(.*)$/.exec(task.unit) ?? [];
  const n = number === undefined ? 1 : Number(number);
  const raw = (() => {
    if (noun === 'g') return grams / n;
    if (noun === 'kg') return grams / (1000 * n);
    if (noun === 'dozen') return pieces / 12;
    if (noun === 'half' || noun === 'half head') return pieces * 2;
    if (noun === 'bunch') return pieces / (food.holds?.bunch ?? 1);
    if (noun === 'side') return pieces / (food.holds?.side ?? 8);
    if (noun === 'cm') return (pieces * CM_PER_PIECE) / n;
    return pieces / n;
  })();
  return Math.max(0.01, Math.round(raw * 100) / 100);
}
