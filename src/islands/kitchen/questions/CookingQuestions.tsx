import { BOUNDS } from '../../../core/formats/kitchenBounds';
import { Chip, SegmentedControl } from '@mantine/core';
import { cuisineNames } from '../../../../data/names';
import { Question } from '../../questions/Question';
import { Field, Figure } from '../../shared/Field';
import type { QuestionProps } from '../../shared/useKitchen';
import css from '../../shared/Questions.module.css';

const OFTEN = [
  { share: 1, label: 'some' },
  { share: 2, label: 'often' },
  { share: 4, label: 'mostly' },
];
const nearest = (share: number) =>
  OFTEN.reduce((best, each) => (Math.abs(each.share - share) < Math.abs(best.share - share) ? each : best)).share;

/** What is cooked, how often, and what is never eaten. `alone`: the dishes and tasks named one by one are on another page. */
export default function CookingQuestions({ kitchen, update, alone = true }: QuestionProps & { alone?: boolean }) {
  const cooking = kitchen.cooking ?? {};
  const cuisines = cooking.cuisines ?? [];
  const asked = { kitchen, update };
  const setShare = (id: string, share: number | null) =>
    update((k) => {
      const now = k.cooking?.cuisines ?? [];
      const rest = now.filter((c) => c.id !== id);
      const next =
        share === null
          ? rest
          : now.some((c) => c.id === id)
            ? now.map((c) => (c.id === id ? { id, share } : c))
            : [...now, { id, share }];
      return { ...k, cooking: { ...k.cooking, cuisines: next } };
    });
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
          {[...cuisineNames].map(([id, name]) => {
            const chosen = cuisines.some((c) => c.id === id);
            return (
              <Chip key={id} size="sm" checked={chosen} onChange={(on) => setShare(id, on ? 1 : null)}>
                {name}
              </Chip>
            );
          })}
        </div>
      </Field>
      {cuisines.length > 1 && <Shares cuisines={cuisines} onShare={setShare} />}
      <div className={css.pair}>
        <Question of="mealsPerWeek" {...asked} />
        <Question of="portions" {...asked} />
      </div>
      <Guests {...asked} />
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

type Cuisines = NonNullable<NonNullable<QuestionProps['kitchen']['cooking']>['cuisines']>;

/** How much of each cuisine there is against the others. */
function Shares({ cuisines, onShare }: { cuisines: Cuisines; onShare: (id: string, share: number) => void }) {
  return (
    <Field label="How much of each">
      {cuisines.map(({ id, share = 1 }) => {
        const name = cuisineNames.get(id) ?? id;
        return (
          <div key={id} className={css.share}>
            <span>{name}</span>
            <SegmentedControl
              size="xs"
              aria-label={`How much ${name}`}
              value={String(nearest(share))}
              data={OFTEN.map((each) => ({ value: String(each.share), label: each.label }))}
              onChange={(value) => onShare(id, Number(value))}
            />
          </div>
        );
      })}
    </Field>
  );
}

/** Guests besides those at table every day. */
function Guests({ kitchen, update }: QuestionProps) {
  const guests = kitchen.cooking?.guests;
  const setCooking = (change: Pick<NonNullable<typeof kitchen.cooking>, 'guests'>) =>
    update((k) => ({ ...k, cooking: { ...k.cooking, ...change } }));
  return (
    <div className={css.pair}>
      <Figure
        label="Guests at table"
        bounds={BOUNDS.guests}
        value={guests?.portions ?? 0}
        onChange={(portions) =>
          setCooking({ guests: portions > 0 ? { times: 1, per: 'month', ...guests, portions } : undefined })
        }
      />
      {guests && (
        <Figure
          label="Times a month"
          bounds={[0, 31]}
          step={0.5}
          value={guests.per === 'month' ? guests.times : null}
          onChange={(times) => setCooking({ guests: { portions: guests?.portions ?? 0, times, per: 'month' } })}
        />
      )}
    </div>
  );
}
