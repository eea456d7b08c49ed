import { NativeSelect, Switch } from '@mantine/core';
import { memo, useCallback, type ReactNode } from 'react';
import { asOptions } from '../shared/choices';
import { Choice, Field } from '../shared/Field';
import { Figure, LengthFigure } from '../shared/NumberField';
import { Picks } from '../shared/Picks';
import css from '../shared/Questions.module.css';
import { ToggleChip } from '../shared/ToggleChip';
import type { QuestionProps } from '../shared/useKitchen';
import { type Amount, type AnyOf, type OneOf, type QuestionId, QUESTIONS, type Truth } from './questions';

interface Props extends QuestionProps {
  of: QuestionId;
  /** Which cook is asked about. */
  cook?: number;
  /** Little room: tabs and lists in place of cards. */
  compact?: boolean;
  label?: string;
  hint?: string | undefined;
  /** Drawings of answers, and what is told of them beside their own words. */
  drawn?: ReadonlyMap<string, { drawing?: ReactNode; about?: string }>;
}

/** More answers than this do not fit into a row of tabs. */
const MOST_TABS = 4;

/** A question put in its own words; the answer changes the kitchen at once. Only a question whose answer has changed is drawn anew. */
export function Question({ of, kitchen, update, cook = 0, ...how }: Props) {
  const asked = QUESTIONS[of];
  const label = how.label ?? asked.label;
  switch (asked.kind) {
    case 'one':
      return <One {...{ asked, cook, update, ...how, label }} value={asked.value(kitchen, cook)} />;
    case 'number':
      return <HowMuch {...{ asked, cook, update, label }} value={asked.value(kitchen, cook)} />;
    case 'truth':
      return <Whether {...{ asked, cook, update, label }} value={asked.value(kitchen, cook)} />;
    case 'any':
      return <Several {...{ asked, label, kitchen, update }} />;
  }
}

interface AskedOf<Kind, Value> extends Pick<QuestionProps, 'update'> {
  asked: Kind;
  cook: number;
  label: string;
  value: Value;
}

const HowMuch = memo(function HowMuch({ asked, cook, update, label, value }: AskedOf<Amount, number | null>) {
  const Measure = asked.mm ? LengthFigure : Figure;
  return (
    <Measure
      {...{ label, value }}
      bounds={asked.bounds}
      whole={asked.whole}
      // emptied, it is a question not answered: what holds until then comes back
      unsaid={{ holds: asked.holds, onEmptied: () => update((file) => asked.answered(file, cook, undefined)) }}
      onChange={(said) => update((file) => asked.answered(file, cook, said))}
    />
  );
});

const Whether = memo(function Whether({ asked, cook, update, label, value }: AskedOf<Truth, boolean>) {
  return (
    <Switch
      label={label}
      checked={value}
      onChange={(e) => {
        const on = e.currentTarget.checked;
        update((file) => asked.answered(file, cook, on));
      }}
    />
  );
});

const One = memo(function One({
  asked,
  cook,
  update,
  label,
  hint,
  compact = false,
  drawn,
  value,
}: AskedOf<OneOf, string> & Pick<Props, 'hint' | 'compact' | 'drawn'>) {
  const { answers, tabs } = asked;
  const onChange = (said: string) => update((file) => asked.answered(file, cook, said));
  // a figure of one's own stands beside the usual ones
  const own = answers.some((answer) => answer.value === value) ? [] : [{ value, name: 'Yours' }];
  const options = asOptions([...answers, ...own]);
  if (tabs || (compact && answers.length <= MOST_TABS))
    return (
      <Choice {...{ label, hint, value, onChange, options: tabs && !compact ? labelled(answers, own) : options }} />
    );
  if (compact)
    return (
      <NativeSelect
        label={label}
        description={hint}
        value={value}
        data={options}
        onChange={(e) => onChange(e.currentTarget.value)}
      />
    );
  return (
    <Picks
      {...{ label, hint, value, onChange }}
      options={answers.map((answer) => ({ ...answer, ...drawn?.get(answer.value) }))}
    />
  );
});

/** Answers by their whole name. */
const labelled = (...lists: readonly OneOf['answers'][]) =>
  lists.flat().map(({ value, name }) => ({ value, label: name }));

function Several({ asked, label, kitchen, update }: QuestionProps & { asked: AnyOf; label: string }) {
  const chosen = asked.value(kitchen);
  const toggle = useCallback(
    (value: string, on: boolean) => update((file) => asked.answered(file, value, on)),
    [asked, update],
  );
  return (
    <Field label={label}>
      <div className={css.chips}>
        {asked.answers.map(({ value, name }) => (
          <ToggleChip key={value} {...{ value, name }} on={chosen.includes(value)} onToggle={toggle} />
        ))}
      </div>
    </Field>
  );
}
