import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useState } from 'react';
import { typeNames } from '../../../data/names';
import { BOUNDS } from '../../core/formats/kitchenBounds';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { HandTestFile } from '../../core/formats/trialsFile';
import { Figure } from '../shared/NumberField';
import { cookName } from '../shared/names';
import { Pick as PickKnife, type Choices } from './choices';
import css from './HandView.module.css';

/** A knife that is held: a model, or what its label says. */
type HeldKnife = Pick<HandTestFile, 'model' | 'label'>;

interface Props {
  kitchen: KitchenFile;
  choices: Choices;
  onStart: (knife: HeldKnife, cook: number) => void;
}

/** Which knife is held, and by whom: one of the plan, another of the catalogue, or what a label says. */
export function WhichKnife({ kitchen, choices, onStart }: Props) {
  const [cook, setCook] = useState(0);
  const cooks = kitchen.cooks?.length ?? 1;
  const start = (knife: HeldKnife) => onStart(knife, cook);
  return (
    <section className={css.which} aria-labelledby="which">
      <h2 id="which">Which knife is in the hand?</h2>
      {cooks > 1 && (
        <NativeSelect
          label="Whose hand"
          value={String(cook)}
          data={Array.from({ length: cooks }, (_, i) => ({ value: String(i), label: cookName(kitchen.cooks?.[i], i) }))}
          onChange={(e) => setCook(Number(e.currentTarget.value))}
        />
      )}
      {choices.planned.length > 0 && (
        <ul className={css.big}>
          {choices.planned.map(({ ref, name, blade }) => (
            <li key={ref}>
              <button type="button" onClick={() => start({ model: blade.id })}>
                <b>{name}</b>
                <span className="faded">
                  {blade.name}, {blade.maker}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <AnotherModel choices={choices} onStart={start} />
      <ByLabel onStart={start} />
    </section>
  );
}

interface Starting {
  onStart: (knife: HeldKnife) => void;
}

function AnotherModel({ choices, onStart }: Starting & { choices: Choices }) {
  const [model, setModel] = useState('');
  const chosen = choices.models.find(({ ref }) => ref === model);
  return (
    <div className={css.other}>
      <PickKnife
        label="Another of the catalogue"
        none="choose"
        choices={{ models: choices.models }}
        value={model}
        onPick={setModel}
      />
      <Button variant="default" disabled={!chosen} onClick={() => chosen && onStart({ model: chosen.ref })}>
        Hold it
      </Button>
    </div>
  );
}

function ByLabel({ onStart }: Starting) {
  const form = useForm({ initialValues: { name: '', type: 'chef', lengthMm: 200 } });
  const { name, lengthMm } = form.values;
  return (
    <form
      className={css.other}
      onSubmit={form.onSubmit((label) => {
        if (label.name.trim()) onStart({ label: { ...label, name: label.name.trim() } });
      })}
    >
      <TextInput
        label="Or what the shop’s label says"
        placeholder="name on the label"
        maxLength={80}
        {...form.getInputProps('name')}
      />
      <NativeSelect
        label="Kind"
        data={[...typeNames].map(([value, kind]) => ({ value, label: kind }))}
        {...form.getInputProps('type')}
      />
      <Figure
        label="Edge, mm"
        value={lengthMm}
        bounds={BOUNDS.edgeLengthMm}
        onChange={(mm) => form.setFieldValue('lengthMm', mm)}
      />
      <Button type="submit" variant="default" disabled={!name.trim()}>
        Hold it
      </Button>
    </form>
  );
}
