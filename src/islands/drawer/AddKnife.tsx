import { Button, NativeSelect, Select } from '@mantine/core';
import { useForm } from '@mantine/form';
import type { Remote } from 'comlink';
import { useMemo } from 'react';
import { typeNames } from '../../../data/names';
import { typeBlurbs, usualLengths } from '../../../data/typeFacts';
import type { BladeModel } from '../../core/blade/schema';
import type { OwnedFile } from '../../core/formats/kitchenFile';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Choice } from '../shared/Field';
import { Picks } from '../shared/Picks';
import { useTypical } from '../shared/useTypical';
import { LengthSlider } from './LengthSlider';
import css from './DrawerView.module.css';

const types = [...typeNames].map(([value, label]) => ({ value, label }));
type Condition = NonNullable<OwnedFile['condition']>;
type Use = NonNullable<OwnedFile['use']>;
const CONDITIONS: { value: Condition; name: string; about: string }[] = [
  { value: 'keen', name: 'Keen', about: 'glides through paper' },
  { value: 'serviceable', name: 'Serviceable', about: 'cuts tomato skin with a little push' },
  { value: 'dull', name: 'Dull', about: 'slides off tomato skin, crushes onion' },
  { value: 'chipped', name: 'Chipped', about: 'catches, leaves bits uncut' },
  { value: 'worn-out', name: 'Worn out', about: 'thin, hollow or wobbly' },
];
const USES: { value: Use; label: string }[] = [
  { value: 'daily', label: 'Daily' },
  { value: 'weekly', label: 'Weekly' },
  { value: 'rarely', label: 'Rarely' },
  { value: 'never', label: 'Never' },
];

/** A knife as it is described: by its kind and length, or as a model. */
interface Described {
  type: string;
  model: string | null;
  lengthMm: number;
  condition: Condition;
  use: Use;
}
const BEGIN: Described = {
  type: 'chef',
  model: null,
  lengthMm: usualLengths.get('chef') ?? 200,
  condition: 'serviceable',
  use: 'weekly',
};

interface Props {
  worker: Remote<KitchenWorker>;
  models: BladeModel[];
  full: boolean;
  onAdd: (knife: OwnedFile) => void;
}

/** One owned knife added fast: its kind, its length on a drawn blade, its edge by a plain test, and how often it is used. */
export function AddKnife({ worker, models, full, onAdd }: Props) {
  const form = useForm<Described>({ initialValues: BEGIN });
  const { type, model, lengthMm, condition, use } = form.values;
  const set =
    <K extends keyof Described>(key: K) =>
    (value: Described[K]) =>
      form.setValues({ [key]: value });
  const typical = useTypical(worker, type, lengthMm);
  const chosen = models.find((m) => m.id === model) ?? null;
  const shown = chosen ?? typical;
  return (
    <form
      className={css.add}
      onSubmit={form.onSubmit(() =>
        onAdd(chosen ? { model: chosen.id, condition, use } : { type, lengthMm, condition, use }),
      )}
    >
      <WhatItIs
        type={type}
        chosen={chosen}
        models={models}
        onModel={set('model')}
        onType={(next) => form.setValues({ type: next, lengthMm: usualLengths.get(next) ?? 200 })}
      />
      <div className={css.drawn}>
        {shown && (
          <LengthSlider blade={shown} fixed={chosen !== null} lengthMm={shown.lengthMm} onChange={set('lengthMm')} />
        )}
      </div>
      <Picks
        label="Its edge: try paper, tomato skin, an onion"
        value={condition}
        options={CONDITIONS}
        onChange={set('condition')}
      />
      <Choice label="Used" value={use} options={USES} onChange={set('use')} />
      <Button type="submit" disabled={full}>
        Add to the drawer
      </Button>
    </form>
  );
}

interface WhatItIsProps {
  type: string;
  chosen: BladeModel | null;
  models: BladeModel[];
  onType: (type: string) => void;
  onModel: (model: string | null) => void;
}

/** Its kind, or the very model. */
function WhatItIs({ type, chosen, models, onType, onModel }: WhatItIsProps) {
  const options = useMemo(() => models.map((m) => ({ value: m.id, label: `${m.name}, ${m.maker}` })), [models]);
  return (
    <div className={css.pair}>
      <NativeSelect
        label="Kind of knife"
        description={typeBlurbs.get(chosen?.type ?? type)}
        value={chosen?.type ?? type}
        disabled={chosen !== null}
        data={types}
        onChange={(e) => onType(e.currentTarget.value)}
      />
      <Select
        label="Or a model of the catalogue"
        placeholder="search by name or maker"
        searchable
        clearable
        limit={30}
        nothingFoundMessage="No such model"
        data={options}
        value={chosen?.id ?? null}
        onChange={onModel}
      />
    </div>
  );
}
