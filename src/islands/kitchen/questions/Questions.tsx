import { useState } from 'react';
import type { Plan } from '../../../core/formats/planFile';
import type { QuestionProps } from '../../shared/useKitchen';
import { CookQuestions } from './CookQuestions';
import { CookingQuestions } from './CookingQuestions';
import { DrawerQuestions } from './DrawerQuestions';
import { MoneyQuestions } from './MoneyQuestions';
import { cookingSaid, cookSaid, drawerSaid, isNew, moneySaid } from './said';

/**
 * The questions, in the order of the work: what is cooked, who cuts on what, what there is to spend; and what is there already. Each part folds
 * into what it has been told; a kitchen that has said nothing yet begins with the first three open.
 */
export function Questions({
  kitchen,
  update,
  length,
  point,
}: QuestionProps & { length: Plan['lengthWanted'] | null; point: Plan['worth'] | null }) {
  const [open] = useState(() => isNew(kitchen));
  const asked = { kitchen, update };
  return (
    <form onSubmit={(e) => e.preventDefault()} autoComplete="off">
      <CookingQuestions {...asked} fold={{ said: cookingSaid(kitchen), open }} />
      <CookQuestions {...asked} length={length} fold={{ said: cookSaid(kitchen), open }} />
      <MoneyQuestions {...asked} point={point} fold={{ said: moneySaid(kitchen), open }} />
      <DrawerQuestions {...asked} fold={{ said: drawerSaid(kitchen), open: false }} />
    </form>
  );
}
