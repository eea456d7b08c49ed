/** The currency the shipped catalogue is priced in. */
export const CATALOGUE_CURRENCY = 'EUR';

/**
 * Planning rates, units of the currency for one euro. Round figures for comparing a budget with the catalogue's invented
 * prices, not a market quotation; every plan that uses one says so among its assumptions.
 */
const UNITS_PER_EURO: Record<string, number> = {
  EUR: 1,
  GBP: 0.86,
  USD: 1.1,
  CAD: 1.5,
  AUD: 1.65,
  NZD: 1.8,
  CHF: 0.95,
  SEK: 11.3,
  NOK: 11.6,
  DKK: 7.46,
  PLN: 4.3,
  CZK: 25,
  HUF: 395,
  JPY: 160,
  CNY: 7.8,
  KRW: 1500,
  INR: 92,
  SGD: 1.45,
  HKD: 8.5,
  ZAR: 20,
  BRL: 6,
  MXN: 20,
  TRY: 38,
};

/** Whether the code is one the runtime knows as an ISO 4217 currency. */
export function isCurrency(code: string): boolean {
  return Intl.supportedValuesOf('currency').includes(code);
}

/** Decimal places of the currency's minor unit: 2 for EUR, 0 for JPY. */
export function minorDigits(currency: string): number {
  let digits = digitsOf.get(currency);
  if (digits === undefined) {
    digits = new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;
    digitsOf.set(currency, digits);
  }
  return digits;
}
const digitsOf = new Map<string, number>();

/**
 * Decimal amount to whole minor units, rounded half up on the decimal figure that was written.
 *
 * @example toMinor(9.5, 'EUR') // 950
 */
export function toMinor(amount: number, currency: string): number {
  return Math.round(Number(`${amount}e${minorDigits(currency)}`));
}

/** Whole minor units to the decimal amount. */
export function fromMinor(minor: number, currency: string): number {
  return Number(`${minor}e-${minorDigits(currency)}`);
}

/** True when the amount has no more decimals than the currency's minor unit. */
export function isExact(amount: number, currency: string): boolean {
  return fromMinor(toMinor(amount, currency), currency) === amount;
}

/** The planning rate between two currencies, or null where one of them has none. */
export function planningRate(from: string, to: string): number | null {
  const a = UNITS_PER_EURO[from];
  const b = UNITS_PER_EURO[to];
  return a && b ? b / a : null;
}

/** Converts minor units between currencies at the planning rate; one for one where there is none. */
export function convertMinor(minor: number, from: string, to: string): number {
  if (from === to) return minor;
  return toMinor(Number((fromMinor(minor, from) * (planningRate(from, to) ?? 1)).toFixed(minorDigits(to))), to);
}

/** Euro, the currency of the catalogue and of every figure of the trade, as minor units of another currency. */
export const euroIn = (euro: number, currency: string): number =>
  convertMinor(toMinor(euro, CATALOGUE_CURRENCY), CATALOGUE_CURRENCY, currency);

const formatters = new Map<string, Intl.NumberFormat>();
let language = 'en-GB';

/** From now on money is written as readers of this language (a BCP 47 tag) are used to; returns the language before. */
export function writeMoneyIn(tag: string): string {
  const before = language;
  language = tag;
  return before;
}

/** What `work` makes of money in a language of its own. */
export function inLanguage<T>(tag: string, work: () => T): T {
  const before = writeMoneyIn(tag);
  try {
    return work();
  } finally {
    writeMoneyIn(before);
  }
}

/**
 * Minor units as people write them, in the language (a BCP 47 tag) of {@link writeMoneyIn} or in one of its own.
 *
 * @example showMoney(950, 'EUR') // '€9.50'
 */
export function showMoney(minor: number, currency: string, tag = language): string {
  const amount = fromMinor(minor, currency);
  const digits = Number.isInteger(amount) ? 0 : minorDigits(currency);
  const key = `${tag} ${currency}${digits}`;
  let formatter = formatters.get(key);
  if (!formatter) {
    formatter = new Intl.NumberFormat(tag, {
      style: 'currency',
      currency,
      currencyDisplay: 'narrowSymbol',
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
    });
    formatters.set(key, formatter);
  }
  return formatter.format(amount);
}
