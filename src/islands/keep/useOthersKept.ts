import { useState } from 'react';
import type { KitchenFile } from '../../core/formats/kitchenFile';

/** What of a kitchen file no plan depends on. */
const BESIDE: readonly string[] = ['storage', 'away'] satisfies (keyof KitchenFile)[];

const isSameForPlans = (one: KitchenFile, other: KitchenFile): boolean => {
  const keys = new Set([...Object.keys(one), ...Object.keys(other)]);
  const [a, b] = [new Map<string, unknown>(Object.entries(one)), new Map<string, unknown>(Object.entries(other))];
  return [...keys].every((key) => BESIDE.includes(key) || a.get(key) === b.get(key));
};

/** A kitchen that stays the same object while only what no plan depends on changes in it. */
export function useOthersKept(kitchen: KitchenFile): KitchenFile {
  const [kept, setKept] = useState(kitchen);
  if (kept === kitchen || isSameForPlans(kept, kitchen)) return kept;
  setKept(kitchen);
  return kitchen;
}
