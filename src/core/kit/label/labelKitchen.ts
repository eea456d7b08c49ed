import type { BladeModel } from '../../blade/schema';
import { LABEL_KEYS, type LabelFile } from '../../formats/labelFile';
import type { KitchenFile } from '../../formats/kitchenFile';
import { convertMinor, fromMinor, toMinor } from '../../money/currency';
import type { Reference } from '../../reference';
import { preparePlanning } from '../context/planningContext';
import { planProven } from '../plan/planKitchen';
import { toTheEnd } from '../search/sizes';
import type { KindWords } from './kinds';
import type { Label } from './label';
import { readLabel } from './readLabel';
import { judging } from './verdict';

/** A price in another currency in the kitchen's, at the planning rates. */
export function inCurrency(label: Label, currency: string): Label {
  const { price, currency: from } = label;
  if (price === null || from === null || from === currency) return label;
  return { ...label, price: fromMinor(convertMinor(toMinor(price, from), from, currency), currency), currency };
}

/**
 * A label read and, with a kitchen, judged against its plan. The verdict is null where the label names no kind of knife or no length. Throws FaultyInput
 * when the kitchen names something unknown.
 *
 * @example labelFile('Gyuto 21 cm, €89', { words, reference, models }).read.lengthMm // 210
 */
export function labelFile(
  text: string,
  { words, reference, models }: { words: KindWords; reference: Reference; models: readonly BladeModel[] },
  kitchen?: KitchenFile,
): LabelFile {
  const { knife, read, asks, unread } = readLabel(text, { words, types: reference.types });
  const told = Object.fromEntries(LABEL_KEYS.flatMap((key) => (read[key] === null ? [] : [[key, read[key]]])));
  const file: LabelFile = {
    format: 'scabbard.label',
    version: 1,
    knife,
    read: told,
    asks: LABEL_KEYS.filter((key) => asks.includes(key)),
    unread,
  };
  if (!kitchen) return file;
  const type = read.type === null ? undefined : reference.types.get(read.type);
  if (!knife || !type || read.lengthMm === null) return { ...file, verdict: null };
  const context = preparePlanning(kitchen, reference, models);
  const planned = planProven(context);
  const label = inCurrency(read, planned.plan.currency);
  const { word, step, priceUpTo, because } = toTheEnd(judging(context, planned, { type, label }));
  return { ...file, verdict: { word, step, priceUpTo, because } };
}
