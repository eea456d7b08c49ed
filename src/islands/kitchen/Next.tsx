import { nextQuestion, type Question } from '../../core/kitchen/nextQuestion';
import type { QuestionProps } from '../shared/useKitchen';
import { BudgetChoice } from './BudgetChoice';
import css from './Next.module.css';

/** Where each question is answered, and how it is put. */
const ASKED: Record<Exclude<Question, 'budget'>, { page: string; words: string }> = {
  cooking: { page: '/cutting', words: 'What do you cook most? Everyday Western cooking is assumed.' },
  hand: { page: '/cooks', words: 'How large is your hand? It decides the length; an average hand is assumed.' },
  drawer: { page: '/drawer', words: 'Which knives do you already have? Good ones are kept.' },
  sharpening: { page: '/cooks', words: 'Who sharpens your knives? A professional is assumed.' },
  board: { page: '/cooks', words: 'What board do you cut on? A medium wooden one is assumed.' },
  motions: {
    page: '/cooks',
    words: 'How do you cut: rocking, pushing, pulling or chopping? No blade shape is preferred yet.',
  },
};

/** The one question most worth answering next: the money at once, the others on their page. `except`: those that are asked elsewhere on this page. */
export function Next({
  id,
  kitchen,
  update,
  except = [],
}: QuestionProps & { id: string; except?: readonly Question[] }) {
  const question = nextQuestion(kitchen);
  if (question === null || except.includes(question)) return null;
  if (question === 'budget')
    return (
      <div className={css.asked} data-screen-only role="group" aria-label="What may the kit cost?">
        <span>What may the kit cost?</span>
        <BudgetChoice {...{ kitchen, update }} />
      </div>
    );
  return (
    <p className={css.asked} data-screen-only>
      {ASKED[question].words} <a href={`/kitchens/${id}${ASKED[question].page}`}>Answer</a>
    </p>
  );
}
