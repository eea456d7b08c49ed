import type { Plan } from '../../../core/formats/planFile';
import type { QuestionProps } from '../../shared/useKitchen';
import { CookQuestions } from './CookQuestions';
import { CookingQuestions } from './CookingQuestions';
import { DrawerQuestions } from './DrawerQuestions';
import { MoneyQuestions } from './MoneyQuestions';

/** The questions, in the order of the work: what is cooked, who cuts on what, what there is to spend; and what is there already. */
export function Questions({
  kitchen,
  update,
  length,
  point,
}: QuestionProps & { length: Plan['lengthWanted'] | null; point: Plan['worth'] | null }) {
  return (
    <form onSubmit={(e) => e.preventDefault()} autoComplete="off">
      <CookingQuestions kitchen={kitchen} update={update} />
      <CookQuestions kitchen={kitchen} update={update} length={length} />
      <MoneyQuestions kitchen={kitchen} update={update} point={point} />
      <DrawerQuestions kitchen={kitchen} update={update} />
    </form>
  );
}
