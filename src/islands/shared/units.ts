import { useLocalStorage } from '@mantine/hooks';
import { useMemo } from 'react';

export type Units = 'mm' | 'inches';

const MM_PER_INCH = 25.4;

/** Lengths as this device shows and takes them. Files and the core speak millimetres. */
export interface Lengths {
  units: Units;
  choose: (units: Units) => void;
  /** Beside a figure or in a label. */
  unit: string;
  /** A length in words: `210 mm` or `8.3 in`; `digits` of the millimetres. */
  length: (mm: number, digits?: number) => string;
  /** Two lengths: `180–215 mm` or `7.1–8.5 in`. */
  range: (fromMm: number, toMm: number) => string;
  /** A sentence of the core with its millimetres in these units. */
  told: (sentence: string) => string;
  /** Typed figures to millimetres, and back. */
  toMm: (typed: number) => number;
  fromMm: (mm: number) => number;
}

const figure = (inches: number) => inches.toFixed(Math.abs(inches) < 1 ? 2 : 1);

/** Every length in a sentence: one, two with a dash, or the two sides of a board. */
const IN_WORDS = /(−?-?\d+(?:\.\d+)?)(?:( ?[–×] ?)(\d+(?:\.\d+)?))?\smm\b/gu;

export function lengthsIn(units: Units): Omit<Lengths, 'choose'> {
  if (units === 'mm')
    return {
      units,
      unit: 'mm',
      length: (mm, digits = 0) => `${mm.toFixed(digits)} mm`,
      range: (a, b) => `${a.toFixed(0)}–${b.toFixed(0)} mm`,
      told: (sentence) => sentence,
      toMm: (typed) => typed,
      fromMm: (mm) => mm,
    };
  const inches = (mm: number) => figure(mm / MM_PER_INCH);
  return {
    units,
    unit: 'inches',
    length: (mm) => `${inches(mm)} in`,
    range: (a, b) => `${inches(a)}–${inches(b)} in`,
    told: (sentence) =>
      sentence.replace(IN_WORDS, (_, one: string, dash?: string, other?: string) =>
        dash && other ? `${inches(Number(one))}${dash}${inches(Number(other))} in` : `${inches(Number(one))} in`,
      ),
    toMm: (typed) => Math.round(typed * MM_PER_INCH * 10) / 10,
    fromMm: (mm) => Number((mm / MM_PER_INCH).toFixed(2)),
  };
}

/** Millimetres or inches, as chosen on this device; millimetres, the trade's own, until then. */
export function useLengths(): Lengths {
  const [units, choose] = useLocalStorage<Units>({
    key: 'scabbard-units',
    defaultValue: 'mm',
    getInitialValueInEffect: false,
    serialize: (value) => value,
    deserialize: (text) => (text === 'inches' ? 'inches' : 'mm'),
  });
  return useMemo(() => ({ ...lengthsIn(units), choose }), [units, choose]);
}
