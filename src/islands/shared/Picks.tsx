import { Radio } from '@mantine/core';
import type { ReactNode } from 'react';
import css from './Picks.module.css';

interface Props<T extends string> {
  label: string;
  hint?: string | undefined;
  value: T;
  options: readonly { value: T; name: string; about?: string; drawing?: ReactNode }[];
  onChange: (value: T) => void;
}

/** One of a few, each with a drawing or a line of explanation: a row of cards. */
export function Picks<T extends string>({ label, hint, value, options, onChange }: Props<T>) {
  return (
    <Radio.Group
      className={css.picks ?? ''}
      label={label}
      {...(hint === undefined ? {} : { description: hint, inputWrapperOrder: ['label', 'input', 'description'] })}
      value={value}
      onChange={(picked) => {
        const option = options.find((each) => each.value === picked);
        if (option) onChange(option.value);
      }}
    >
      <div className={css.row}>
        {options.map((option) => (
          <Radio.Card key={option.value} value={option.value} className={css.card ?? ''}>
            {option.drawing}
            <b>{option.name}</b>
            {option.about && <span>{option.about}</span>}
          </Radio.Card>
        ))}
      </div>
    </Radio.Group>
  );
}
