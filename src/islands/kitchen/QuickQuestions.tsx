import { Button } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { cuisineNames } from '../../../data/names';
import { DEFAULTS } from '../../core/kitchen/defaults';
import { isAnswered } from '../../core/kitchen/nextQuestion';
import { cookChanged } from '../questions/questions';
import { HAND_SIZES, handOf, handSizeOf } from '../shared/choices';
import { ToggleChip } from '../shared/ToggleChip';
import type { QuestionProps } from '../shared/useKitchen';
import { BudgetChoice } from './BudgetChoice';
import { cuisineChosen } from './questions/cuisines';
import css from './QuickQuestions.module.css';

/** The questions that move a plan most. */
export const QUICK = ['cooking', 'hand', 'budget'] as const;

/** On a phone: the three questions that matter first, one row each, with the roll answering below; gone once they were answered before. */
export function QuickQuestions({ kitchen, update }: QuestionProps) {
  const [asks] = useState(() => QUICK.some((question) => !isAnswered(question, kitchen)));
  if (!asks) return null;
  const cuisines = kitchen.cooking?.cuisines ?? [];
  const hand = isAnswered('hand', kitchen)
    ? handSizeOf(kitchen.cooks?.[0]?.handLengthMm ?? DEFAULTS.handLengthMm)
    : null;
  return (
    <section className={css.quick} data-screen-only aria-label="The three questions that matter most">
      <Row name="What do you cook?">
        {[...cuisineNames].map(([id, name]) => (
          <ToggleChip
            key={id}
            value={id}
            name={name}
            on={cuisines.some((cuisine) => cuisine.id === id)}
            onToggle={(cuisine, on) => update(cuisineChosen(cuisine, on ? 1 : null))}
          />
        ))}
      </Row>
      <Row name="How big is your hand?">
        {HAND_SIZES.map(({ value, name, mm }) => (
          <Button
            key={value}
            size="compact-md"
            variant={hand === value ? 'filled' : 'default'}
            aria-pressed={hand === value}
            onClick={() => update((file) => cookChanged(file, 0, handOf(value)))}
          >
            {name}, {mm / 10} cm
          </Button>
        ))}
        <span className={css.hint}>from the wrist to the tip of the middle finger</span>
      </Row>
      <Row name="What can you spend?">
        <BudgetChoice {...{ kitchen, update }} />
      </Row>
    </section>
  );
}

const Row = ({ name, children }: { name: string; children: ReactNode }) => (
  <div role="group" aria-label={name} className={css.row}>
    <h2>{name}</h2>
    <div className={css.answers}>{children}</div>
  </div>
);
