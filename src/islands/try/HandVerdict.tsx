import { TextInput } from '@mantine/core';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { HandTestFile } from '../../core/formats/trialsFile';
import { CATALOGUE_CURRENCY } from '../../core/money/currency';
import type { HandCheck } from '../../core/trial/handCheck';
import { type Holder, readHandTest } from '../../core/trial/handTest';
import { MoneyFigure } from '../shared/NumberField';
import { VERDICTS } from './handTests';
import css from './HandView.module.css';

interface Props {
  kitchen: KitchenFile;
  test: HandTestFile;
  checks: readonly HandCheck[];
  holder: Holder;
  heading: React.RefObject<HTMLHeadingElement | null>;
  onChange: (test: HandTestFile) => void;
}

/** What holding a knife came to. */
export function HandVerdict({ kitchen, test, checks, holder, heading, onChange }: Props) {
  const { verdict, against, conditions, inFavour } = readHandTest(checks, test.answers, holder);
  return (
    <div className={css.verdict} data-verdict={verdict}>
      <h2 ref={heading} tabIndex={-1}>
        {VERDICTS[verdict]}
      </h2>
      {verdict === 'only-if' ? (
        <ul>
          {conditions.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      ) : (
        <p>{(verdict === 'good' ? inFavour : against).join('; ')}.</p>
      )}
      {verdict !== 'good' && inFavour.length > 0 && <p className="faded">In its favour: {inFavour.join('; ')}.</p>}
      <WhereAndWhen {...{ kitchen, test, onChange }} />
    </div>
  );
}

/** What a knife held changes in the plan; `changes` null while nothing is known of that yet. */
export function inThePlan({ model }: HandTestFile, changes: string[] | null): string {
  if (model === undefined)
    return 'Saved here to compare with others. The plan does not use it: add it under All knives if it should.';
  if (changes === null) return 'Working out what it changes in the plan…';
  return changes.length === 0 ? 'The plan stays as it was.' : `In the plan: ${changes.join('. ')}.`;
}

/** Where it was held, what was asked for it, and when. */
function WhereAndWhen({ kitchen, test, onChange }: Pick<Props, 'kitchen' | 'test' | 'onChange'>) {
  return (
    <div className={css.other}>
      <TextInput
        label="Where"
        placeholder="shop, or whose it is"
        maxLength={80}
        value={test.place ?? ''}
        onChange={(e) => {
          const place = e.currentTarget.value;
          onChange({ ...test, place: place.trim() ? place : undefined });
        }}
      />
      <MoneyFigure
        label="Price asked"
        currency={kitchen.currency ?? CATALOGUE_CURRENCY}
        value={test.asked ?? null}
        unsaid={{ holds: 'not asked', onEmptied: () => onChange({ ...test, asked: undefined }) }}
        onChange={(asked) => onChange({ ...test, asked })}
      />
      <TextInput
        type="date"
        label="On"
        value={test.on}
        onChange={(e) => {
          if (/^\d{4}-\d{2}-\d{2}$/.test(e.currentTarget.value)) onChange({ ...test, on: e.currentTarget.value });
        }}
      />
    </div>
  );
}
