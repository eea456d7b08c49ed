import { Button } from '@mantine/core';
import { CATALOGUE_CURRENCY, euroIn, fromMinor } from '../../core/money/currency';
import type { QuestionProps } from '../shared/useKitchen';
import { money } from '../shared/words';

const BUDGETS_EUR = [60, 120, 250, 500];

/** An amount of euros as a round one of another currency. */
function roundIn(euros: number, currency: string): number {
  const amount = fromMinor(euroIn(euros, currency), currency);
  const unit = 10 ** Math.max(0, Math.floor(Math.log10(amount)) - 1);
  return Math.round(amount / unit) * unit;
}

/** What the kit may cost, by one press: a few round amounts of the kitchen's money, or no ceiling. */
export function BudgetChoice({ kitchen: { budget, currency = CATALOGUE_CURRENCY }, update }: QuestionProps) {
  const answers = [
    ...BUDGETS_EUR.map((euros) => roundIn(euros, currency)).map((total) => ({ total, name: money(total, currency) })),
    { total: null, name: 'No ceiling' },
  ];
  return answers.map(({ total, name }) => (
    <Button
      key={name}
      size="compact-md"
      variant={budget?.total === total ? 'filled' : 'default'}
      aria-pressed={budget?.total === total}
      onClick={() => update((k) => ({ ...k, currency, budget: { ...k.budget, total } }))}
    >
      {name}
    </Button>
  ));
}
