import { Button } from '@mantine/core';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import { nextQuestion, type Question } from '../../core/kitchen/nextQuestion';
import { CATALOGUE_CURRENCY, euroIn, fromMinor } from '../../core/money/currency';
import type { QuestionProps } from '../shared/useKitchen';
import { money } from '../shared/words';
import css from './Next.module.css';

/** Where each question is answered, and how it is put. */
const ASKED: Record<Exclude<Question, 'budget'>, { page: string; words: string }> = {
  cooking: { page: '/cutting', words: 'What do you cook most? Everyday Western cooking is assumed.' },
  hand: { page: '/cooks', words: 'How large is your hand? A middling one is assumed, and it decides the length.' },
  drawer: { page: '/drawer', words: 'Which knives have you got already? Sound ones are kept.' },
  sharpening: { page: '/cooks', words: 'Who sharpens your knives? A professional is assumed.' },
  board: { page: '/cooks', words: 'What board do you cut on? A middling wooden one is assumed.' },
  motions: { page: '/cooks', words: 'How do you cut: rocking, pushing, pulling, chopping? No shape is favoured yet.' },
};

const BUDGETS_EUR = [60, 120, 250, 500];

/** An amount of euros as a round one of another currency. */
function roundIn(euros: number, currency: string): number {
  const amount = fromMinor(euroIn(euros, currency), currency);
  const unit = 10 ** Math.max(0, Math.floor(Math.log10(amount)) - 1);
  return Math.round(amount / unit) * unit;
}

/** The one question most worth answering next: the money at once, the others on their page. */
export function Next({ id, kitchen, update }: QuestionProps & { id: string }) {
  const question = nextQuestion(kitchen);
  if (question === null) return null;
  if (question === 'budget') return <AskBudget kitchen={kitchen} update={update} />;
  return (
    <p className={css.asked}>
      {ASKED[question].words} <a href={`/kitchens/${id}${ASKED[question].page}`}>Answer</a>
    </p>
  );
}

function AskBudget({ kitchen, update }: QuestionProps) {
  const currency = kitchen.currency ?? CATALOGUE_CURRENCY;
  const set = (total: number | null) =>
    update((k: KitchenFile) => ({ ...k, currency, budget: { ...k.budget, total } }));
  return (
    <div className={css.asked} role="group" aria-label="What may the kit cost?">
      <span>What may the kit cost?</span>
      {BUDGETS_EUR.map((euros) => {
        const amount = roundIn(euros, currency);
        return (
          <Button key={euros} size="compact-sm" variant="default" onClick={() => set(amount)}>
            {money(amount, currency)}
          </Button>
        );
      })}
      <Button size="compact-sm" variant="default" onClick={() => set(null)}>
        No ceiling
      </Button>
    </div>
  );
}
