import { SegmentedControl } from '@mantine/core';
import { useId, type ReactNode } from 'react';
import css from './Questions.module.css';

/** A question with its answer below it. */
export function Field({ label, hint, children }: { label: string; hint?: string | undefined; children: ReactNode }) {
  return (
    <fieldset className={css.field}>
      <legend className={css.label}>{label}</legend>
      {children}
      {hint && <p className={css.hint}>{hint}</p>}
    </fieldset>
  );
}

/** One of a few: a row of tabs. */
export function Choice<T extends string>({
  label,
  hint,
  value,
  options,
  onChange,
}: {
  label: string;
  hint?: string | undefined;
  value: T;
  options: { value: T; label: string }[];
  onChange: (value: T) => void;
}) {
  const id = useId();
  return (
    <Field label={label} hint={hint}>
      <SegmentedControl
        fullWidth
        size="sm"
        name={id}
        aria-label={label}
        value={value}
        data={options}
        onChange={(chosen) => {
          const option = options.find((o) => o.value === chosen);
          if (option) onChange(option.value);
        }}
      />
    </Field>
  );
}
