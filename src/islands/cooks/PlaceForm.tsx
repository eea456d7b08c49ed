import { BOUNDS } from '../../core/formats/kitchenBounds';
import { PEOPLE, UPKEEP } from '../../core/constants';
import { DEFAULTS } from '../../core/kitchen/defaults';
import { CATALOGUE_CURRENCY, euroIn, showMoney } from '../../core/money/currency';
import { Question } from '../questions/Question';
import { Figure, MoneyFigure } from '../shared/NumberField';
import { BOARD_SIZES } from '../shared/choices';
import type { QuestionProps } from '../shared/useKitchen';
import css from './CooksView.module.css';
import questions from '../shared/Questions.module.css';
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
export function PlaceForm(asked: QuestionProps) {
  const { told } = useLengths();
  const boards = new Map(
    BOARD_SIZES.map(({ value, lengthMm, widthMm }) => [
      value as string,
      { about: told(`${lengthMm} × ${widthMm} mm`), drawing: <BoardPicture lengthMm={lengthMm} widthMm={widthMm} /> },
    ]),
  );
  return (
    <div className={css.form}>
      <AtOnce {...asked} />
      <Question of="boardSize" {...asked} label="Board, to one scale" drawn={boards} />
      <div className={css.pair}>
        <Question of="boardLengthMm" {...asked} />
        <Question of="boardWidthMm" {...asked} />
      </div>
      <Question of="material" {...asked} />
      <Question of="counter" {...asked} />
      <Question of="storage" {...asked} />
      <Question of="upkeep" {...asked} />
      <Question of="honing" {...asked} />
      <Question of="sharpening" {...asked} />
      <Sharpening {...asked} />
      <div className={css.switches}>
        <Question of="dishwasher" {...asked} />
        <Question of="roughUse" {...asked} />
        <Question of="bones" {...asked} />
      </div>
      <Question of="avoids" {...asked} />
    </div>
  );
}

/** How often own stones are got out at most, or what a professional takes and how often one is asked; left unsaid, the usual holds. */
function Sharpening({ kitchen, update }: QuestionProps) {
  const habits = { ...DEFAULTS.habits, ...kitchen.habits };
  const set = (change: NonNullable<typeof kitchen.habits>) =>
    update((k) => ({ ...k, habits: { ...k.habits, ...change } }));
  if (habits.sharpening === 'stones')
    return (
      <Figure
        label="I sharpen at most every … weeks"
        bounds={BOUNDS.sharpenAtMostEveryWeeks}
        step={0.5}
        value={habits.sharpenAtMostEveryWeeks ?? null}
        unsaid={{ holds: 'whenever due', onEmptied: () => set({ sharpenAtMostEveryWeeks: undefined }) }}
        onChange={(sharpenAtMostEveryWeeks) => set({ sharpenAtMostEveryWeeks })}
      />
    );
  if (habits.sharpening !== 'professional' && habits.sharpening !== 'none') return null;
  const currency = kitchen.currency ?? CATALOGUE_CURRENCY;
  const usual = euroIn(UPKEEP.sharpeningEur.professional.value, currency);
  return (
    <div className={css.pair}>
      <MoneyFigure
        label="One sharpening costs"
        currency={currency}
        value={habits.sharpeningPrice ?? null}
        unsaid={{
          holds: `usually ${showMoney(usual, currency)}`,
          onEmptied: () => set({ sharpeningPrice: undefined }),
        }}
        onChange={(sharpeningPrice) => set({ sharpeningPrice })}
      />
      {habits.sharpening === 'professional' && (
        <Figure
          label="Times a year"
          bounds={BOUNDS.visitsPerYear}
          step={0.5}
          value={habits.visitsPerYear ?? null}
          unsaid={{ holds: 'when due', onEmptied: () => set({ visitsPerYear: undefined }) }}
          onChange={(visitsPerYear) => set({ visitsPerYear })}
        />
      )}
    </div>
  );
}

/** How many cut at once, with what it changes once they are many. */
function AtOnce({ kitchen, update }: QuestionProps) {
  const atOnce = kitchen.cooksAtOnce ?? 1;
  return (
    <>
      <div className={css.pair}>
        <Figure
          label="How many cut at the same time"
          bounds={BOUNDS.cooksAtOnce}
          value={atOnce}
          onChange={(cooksAtOnce) => update((k) => ({ ...k, cooksAtOnce }))}
        />
      </div>
      {atOnce >= PEOPLE.inNumbersFrom.value && (
        <p className={questions.hint}>
          With so many at work a plan buys several of one knife. The most knives you allow are then kinds of knife, with
          as many of each as are wanted at once.
        </p>
      )}
    </>
  );
}
