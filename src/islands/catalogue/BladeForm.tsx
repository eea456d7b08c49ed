import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useForm, type UseFormReturnType } from '@mantine/form';
import { useState } from 'react';
import { reference } from '../../../data/reference';
import { BLADE_BOUNDS } from '../../core/blade/bounds';
import { bladeModelSchema, type BladeModel } from '../../core/blade/schema';
import { BEVELS, HANDED, HANDLE_STYLES, SERRATIONS, STEEL_IDS, SURFACES, TIPS } from '../../core/blade/words';
import { faultsOf } from '../../core/formats/faults';
import { typicalBlade } from '../../core/kit/candidates/typicalBlade';
import { CATALOGUE_CURRENCY, fromMinor, toMinor } from '../../core/money/currency';
import { BoardView, SectionView, SideView } from '../blade/Drawings';
import { Figure, LengthFigure } from '../shared/NumberField';
import { idFor } from '../shared/ownModel';
import css from './BladeForm.module.css';

const FIRST_TYPE = 'gyuto';

/** The figures that are asked for, with their unit and step. */
const FIGURES = [
  { key: 'lengthMm', label: 'Edge', step: 1 },
  { key: 'heelHeightMm', label: 'Heel height', step: 1 },
  { key: 'spineHeelMm', label: 'Spine at heel', step: 0.1 },
  { key: 'spineMidMm', label: 'Spine in the middle', step: 0.1 },
  { key: 'spineTipMm', label: 'Spine at tip', step: 0.1 },
  { key: 'flatShare', label: 'Flat share, 0–1', step: 0.05 },
  { key: 'bellyMm', label: 'Belly', step: 1 },
  { key: 'behindEdgeMm', label: 'Behind the edge', step: 0.05 },
  { key: 'edgeAngleDeg', label: 'Edge angle, ° a side', step: 0.5 },
  { key: 'weightG', label: 'Weight, g', step: 5 },
  { key: 'hrc', label: 'Hardness, HRC', step: 0.5 },
  { key: 'flex', label: 'Flex, 0–1', step: 0.1 },
  { key: 'balanceMm', label: 'Balance from heel', step: 1 },
  { key: 'handleLengthMm', label: 'Handle length', step: 1 },
  { key: 'handleHeightMm', label: 'Handle height', step: 0.5 },
  { key: 'handleThicknessMm', label: 'Handle thickness', step: 0.5 },
  { key: 'handleOffsetMm', label: 'Handle raised by', step: 1 },
] as const satisfies { key: keyof BladeModel; label: string; step: number }[];

const PRICE_EUR = [0, fromMinor(BLADE_BOUNDS.priceMinor[1], CATALOGUE_CURRENCY)] as const;

const WORDS = [
  { key: 'tip', label: 'Tip', values: TIPS },
  { key: 'bevel', label: 'Bevel', values: BEVELS },
  { key: 'handed', label: 'Ground for', values: HANDED },
  { key: 'serration', label: 'Teeth', values: SERRATIONS },
  { key: 'steel', label: 'Steel', values: STEEL_IDS },
  { key: 'surface', label: 'Sides', values: SURFACES },
  { key: 'handleStyle', label: 'Handle', values: HANDLE_STYLES },
  { key: 'handleHanded', label: 'Handle shaped for', values: HANDED },
] as const satisfies { key: keyof BladeModel; label: string; values: readonly string[] }[];

/** A value of the format as it is read. */
const labelOf = (value: string) =>
  reference.steels.get(value)?.name ?? (value === 'd-shape' ? 'D-shaped' : value.replace(/-/g, ' '));

/** Figures in millimetres, shown in the units of this device. */
const isLength = (key: string) => key.endsWith('Mm');

const rounded = (value: number) => Number(value.toFixed(2));

function startFrom(typeId: string): BladeModel {
  const type = reference.types.get(typeId);
  if (!type) throw new Error(`no type ${typeId}`);
  const blade = typicalBlade(type, {}, 'right');
  const tidy = Object.fromEntries(
    Object.entries(blade).map(([key, value]) => [key, typeof value === 'number' ? rounded(value) : value]),
  );
  return { ...blade, ...tidy, maker: 'My own', name: `My ${type.name.toLowerCase()}`, priceMinor: 0 };
}

/** What of a draft goes with what was changed: teeth need a pitch and a plain edge has none; a double bevel suits both hands. */
function inKeeping(draft: BladeModel, change: Partial<Record<keyof BladeModel, unknown>>): BladeModel {
  const next = { ...draft, ...change };
  if (change.serration !== undefined) next.serrationPitchMm = change.serration === 'none' ? 0 : 5;
  if (change.bevel === 'double') next.handed = 'either';
  if (change.bevel === 'single') {
    next.handed = 'right';
    next.edgeAngleBackDeg = 0;
  }
  if (change.edgeAngleDeg !== undefined && next.bevel === 'double') next.edgeAngleBackDeg = Number(change.edgeAngleDeg);
  return next as BladeModel;
}

type Form = UseFormReturnType<BladeModel>;
interface FieldsProps {
  form: Form;
  set: (change: Partial<Record<keyof BladeModel, unknown>>) => void;
}

/** One's own or a home-made blade, described by its numbers, drawn as they change. */
export function BladeForm({
  taken,
  onSave,
}: {
  taken: ReadonlySet<string>;
  onSave: (model: BladeModel) => Promise<boolean>;
}) {
  const checked = (draft: BladeModel) => bladeModelSchema.safeParse({ ...draft, id: idFor(draft.name, taken) });
  const faultsIn = (draft: BladeModel) => {
    const { error } = checked(draft);
    return error ? faultsOf(error) : [];
  };
  const form: Form = useForm({
    initialValues: startFrom(FIRST_TYPE),
    validateInputOnChange: true,
    validate: (draft) => Object.fromEntries(faultsIn(draft).map(({ path, message }) => [path, message])),
  });
  const [drawn, setDrawn] = useState(form.values);
  const put = (next: BladeModel) => {
    form.setValues(next);
    form.validate();
    const { data } = checked(next);
    if (data) setDrawn(data);
  };
  const faults = faultsIn(form.values);
  return (
    <form
      className={css.form}
      onSubmit={form.onSubmit((draft) => {
        const { data } = checked(draft);
        if (data) void onSave(data);
      })}
    >
      <div className={css.drawings}>
        <SideView blade={drawn} />
        <SectionView blade={drawn} />
        <BoardView blade={drawn} />
      </div>
      <div className={css.fields}>
        <NativeSelect
          label="Start from the usual"
          description={reference.types.get(form.values.type)?.blurb}
          value={form.values.type}
          data={[...reference.types.values()].map((t) => ({ value: t.id, label: t.name }))}
          onChange={(e) => put(startFrom(e.currentTarget.value))}
        />
        <Fields form={form} set={(change) => put(inKeeping(form.values, change))} />
      </div>
      <div>
        <Button type="submit" disabled={faults.length > 0}>
          Add this knife
        </Button>
        {faults.length > 0 && <p className={css.faults}>{faults.map((f) => `${f.path}: ${f.message}`).join('; ')}</p>}
      </div>
    </form>
  );
}

/** What the blade is called and costs, its figures in the units of the device, and its words. */
function Fields({ form: { values, errors }, set }: FieldsProps) {
  return (
    <>
      {(
        [
          ['name', 'Name', 120],
          ['maker', 'Maker', 80],
        ] as const
      ).map(([key, label, maxLength]) => (
        <TextInput
          key={key}
          label={label}
          value={values[key]}
          maxLength={maxLength}
          error={errors[key]}
          onChange={(e) => set({ [key]: e.currentTarget.value })}
        />
      ))}
      <Figure
        label="Price, EUR"
        bounds={PRICE_EUR}
        step={0.01}
        value={fromMinor(values.priceMinor, values.currency)}
        onChange={(price) => set({ priceMinor: toMinor(price, values.currency) })}
      />
      {FIGURES.map(({ key, label, step }) => {
        const Measure = isLength(key) ? LengthFigure : Figure;
        return (
          <Measure
            key={key}
            {...{ label, step }}
            bounds={BLADE_BOUNDS[key]}
            value={values[key]}
            error={errors[key]}
            {...(key === 'hrc' ? { unsaid: { holds: 'not told', onEmptied: () => set({ hrc: null }) } } : {})}
            onChange={(value) => set({ [key]: value })}
          />
        );
      })}
      {WORDS.map(({ key, label, values: words }) => (
        <NativeSelect
          key={key}
          label={label}
          value={values[key]}
          data={words.map((value) => ({ value, label: labelOf(value) }))}
          error={errors[key]}
          onChange={(e) => set({ [key]: e.currentTarget.value })}
        />
      ))}
    </>
  );
}
