import { NativeSelect } from '@mantine/core';
import { typeNames } from '../../../data/names';
import { typeBlurbs } from '../../../data/typeFacts';
import { BLADE_BOUNDS } from '../../core/blade/bounds';
import { BEVELS, HANDED, STEEL_IDS } from '../../core/blade/words';
import type { Label } from '../../core/kit/label/label';
import { FIGURE_WORDS } from '../../core/formats/figures';
import { upperFirst } from '../../core/text/case';
import { Figure, LengthFigure, MoneyFigure } from '../shared/NumberField';
import css from './Shop.module.css';

/** Figures beside length and price that a label may tell, with the steps of their fields. */
const FIGURES = [
  ['heelHeightMm', 1],
  ['weightG', 5],
  ['hrc', 0.5],
  ['spineHeelMm', 0.1],
  ['edgeAngleDeg', 0.5],
] as const;

const types = [...typeNames].map(([value, label]) => ({ value, label }));
const NOT_SAID = { value: '', label: 'not said' };
const WORDS = [
  ['steel', 'Steel', STEEL_IDS.map((value) => ({ value, label: upperFirst(value.replace(/-/g, ' ')) }))],
  ['bevel', 'Bevel', BEVELS.map((value) => ({ value, label: upperFirst(value) }))],
  [
    'handed',
    'Ground for',
    HANDED.map((value) => ({ value, label: value === 'either' ? 'Either hand' : `The ${value} hand` })),
  ],
] as const;

interface Props {
  label: Label;
  /** What stands on the label and can be read in two ways. */
  asks: readonly (keyof Label)[];
  currency: string;
  onChange: (answer: Partial<Label>) => void;
}

/** What is known of a knife in a shop, figure by figure: as its label was read, and as it is put right here. */
export function LabelFields({ label, asks, currency, onChange }: Props) {
  const ask = (key: keyof Label) =>
    asks.includes(key) && label[key] === null ? 'The label leaves this open: choose.' : undefined;
  return (
    <>
      <NativeSelect
        label="Kind"
        description={label.type === null ? undefined : typeBlurbs.get(label.type)}
        value={label.type ?? ''}
        data={types}
        onChange={(e) => onChange({ type: e.currentTarget.value })}
      />
      <div className={css.pair}>
        <LengthFigure
          label="Edge length"
          bounds={BLADE_BOUNDS.lengthMm}
          value={label.lengthMm}
          error={ask('lengthMm')}
          onChange={(lengthMm) => onChange({ lengthMm })}
        />
        <MoneyFigure
          label="Price"
          currency={label.currency ?? currency}
          value={label.price}
          error={ask('price')}
          unsaid={{ holds: 'not said', onEmptied: () => onChange({ price: null }) }}
          onChange={(price) => onChange({ price })}
        />
      </div>
      <MoreFigures {...{ label, onChange }} ask={ask} />
    </>
  );
}

function MoreFigures({
  label,
  ask,
  onChange,
}: Pick<Props, 'label' | 'onChange'> & { ask: (key: keyof Label) => string | undefined }) {
  // what was read or is asked is seen at once
  const isTold = [...FIGURES, ...WORDS].some(([key]) => label[key] !== null || ask(key) !== undefined);
  return (
    <details className={css.more} open={isTold || undefined}>
      <summary>Height, weight, steel and more</summary>
      <div className={css.figuresAsked}>
        {FIGURES.map(([key, step]) => {
          const Measure = key.endsWith('Mm') ? LengthFigure : Figure;
          const { name, unit } = FIGURE_WORDS[key];
          return (
            <Measure
              key={key}
              step={step}
              label={upperFirst(key.endsWith('Mm') ? name : `${name},${unit.replace('°', ' °')}`)}
              bounds={BLADE_BOUNDS[key]}
              value={label[key]}
              error={ask(key)}
              unsaid={{ holds: 'not said', onEmptied: () => onChange({ [key]: null }) }}
              onChange={(value) => onChange({ [key]: value })}
            />
          );
        })}
        {WORDS.map(([key, name, answers]) => (
          <NativeSelect
            key={key}
            label={name}
            value={label[key] ?? ''}
            data={[NOT_SAID, ...answers]}
            error={ask(key)}
            onChange={(e) => onChange({ [key]: e.currentTarget.value || null })}
          />
        ))}
      </div>
    </details>
  );
}
