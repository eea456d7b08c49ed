import { BOUNDS } from '../../../core/formats/kitchenBounds';
import { Chip, NativeSelect, Switch } from '@mantine/core';
import type { CookFile } from '../../../core/formats/kitchenFile';
import { BOARD_MATERIALS } from '../../../core/formats/kitchenWords';
import type { Plan } from '../../../core/formats/planFile';
import { DEFAULTS } from '../../../core/kitchen/defaults';
import { Choice, Field, LengthFigure } from '../../shared/Field';
import { asOptions, BOARD_SIZES, HAND_SIZES, handOf, handSizeOf, PRACTICE, SHARPENED_BY } from '../../shared/choices';
import type { QuestionProps } from '../../shared/useKitchen';
import css from '../../shared/Questions.module.css';
import { useLengths } from '../../shared/units';

const MOTIONS = [
  { id: 'rock', label: 'Rock' },
  { id: 'push', label: 'Push' },
  { id: 'pull', label: 'Pull' },
  { id: 'chop', label: 'Chop' },
] as const;
/** The first cook's hand and habits, and the board. Further cooks of a file are kept and counted. */
export default function CookQuestions({
  kitchen,
  update,
  length,
}: QuestionProps & { length: Plan['lengthWanted'] | null }) {
  const { range, told } = useLengths();
  const cook: CookFile = kitchen.cooks?.[0] ?? {};
  const setCook = (change: CookFile) =>
    update((k) => {
      const [first = {}, ...others] = k.cooks ?? [];
      return { ...k, cooks: [{ ...first, ...change }, ...others] };
    });
  const board = { ...DEFAULTS.board, ...kitchen.board };
  const habits = { ...DEFAULTS.habits, ...kitchen.habits };
  const setHabit = (change: NonNullable<typeof kitchen.habits>) =>
    update((k) => ({ ...k, habits: { ...k.habits, ...change } }));
  const hand = cook.handLengthMm ?? DEFAULTS.handLengthMm;
  const motions = MOTIONS.filter(({ id }) => (cook.motions?.[id] ?? 0) > 0).map(({ id }) => id as string);
  const boardSize = `${board.lengthMm}x${board.widthMm}`;
  const boards = [
    ...asOptions(BOARD_SIZES),
    ...(BOARD_SIZES.some((b) => b.value === boardSize) ? [] : [{ value: boardSize, label: 'Yours' }]),
  ];
  const others = (kitchen.cooks?.length ?? 1) - 1;

  return (
    <>
      <Choice
        label="Your hand"
        hint={length ? `A general knife of ${range(length.fromMm, length.toMm)} would suit you.` : undefined}
        value={handSizeOf(hand)}
        options={HAND_SIZES.map(({ value, name }) => ({ value, label: name }))}
        onChange={(size) => setCook(handOf(size))}
      />
      <div className={css.pair}>
        <LengthFigure
          label="Wrist to fingertip"
          bounds={BOUNDS.handLengthMm}
          value={hand}
          onChange={(handLengthMm) => setCook({ handLengthMm })}
        />
        <Choice
          label="You cut with your"
          value={cook.handed ?? 'right'}
          options={[
            { value: 'right', label: 'Right' },
            { value: 'left', label: 'Left' },
          ]}
          onChange={(handed) => setCook({ handed })}
        />
      </div>
      <NativeSelect
        label="Practice"
        value={cook.experience ?? 'home'}
        data={asOptions(PRACTICE)}
        onChange={(e) => {
          const chosen = PRACTICE.find(({ value }) => value === e.currentTarget.value);
          if (chosen) setCook({ experience: chosen.value });
        }}
      />
      <Field
        label="How you cut"
        hint={motions.length === 0 ? 'None chosen: unsure, so no shape is favoured.' : undefined}
      >
        <div className={css.chips}>
          {MOTIONS.map(({ id, label }) => (
            <Chip
              key={id}
              size="sm"
              checked={motions.includes(id)}
              onChange={(on) => setCook({ motions: { ...cook.motions, [id]: on ? 1 : 0 } })}
            >
              {label}
            </Chip>
          ))}
        </div>
      </Field>
      <Choice
        label={told(`Board, ${board.lengthMm} × ${board.widthMm} mm`)}
        value={boardSize}
        options={boards}
        onChange={(size) => {
          const [lengthMm, widthMm] = size.split('x').map(Number);
          if (lengthMm && widthMm) update((k) => ({ ...k, board: { ...k.board, lengthMm, widthMm } }));
        }}
      />
      <NativeSelect
        label="Board material"
        description={
          board.material === 'glass' || board.material === 'stone' ? 'This ruins every edge within days.' : undefined
        }
        value={board.material}
        data={BOARD_MATERIALS.map((value) => ({ value, label: value.charAt(0).toUpperCase() + value.slice(1) }))}
        onChange={(e) => {
          const material = BOARD_MATERIALS.find((m) => m === e.currentTarget.value);
          if (material) update((k) => ({ ...k, board: { ...k.board, material } }));
        }}
      />
      <Choice
        label="Knives are wiped"
        value={habits.upkeep}
        options={[
          { value: 'leaves-wet', label: 'Left wet' },
          { value: 'wipes-after', label: 'After' },
          { value: 'wipes-during', label: 'During' },
        ]}
        onChange={(upkeep) => setHabit({ upkeep })}
      />
      <NativeSelect
        label="Who sharpens"
        value={habits.sharpening}
        data={asOptions(SHARPENED_BY)}
        onChange={(e) => {
          const chosen = SHARPENED_BY.find(({ value }) => value === e.currentTarget.value);
          if (chosen) setHabit({ sharpening: chosen.value });
        }}
      />
      <div className={css.switches}>
        <Switch
          label="They go in the dishwasher"
          checked={habits.dishwasher}
          onChange={(e) => setHabit({ dishwasher: e.currentTarget.checked })}
        />
        <Switch
          label="Shared, borrowed or dropped"
          checked={habits.roughUse}
          onChange={(e) => setHabit({ roughUse: e.currentTarget.checked })}
        />
        <Switch
          label="Bones are chopped here"
          checked={habits.bones}
          onChange={(e) => setHabit({ bones: e.currentTarget.checked })}
        />
      </div>
      {others > 0 && (
        <p className={css.hint}>
          The answers above are {cook.name ? `${cook.name}’s` : 'the first cook’s'};{' '}
          <span className="figure">{others}</span> more{' '}
          {others === 1 ? 'cook of this kitchen is' : 'cooks of this kitchen are'} counted too.
        </p>
      )}
    </>
  );
}
