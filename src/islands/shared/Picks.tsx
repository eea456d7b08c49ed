import { useId, type ReactNode } from 'react';
import css from './Picks.module.css';

/** One of a few, each with a drawing or a line of explanation: a row of cards with a radio button in each. */
export function Picks<T extends string>({
  label,
  hint,
  value,
  options,
  onChange,
}: {
  label: string;
  hint?: string | undefined;
  value: T;
  options: readonly { value: T; name: string; about?: string; drawing?: ReactNode }[];
  onChange: (value: T) => void;
}) {
  const id = useId();
  return (
    <fieldset className={css.picks}>
      <legend>{label}</legend>
      <div className={css.row}>
        {options.map((option) => (
          <label key={option.value} data-on={option.value === value || undefined}>
            <input
              type="radio"
              name={id}
              className="visually-hidden"
              checked={option.value === value}
              onChange={() => onChange(option.value)}
            />
            {option.drawing}
            <b>{option.name}</b>
            {option.about && <span>{option.about}</span>}
          </label>
        ))}
      </div>
      {hint && <p className={css.hint}>{hint}</p>}
    </fieldset>
  );
}
