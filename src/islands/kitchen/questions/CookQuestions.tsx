import { Chip } from '@mantine/core';
import type { Plan } from '../../../core/formats/planFile';
import { DEFAULTS } from '../../../core/kitchen/defaults';
import { Question } from '../../questions/Question';
import { cookChanged } from '../../questions/questions';
import { Field } from '../../shared/Field';
import css from '../../shared/Questions.module.css';
import type { QuestionProps } from '../../shared/useKitchen';
import { useLengths } from '../../shared/units';

const MOTIONS = [
  { id: 'rock', label: 'Rock' },
  { id: 'push', label: 'Push' },
  { id: 'pull', label: 'Pull' },
  { id: 'chop', label: 'Chop' },
] as const;

/** The first cook's hand and habits, and the board. Further cooks of a file are kept and counted. */
export default function CookQuestions({ length, ...answers }: QuestionProps & { length: Plan['lengthWanted'] | null }) {
  const { range, told } = useLengths();
  const asked = { ...answers, compact: true };
  const { lengthMm, widthMm, material } = { ...DEFAULTS.board, ...asked.kitchen.board };
  return (
    <>
      <Question
        of="handSize"
        {...asked}
        label="Your hand"
        hint={length ? `A general knife of ${range(length.fromMm, length.toMm)} would suit you.` : undefined}
      />
      <div className={css.pair}>
        <Question of="handLengthMm" {...asked} />
        <Question of="handed" {...asked} label="You cut with your" />
      </div>
      <Question of="experience" {...asked} />
      <Motions {...answers} />
      <Question of="boardSize" {...asked} label={told(`Board, ${lengthMm} × ${widthMm} mm`)} />
      <Question
        of="material"
        {...asked}
        hint={material === 'glass' || material === 'stone' ? 'This ruins every edge within days.' : undefined}
      />
      <Question of="upkeep" {...asked} />
      <Question of="sharpening" {...asked} />
      <div className={css.switches}>
        <Question of="dishwasher" {...asked} />
        <Question of="roughUse" {...asked} />
        <Question of="bones" {...asked} />
      </div>
      <Others {...answers} />
    </>
  );
}

/** Which motions the first cook makes at all; how much of each is asked on the page of the cooks. */
function Motions({ kitchen, update }: QuestionProps) {
  const motions = kitchen.cooks?.[0]?.motions ?? {};
  const isMade = (id: (typeof MOTIONS)[number]['id']) => (motions[id] ?? 0) > 0;
  const hint = MOTIONS.some(({ id }) => isMade(id)) ? undefined : 'Not sure yet, so no blade shape is preferred.';
  return (
    <Field label="How you cut" hint={hint}>
      <div className={css.chips}>
        {MOTIONS.map(({ id, label }) => (
          <Chip
            key={id}
            size="sm"
            checked={isMade(id)}
            onChange={(on) => update((k) => cookChanged(k, 0, { motions: { ...motions, [id]: on ? 1 : 0 } }))}
          >
            {label}
          </Chip>
        ))}
      </div>
    </Field>
  );
}

/** Says that further cooks are counted too. */
function Others({ kitchen: { cooks = [] } }: QuestionProps) {
  const [first, ...others] = cooks;
  if (others.length === 0) return null;
  return (
    <p className={css.hint}>
      The answers above are {first?.name ? `${first.name}’s` : 'the first cook’s'};{' '}
      <span className="figure">{others.length}</span> more{' '}
      {others.length === 1 ? 'cook of this kitchen is' : 'cooks of this kitchen are'} counted too.
    </p>
  );
}
