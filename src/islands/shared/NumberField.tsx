import { Button, TextInput } from '@mantine/core';
import { useEffect, useEffectEvent, useState, type KeyboardEvent, type ReactNode } from 'react';
import { BOUNDS } from '../../core/formats/kitchenBounds';
import { fromMinor, minorDigits, toMinor } from '../../core/money/currency';
import { numberTyped } from '../../core/text/numberTyped';
import css from './Questions.module.css';
import { useLengths } from './units';
import { DECIMAL, writtenNumber } from './words';

interface Props {
  label: string;
  value: number | null;
  /** Least and most. */
  bounds: readonly [number, number];
  /** What the arrow keys add. */
  step?: number;
  /** Whether only whole numbers are taken; where it is not said, they are if the step is whole. */
  whole?: boolean;
  disabled?: boolean;
  /** Where the number may be left out: what holds then, and what to do when it is emptied. */
  unsaid?: { holds: string; onEmptied: () => void };
  /** What is wrong with the number that is in force. */
  error?: ReactNode;
  onChange: (value: number) => void;
}

/** What is in the field while it differs from its number: until it is left, and after that while it is no number that can be taken. */
interface Draft {
  text: string;
  /** The number in force when typing began: another one since then replaces what was typed. */
  over: number | null;
  left: boolean;
}

type Drafted = Required<Pick<Props, 'value' | 'bounds' | 'whole' | 'onChange'>> & Pick<Props, 'unsaid'>;

/** What is being typed over a number, and how it is taken over or given up. */
function useDraft({ value, bounds, whole, unsaid, onChange }: Drafted) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const open = draft?.over === value ? draft : null;
  const typed = open ? numberTyped(open.text, { decimal: DECIMAL, whole, bounds }) : null;
  const canBeTaken =
    typed?.said === 'number' &&
    typed.value >= bounds[0] &&
    typed.value <= bounds[1] &&
    (!whole || Number.isInteger(typed.value));
  const write = (text: string) => setDraft({ text, over: value, left: open?.left ?? false });
  const giveUp = () => setDraft(null);
  const take = (number: number) => {
    giveUp();
    if (number !== value) onChange(number);
  };
  const leave = () => {
    if (!open || !typed) return;
    if (canBeTaken) take(typed.value);
    else if (typed.said === 'nothing') {
      giveUp();
      if (value !== null) unsaid?.onEmptied();
    } else setDraft({ ...open, left: true });
  };
  const leavePage = useEffectEvent(leave);
  useEffect(() => {
    window.addEventListener('pagehide', leavePage);
    return () => window.removeEventListener('pagehide', leavePage);
  }, []);
  const refused = open?.left === true && !canBeTaken && typed?.said !== 'nothing';
  return { text: open?.text ?? null, typed, refused, write, take, leave, giveUp };
}

/**
 * A number between two bounds. Nothing is taken over while it is being typed, only when the field is left or Enter is pressed; what cannot be taken over
 * stays in the field with the reason below it, and Escape brings back the number in force.
 */
export function Figure({ step = 1, whole = step % 1 === 0, disabled = false, error, ...asked }: Props) {
  const { label, value, bounds, unsaid } = asked;
  const { text, typed, refused, write, take, leave, giveUp } = useDraft({ ...asked, whole });
  const onKeyDown = (e: KeyboardEvent) => {
    const towards = { ArrowUp: step, ArrowDown: -step }[e.key];
    if (towards !== undefined && (!typed || typed.said === 'number')) {
      const next = Number(((typed?.value ?? value ?? bounds[0]) + towards).toFixed(6));
      e.preventDefault();
      write(writtenNumber(Math.min(bounds[1], Math.max(bounds[0], next))));
    }
    if (text === null) return;
    if (e.key === 'Enter') {
      // the form it stands in is sent with the next press, once this number is in it
      e.preventDefault();
      leave();
    }
    if (e.key === 'Escape') {
      e.stopPropagation();
      giveUp();
    }
  };
  return (
    <TextInput
      label={label}
      inputMode={whole && bounds[0] >= 0 ? 'numeric' : 'decimal'}
      autoComplete="off"
      disabled={disabled}
      placeholder={unsaid?.holds}
      value={text ?? (value === null ? '' : writtenNumber(value))}
      error={refused ? <Refused {...{ typed, bounds, whole, value, take }} /> : error}
      onChange={(e) => write(e.currentTarget.value)}
      onKeyDown={onKeyDown}
      onBlur={leave}
    />
  );
}

/** Why what was typed is not taken over, and what would be. */
function Refused({
  typed,
  bounds,
  whole,
  value,
  take,
}: Pick<Props, 'bounds' | 'value'> & {
  typed: ReturnType<typeof numberTyped> | null;
  whole: boolean;
  take: (number: number) => void;
}) {
  const stays = value === null ? '' : ` ${writtenNumber(value)} stays until then.`;
  if (typed?.said === 'either')
    return (
      <span className={css.which}>
        Which one?
        {typed.values.map((number) => (
          <Button key={number} size="compact-sm" variant="default" onClick={() => take(number)}>
            {writtenNumber(number, true)}
          </Button>
        ))}
      </span>
    );
  const [least, most] = bounds.map((bound) => writtenNumber(bound, true));
  const what = typed?.said === 'else' ? 'Type a number' : whole ? 'Type a whole number' : 'Type a number';
  return (
    <>
      {what} from {least} to {most}.{stays}
    </>
  );
}

/** An amount of money, to the smallest coin of its currency. */
export function MoneyFigure({
  label,
  currency,
  onChange,
  ...rest
}: Omit<Props, 'bounds' | 'step'> & { currency: string }) {
  return (
    <Figure
      {...rest}
      label={`${label}, ${currency}`}
      bounds={BOUNDS.money}
      step={1}
      whole={minorDigits(currency) === 0}
      onChange={(amount) => onChange(fromMinor(toMinor(amount, currency), currency))}
    />
  );
}

/** A length between two bounds, mm, shown and typed in the units chosen on this device. */
export function LengthFigure({ label, value, bounds: [min, max], step = 1, onChange, ...rest }: Props) {
  const { units, unit, toMm, fromMm } = useLengths();
  const name = `${label}, ${unit}`;
  if (units === 'mm')
    return <Figure {...{ value, step, onChange, ...rest }} whole={false} bounds={[min, max]} label={name} />;
  return (
    <Figure
      {...rest}
      label={name}
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
