import { useState } from 'react';
import type { Plan } from '../../../core/formats/planFile';
import { Section } from '../../shared/Section';
import { lazily } from '../../shared/lazily';
import type { QuestionProps } from '../../shared/useKitchen';
import { cookingSaid, cookSaid, drawerSaid, isNew, moneySaid } from './said';

const ONE_MOMENT = <p className="faded">One moment…</p>;

// the fields of a part come when it is unfolded
const CookQuestions = lazily(() => import('./CookQuestions'), ONE_MOMENT);
const CookingQuestions = lazily(() => import('./CookingQuestions'), ONE_MOMENT);
const DrawerQuestions = lazily(() => import('./DrawerQuestions'), ONE_MOMENT);
const MoneyQuestions = lazily(() => import('./MoneyQuestions'), ONE_MOMENT);

/**
 * The questions, in the order of the work: what is cooked, who cuts on what, what there is to spend; and what is there already. Each part folds
 * into what it has been told; a kitchen that has said nothing yet begins with the first three open, unless all begin `folded`.
 */
export function Questions({
  kitchen,
  update,
  length,
  point,
  lists,
  folded = false,
}: QuestionProps & {
  length: Plan['lengthWanted'] | null;
  point: Plan['worth'] | null;
  lists: readonly string[];
  folded?: boolean;
}) {
  const [open] = useState(() => !folded && isNew(kitchen));
  const asked = { kitchen, update };
  const parts = [
    { title: 'What you cook', said: cookingSaid, open, fields: <CookingQuestions {...asked} /> },
    { title: 'You and your board', said: cookSaid, open, fields: <CookQuestions {...asked} length={length} /> },
    { title: 'What you can spend', said: moneySaid, open, fields: <MoneyQuestions {...asked} {...{ point, lists }} /> },
    { title: 'Already in the drawer', said: drawerSaid, open: false, fields: <DrawerQuestions {...asked} /> },
  ];
  return (
    <form onSubmit={(e) => e.preventDefault()} autoComplete="off">
      {parts.map(({ title, said, open: begins, fields }) => (
        <Section key={title} title={title} fold={{ said: said(kitchen), open: begins }}>
          {fields}
        </Section>
      ))}
    </form>
  );
}
