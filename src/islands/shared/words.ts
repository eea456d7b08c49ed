import { taskNames, toolNames, typeNames } from '../../../data/names';
import type { KitchenFile } from '../../core/formats/kitchenFile';

/** Plain name of a task. */
export const taskName = (id: string) => taskNames.get(id) ?? id;
/** Plain name of a blade type. */
export const typeName = (id: string) => typeNames.get(id) ?? toolNames.get(id) ?? id;
/** Whether anything has been said of what is cooked. */
export const isCookingSaid = ({ cooking }: KitchenFile): boolean =>
  [cooking?.cuisines, cooking?.dishes, cooking?.tasks].some((list) => (list?.length ?? 0) > 0);
/** Minutes as people say them: whole from two up, else a decimal. */
export const minutes = (value: number) => (value >= 2 ? String(Math.round(value)) : value.toFixed(1));
/** A share as a whole percentage. */
export const percent = (share: number) => `${Math.round(share * 100)}%`;
/** Inches beside millimetres. */
export const inches = (mm: number) => `${(mm / 25.4).toFixed(1)} in`;

const formats = new Map<string, Intl.NumberFormat>();
/** A decimal amount in its currency, without needless zeros. */
export function money(amount: number, currency: string): string {
  const whole = Number.isInteger(amount);
  const key = `${currency}${whole}`;
  let format = formats.get(key);
  if (!format) {
    format = new Intl.NumberFormat('en-GB', {
      style: 'currency',
      currency,
      currencyDisplay: 'narrowSymbol',
      ...(whole ? { maximumFractionDigits: 0 } : {}),
    });
    formats.set(key, format);
  }
  return format.format(amount);
}
