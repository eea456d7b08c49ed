import { BOUNDS } from '../../../core/formats/kitchenBounds';
import { Radio } from '@mantine/core';
import { memo, useCallback } from 'react';
import { cuisineNames } from '../../../../data/names';
import type { KitchenFile } from '../../../core/formats/kitchenFile';
import { Question } from '../../questions/Question';
import { cuisineChosen } from './cuisines';
import { Field } from '../../shared/Field';
import { Figure } from '../../shared/NumberField';
import { ToggleChip } from '../../shared/ToggleChip';
import type { QuestionProps } from '../../shared/useKitchen';
import css from '../../shared/Questions.module.css';

const OFTEN = [
  { value: '1', label: 'some' },
  { value: '2', label: 'often' },
  { value: '4', label: 'mostly' },
];
const nearest = (share: number) => (share >= 3 ? 4 : share >= 1.5 ? 2 : 1);

/** What is cooked, how often, and what is never eaten. `alone`: the dishes and tasks named one by one are on another page. */
export default function CookingQuestions({ kitchen, update, alone = true }: QuestionProps & { alone?: boolean }) {
  const cooking = kitchen.cooking ?? {};
  const cuisines = cooking.cuisines ?? [];
  const asked = { kitchen, update };
  const setShare = useCallback((id: string, share: number) => update(cuisineChosen(id, share)), [update]);
  const choose = useCallback((id: string, on: boolean) => update(cuisineChosen(id, on ? 1 : null)), [update]);
  const more = (cooking.dishes?.length ?? 0) + (cooking.tasks?.length ?? 0);

  return (
    <>
      <Field
        label="Cuisines"
        hint={
          cuisines.length === 0 && more === 0 ? 'Until you choose, everyday Western cooking is assumed.' : undefined
        }
      >
        <div className={css.chips}>
          {[...cuisineNames].map(([id, name]) => (
            <ToggleChip key={id} value={id} name={name} on={cuisines.some((c) => c.id === id)} onToggle={choose} />
          ))}
        </div>
      </Field>
      {cuisines.length > 1 && <Shares cuisines={cuisines} onShare={setShare} />}
      <div className={css.pair}>
        <Question of="mealsPerWeek" {...asked} />
        <Question of="portions" {...asked} />
      </div>
      <Guests guests={cooking.guests} update={update} />
      <Question of="avoids" {...asked} />
      {alone && more > 0 && (
        <p className={css.hint}>
          This kitchen also names <span className="figure">{more}</span> more{' '}
          {more === 1 ? 'dish or task, which counts' : 'dishes or tasks, which count'} too.
        </p>
      )}
    </>
  );
}

type Cuisines = NonNullable<Cooking['cuisines']>;

interface ShareProps {
  onShare: (id: string, share: number) => void;
}

/** How much of each cuisine there is against the others. */
function Shares({ cuisines, onShare }: ShareProps & { cuisines: Cuisines }) {
  return (
    <Field label="How much of each">
      {cuisines.map(({ id, share = 1 }) => (
        <Share key={id} {...{ id, share, onShare }} />
      ))}
    </Field>
  );
}

const Share = memo(function Share({ id, share, onShare }: ShareProps & { id: string; share: number }) {
  const name = cuisineNames.get(id) ?? id;
  return (
    <div className={css.share}>
      <span>{name}</span>
      <Radio.Group
        aria-label={`How much ${name}`}
        value={String(nearest(share))}
        onChange={(value) => onShare(id, Number(value))}
      >
        <div className={css.often}>
          {OFTEN.map(({ value, label }) => (
            <Radio.Card key={value} value={value}>
              {label}
            </Radio.Card>
          ))}
        </div>
      </Radio.Group>
    </div>
  );
});

type Cooking = NonNullable<KitchenFile['cooking']>;

/** Guests besides those at table every day. */
const Guests = memo(function Guests({ guests, update }: Pick<Cooking, 'guests'> & Pick<QuestionProps, 'update'>) {
  const setGuests = (said: Cooking['guests']) => update((k) => ({ ...k, cooking: { ...k.cooking, guests: said } }));
  return (
    <div className={css.pair}>
      <Figure
        label="Guests at table"
        bounds={BOUNDS.guests}
        value={guests?.portions ?? 0}
        onChange={(portions) => setGuests(portions > 0 ? { times: 1, per: 'month', ...guests, portions } : undefined)}
      />
      {guests && (
        <Figure
          label="Times a month"
          bounds={[0, 31]}
          step={0.5}
          value={guests.per === 'month' ? guests.times : null}
          onChange={(times) => setGuests({ portions: guests.portions, times, per: 'month' })}
        />
      )}
    </div>
  );
});
