import { NativeSelect, Switch } from '@mantine/core';
import {
  CATALOGUE_CURRENCY,
  convertMinor,
  fromMinor,
  isExact,
  minorDigits,
  toMinor,
} from '../../../core/money/currency';
import { DEFAULTS } from '../../../core/kitchen/kitchen';
import { Figure, Section } from '../../shared/Field';
import type { QuestionProps } from '../../shared/useKitchen';
import css from '../../shared/Questions.module.css';

const CURRENCIES = ['EUR', 'GBP', 'USD', 'CAD', 'AUD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'JPY', 'INR'];
/** The slider's reach, euros; more can be typed. */
const SLIDER_EUR = 800;

const inCurrency = (euros: number, currency: string) =>
  fromMinor(convertMinor(toMinor(euros, CATALOGUE_CURRENCY), CATALOGUE_CURRENCY, currency), currency);

/** What there is to spend, in which money, and at most how many knives. */
export function MoneyQuestions({ kitchen, update }: QuestionProps) {
  const currency = kitchen.currency ?? CATALOGUE_CURRENCY;
  const said = kitchen.budget?.total;
  const total = said === undefined ? inCurrency(DEFAULTS.budgetEur, currency) : said;
  const setTotal = (value: number | null) => update((k) => ({ ...k, budget: { ...k.budget, total: value } }));
  const most = Math.round(inCurrency(SLIDER_EUR, currency));
  const step = Math.max(1, Math.round(most / 160));
  const currencies = CURRENCIES.includes(currency) ? CURRENCIES : [currency, ...CURRENCIES];

  return (
    <Section title="What you can spend">
      <div className={css.pair}>
        <Figure
          label="In all"
          min={0}
          max={1_000_000_000}
          step={10 ** -minorDigits(currency)}
          disabled={total === null}
          value={total}
          onChange={(value) => isExact(value, currency) && setTotal(value)}
        />
        <NativeSelect
          label="Currency"
          value={currency}
          data={currencies}
          onChange={(e) => {
            const next = e.currentTarget.value;
            update((k) => ({
              ...k,
              currency: next,
              budget: {
                ...k.budget,
                ...(typeof k.budget?.total === 'number'
                  ? { total: Number(k.budget.total.toFixed(minorDigits(next))) }
                  : {}),
                ...(typeof k.budget?.perMonth === 'number'
                  ? { perMonth: Number(k.budget.perMonth.toFixed(minorDigits(next))) }
                  : {}),
              },
            }));
          }}
        />
      </div>
      {total !== null && (
        <input
          type="range"
          className={css.slider}
          aria-label="Budget"
          min={0}
          max={most}
          step={step}
          value={Math.min(most, total)}
          onChange={(e) => setTotal(Number(e.currentTarget.value))}
        />
      )}
      <Switch
        label="No ceiling"
        checked={total === null}
        onChange={(e) => setTotal(e.currentTarget.checked ? null : inCurrency(DEFAULTS.budgetEur, currency))}
      />
      <Figure
        label="At most this many knives to buy"
        min={1}
        max={12}
        value={kitchen.limits?.maxKnives ?? DEFAULTS.maxKnives}
        onChange={(maxKnives) => update((k) => ({ ...k, limits: { ...k.limits, maxKnives } }))}
      />
    </Section>
  );
}
