import { NativeSelect, Switch } from '@mantine/core';
import { useId } from 'react';
import type { Plan } from '../../../core/formats/planFile';
import { CATALOGUE_CURRENCY, euroIn, fromMinor, minorDigits } from '../../../core/money/currency';
import { Question } from '../../questions/Question';
import { SPENDS } from '../../shared/choices';
import { DEFAULTS } from '../../../core/kitchen/defaults';
import { MoneyFigure } from '../../shared/NumberField';
import type { QuestionProps } from '../../shared/useKitchen';
import { money } from '../../shared/words';
import css from '../../shared/Questions.module.css';

const CURRENCIES = ['EUR', 'GBP', 'USD', 'CAD', 'AUD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'JPY', 'INR'];
/** The slider's reach, euros; more can be typed. */
const SLIDER_EUR = 800;

const inCurrency = (euros: number, currency: string) => fromMinor(euroIn(euros, currency), currency);

/** What there is to spend, in which money, and at most how many knives. */
export default function MoneyQuestions({
  kitchen,
  update,
  point,
  lists,
}: QuestionProps & { point: Plan['worth'] | null; lists: readonly string[] }) {
  const asked = { kitchen, update };
  const currency = kitchen.currency ?? CATALOGUE_CURRENCY;
  const said = kitchen.budget?.total;
  const total = said === undefined ? inCurrency(DEFAULTS.budgetEur, currency) : said;
  const setTotal = (value: number | null) => update((k) => ({ ...k, budget: { ...k.budget, total: value } }));
  const most = Math.round(inCurrency(SLIDER_EUR, currency));
  const step = Math.max(1, Math.round(most / 160));
  const spend = kitchen.budget?.spend ?? 'even';

  return (
    <>
      <div className={css.pair}>
        <MoneyFigure
          label="In all"
          currency={currency}
          disabled={total === null}
          value={total}
          unsaid={{ holds: 'no ceiling', onEmptied: () => setTotal(null) }}
          onChange={setTotal}
        />
        <Currency {...asked} />
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
      <Question of="spend" {...asked} hint={SPENDS.find(({ value }) => value === spend)?.about} />
      {point && <PointPrice {...asked} price={point.pointPrice} />}
      <Question of="maxKnives" {...asked} />
      <FromList {...asked} lists={lists} />
    </>
  );
}

/** Which knives the plan chooses from: all, or those of one shop's list. */
function FromList({ kitchen, update, lists }: QuestionProps & { lists: readonly string[] }) {
  const from = kitchen.limits?.list ?? '';
  const known = from === '' || lists.includes(from) ? lists : [from, ...lists];
  if (known.length === 0)
    return (
      <p className={css.hint}>
        The knives are examples. <a href="/catalogue">Import a shop’s price list</a> to plan with knives you can buy.
      </p>
    );
  return (
    <NativeSelect
      label="Choose knives from"
      value={from}
      data={[{ value: '', label: 'All knives' }, ...known.map((list) => ({ value: list, label: `Only ${list}` }))]}
      onChange={(e) => {
        const list = e.currentTarget.value || undefined;
        update((k) => ({ ...k, limits: { ...k.limits, list } }));
      }}
    />
  );
}

/** What one point of coverage is paid: worked out from the money, or set by hand. */
function PointPrice({ kitchen, update, price }: QuestionProps & { price: number }) {
  const currency = kitchen.currency ?? CATALOGUE_CURRENCY;
  const id = useId();
  const least = Math.max(10 ** -minorDigits(currency), Math.round(inCurrency(2, currency)));
  const setPoint = (pointPrice: number | null) =>
    update((k) => ({
      ...k,
      budget: {
        ...k.budget,
        pointPrice: pointPrice === null ? undefined : Number(pointPrice.toFixed(minorDigits(currency))),
      },
    }));
  return (
    <>
      <label className={css.label} htmlFor={id}>
        We pay up to <b className="figure">{money(price, currency)}</b> for each 1% of your cutting
      </label>
      <input
        type="range"
        id={id}
        className={css.slider}
        min={least}
        max={least * 60}
        step={least / 2}
        value={Math.min(least * 60, price)}
        aria-valuetext={money(price, currency)}
        onChange={(e) => setPoint(Number(e.currentTarget.value))}
      />
      <p className={css.hint}>
        A knife is bought only where it gives you more than that for its price. Move the slider and watch knives come
        and go.{' '}
        {kitchen.budget?.pointPrice != null && (
          <button type="button" className={css.inline} onClick={() => setPoint(null)}>
            Work it out from the money
          </button>
        )}
      </p>
    </>
  );
}

/** The kitchen's money; amounts already said keep their figures, as exactly as the new money is counted. */
function Currency({ kitchen, update }: QuestionProps) {
  const currency = kitchen.currency ?? CATALOGUE_CURRENCY;
  const currencies = CURRENCIES.includes(currency) ? CURRENCIES : [currency, ...CURRENCIES];
  return (
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
            ...(typeof k.budget?.pointPrice === 'number' ? { pointPrice: undefined } : {}),
            ...(typeof k.budget?.perMonth === 'number'
              ? { perMonth: Number(k.budget.perMonth.toFixed(minorDigits(next))) }
              : {}),
          },
        }));
      }}
    />
  );
}
