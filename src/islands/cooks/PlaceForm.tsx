import { BOUNDS } from '../../core/formats/kitchenBounds';
import { Chip, Switch } from '@mantine/core';
import { FOODS_AVOIDED } from '../../core/cutting/words';
import { UPKEEP } from '../../core/constants';
import { DEFAULTS } from '../../core/kitchen/defaults';
import { CATALOGUE_CURRENCY, convertMinor, showMoney } from '../../core/money/currency';
import { Choice, Field, Figure, LengthFigure } from '../shared/Field';
import { BOARD_SIZES, SHARPENED_BY, WIPED } from '../shared/choices';
import { Picks } from '../shared/Picks';
import type { QuestionProps } from '../shared/useKitchen';
import css from './CooksView.module.css';
import { useLengths } from '../shared/units';

/** Drawing of a board: px for a millimetre. */
const BOARD_PX = 0.15;

function BoardPicture({ lengthMm, widthMm }: { lengthMm: number; widthMm: number }) {
  return (
    <svg width={92} height={62} viewBox="0 0 92 62" aria-hidden="true">
      <rect
        className={css.board}
        x={1}
        y={61 - widthMm * BOARD_PX}
        width={lengthMm * BOARD_PX}
        height={widthMm * BOARD_PX}
        rx={2}
      />
    </svg>
  );
}

/** The place: board, counter, storage, and how knives are treated. */
export function PlaceForm({ kitchen, update }: QuestionProps) {
  const { told } = useLengths();
  const board = { ...DEFAULTS.board, ...kitchen.board };
  const habits = { ...DEFAULTS.habits, ...kitchen.habits };
  const setBoard = (change: NonNullable<typeof kitchen.board>) =>
    update((k) => ({ ...k, board: { ...k.board, ...change } }));
  const setHabit = (change: NonNullable<typeof kitchen.habits>) =>
    update((k) => ({ ...k, habits: { ...k.habits, ...change } }));
  const currency = kitchen.currency ?? CATALOGUE_CURRENCY;
  const usualPrice = convertMinor(100 * UPKEEP.sharpeningEur.professional.value, CATALOGUE_CURRENCY, currency);
  const size = `${board.lengthMm}x${board.widthMm}`;
  return (
    <div className={css.form}>
      <Picks
        label="Board, to one scale"
        value={size}
        options={BOARD_SIZES.map(({ value, name, lengthMm, widthMm }) => ({
          value,
          name,
          about: told(`${lengthMm} × ${widthMm} mm`),
          drawing: <BoardPicture lengthMm={lengthMm} widthMm={widthMm} />,
        }))}
        onChange={(chosen) => {
          const size = BOARD_SIZES.find(({ value }) => value === chosen);
          if (size) setBoard({ lengthMm: size.lengthMm, widthMm: size.widthMm });
        }}
      />
      <div className={css.pair}>
        <LengthFigure
          label="Long side"
          bounds={BOUNDS.boardLengthMm}
          value={board.lengthMm}
          onChange={(lengthMm) => setBoard({ lengthMm })}
        />
        <LengthFigure
          label="Short side"
          bounds={BOUNDS.boardWidthMm}
          value={board.widthMm}
          onChange={(widthMm) => setBoard({ widthMm })}
        />
      </div>
      <Picks
        label="Material"
        value={board.material}
        options={[
          { value: 'wood', name: 'Wood', about: 'kind to edges' },
          { value: 'rubber', name: 'Rubber', about: 'kind to edges' },
          { value: 'plastic', name: 'Plastic', about: 'a little harder' },
          { value: 'bamboo', name: 'Bamboo', about: 'edges last a third less' },
          { value: 'glass', name: 'Glass', about: 'ruins every edge' },
          { value: 'stone', name: 'Stone', about: 'ruins every edge' },
        ]}
        onChange={(material) => setBoard({ material })}
      />
      <Choice
        label="Counter"
        value={board.counter}
        options={[
          { value: 'roomy', label: 'Roomy' },
          { value: 'cramped', label: 'Cramped' },
        ]}
        onChange={(counter) => setBoard({ counter })}
      />
      <Picks
        label="Knives are kept"
        value={habits.storage}
        options={[
          { value: 'block', name: 'In a block' },
          { value: 'strip', name: 'On a strip' },
          { value: 'tray', name: 'In a tray' },
          { value: 'roll', name: 'In a roll' },
          { value: 'guards', name: 'In guards' },
          { value: 'loose', name: 'Loose in a drawer', about: 'edges knock dull, fingers find them' },
        ]}
        onChange={(storage) => setHabit({ storage })}
      />
      <Picks label="They are wiped" value={habits.upkeep} options={WIPED} onChange={(upkeep) => setHabit({ upkeep })} />
      <Picks
        label="They are honed with"
        value={habits.honing}
        options={[
          { value: 'none', name: 'Nothing' },
          { value: 'steel', name: 'A steel', about: 'for soft edges only' },
          { value: 'ceramic', name: 'A ceramic rod', about: 'for hard edges too' },
          { value: 'strop', name: 'A strop', about: 'gentle, any edge' },
          { value: 'diamond', name: 'A diamond rod', about: 'grinds as much as it aligns' },
        ]}
        onChange={(honing) => setHabit({ honing })}
      />
      <Picks
        label="They are sharpened by"
        value={habits.sharpening}
        options={SHARPENED_BY}
        onChange={(sharpening) => setHabit({ sharpening })}
      />
      {(habits.sharpening === 'professional' || habits.sharpening === 'none') && (
        <div className={css.pair}>
          <Figure
            label="One sharpening costs"
            bounds={BOUNDS.money}
            step={0.01}
            value={habits.sharpeningPrice ?? null}
            unsaid={{
              holds: `usually ${showMoney(usualPrice, currency)}`,
              onEmptied: () => setHabit({ sharpeningPrice: undefined }),
            }}
            onChange={(sharpeningPrice) => setHabit({ sharpeningPrice })}
          />
          {habits.sharpening === 'professional' && (
            <Figure
              label="Times a year"
              bounds={BOUNDS.visitsPerYear}
              step={0.5}
              value={habits.visitsPerYear ?? null}
              unsaid={{ holds: 'when due, 2 to 4', onEmptied: () => setHabit({ visitsPerYear: undefined }) }}
              onChange={(visitsPerYear) => setHabit({ visitsPerYear })}
            />
          )}
        </div>
      )}
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
      <Field label="Never eaten here">
        <div className={css.chips}>
          {FOODS_AVOIDED.map((food) => (
            <Chip
              key={food}
              size="sm"
              checked={kitchen.avoids?.includes(food) ?? false}
              onChange={(on) =>
                update((k) => ({
                  ...k,
                  avoids: on ? [...(k.avoids ?? []), food] : (k.avoids ?? []).filter((f) => f !== food),
                }))
              }
            >
              {food.charAt(0).toUpperCase() + food.slice(1)}
            </Chip>
          ))}
        </div>
      </Field>
    </div>
  );
}
