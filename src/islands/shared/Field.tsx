import { NumberInput, SegmentedControl } from '@mantine/core';
import { useId, useState, type ReactNode } from 'react';
import css from './Questions.module.css';
import { useLengths } from './units';
import { DECIMAL } from './words';

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

/** A number between two bounds: taken over while it is one, put back when the field is left and it is not. */
export function Figure({
  label,
  value,
  bounds: [min, max],
  step = 1,
  disabled = false,
  unsaid,
  onChange,
}: {
  label: string;
  value: number | null;
  /** Least and most. */
  bounds: readonly [number, number];
  step?: number;
  disabled?: boolean;
  /** Where the number may be left unsaid: what holds then, and what to do when it is emptied. */
  unsaid?: { holds: string; onEmptied: () => void };
  onChange: (value: number) => void;
}) {
  const [typed, setTyped] = useState<string | number | null>(null);
  return (
    <NumberInput
      label={label}
      min={min}
      max={max}
      step={step}
      // what is out of bounds is put back, not bent into them
      clampBehavior="none"
      hideControls
      decimalSeparator={DECIMAL}
      allowDecimal={step % 1 !== 0}
      allowNegative={min < 0}
      disabled={disabled}
      {...(unsaid ? { placeholder: unsaid.holds } : {})}
      value={typed ?? value ?? ''}
      onBlur={() => setTyped(null)}
      onChange={(number) => {
        setTyped(number);
        if (number === '') unsaid?.onEmptied();
        if (typeof number === 'number' && number >= min && number <= max) onChange(number);
      }}
    />
  );
}

/** A length between two bounds, mm, shown and typed in the units chosen on this device. */
export function LengthFigure({
  label,
  value,
  bounds: [min, max],
  step = 1,
  onChange,
}: {
  label: string;
  value: number | null;
  /** Least and most. */
  bounds: readonly [number, number];
  /** Steps in millimetres. */
  step?: number;
  onChange: (mm: number) => void;
}) {
  const { units, unit, toMm, fromMm } = useLengths();
  if (units === 'mm') return <Figure {...{ value, step, onChange }} bounds={[min, max]} label={`${label}, ${unit}`} />;
  return (
    <Figure
      label={`${label}, ${unit}`}
      value={value === null ? null : fromMm(value)}
      bounds={[fromMm(min), fromMm(max)]}
      step={0.01}
      onChange={(typed) => {
        const mm = Math.round(toMm(typed) / step) * step;
        onChange(Number(Math.min(max, Math.max(min, mm)).toFixed(2)));
      }}
    />
  );
}
