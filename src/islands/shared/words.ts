import { showMoney, toMinor, writeMoneyIn } from '../../core/money/currency';
import { taskNames, toolNames, typeNames } from '../../../data/names';

/** Plain name of a task. */
export const taskName = (id: string) => taskNames.get(id) ?? id;
/** Plain name of a blade type. */
export const typeName = (id: string) => typeNames.get(id) ?? toolNames.get(id) ?? id;
/** Minutes as people say them: whole from two up, else a decimal. */
export const minutes = (value: number) => (value >= 2 ? String(Math.round(value)) : value.toFixed(1));

/** Seconds as a clock shows them. */
export const asClock = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** The language whose numbers, money and dates this browser is used to. */
const LANGUAGE = typeof window === 'undefined' ? 'en-GB' : navigator.language;
writeMoneyIn(LANGUAGE);
/** What parts whole numbers from decimals where this browser is at home. */
export const DECIMAL =
  new Intl.NumberFormat(LANGUAGE).formatToParts(0.5).find(({ type }) => type === 'decimal')?.value ?? '.';

const PLAIN = new Intl.NumberFormat(LANGUAGE, { maximumFractionDigits: 4, useGrouping: false });
const GROUPED = new Intl.NumberFormat(LANGUAGE, { maximumFractionDigits: 4 });
/** A number as this browser writes it in a field; in a sentence its thousands are `grouped`. */
export const writtenNumber = (value: number, grouped = false) => (grouped ? GROUPED : PLAIN).format(value);

/** How readers of a language (a BCP 47 tag) write shares, as whole percentages, days, moments and money. */
export function writingIn(tag: string) {
  const shares = new Intl.NumberFormat(tag, { style: 'percent', maximumFractionDigits: 0 });
  const days = new Intl.DateTimeFormat(tag, { dateStyle: 'medium' });
  const moments = new Intl.DateTimeFormat(tag, { dateStyle: 'medium', timeStyle: 'short' });
  return {
    percent: (share: number) => shares.format(Math.round(share * 100) / 100),
    day: (date: Date | string) => days.format(new Date(date)),
    moment: (date: Date | string) => moments.format(new Date(date)),
    /** A decimal amount, without needless zeros. */
    money: (amount: number, currency: string) => showMoney(toMinor(amount, currency), currency, tag),
  };
}

/** Shares, days and moments as this browser writes them. */
export const { percent, day, moment } = writingIn(LANGUAGE);

/** A decimal amount in its currency, without needless zeros. */
export const money = (amount: number, currency: string): string => showMoney(toMinor(amount, currency), currency);
