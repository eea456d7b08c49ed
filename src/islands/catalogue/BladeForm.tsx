import { Button, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { reference } from '../../../data/reference';
import { bladeModelSchema, type BladeModel } from '../../core/blade/schema';
import { BEVELS, HANDED, HANDLE_STYLES, SERRATIONS, STEEL_IDS, SURFACES, TIPS } from '../../core/blade/words';
import { faultsOf } from '../../core/formats/faults';
import { typicalBlade } from '../../core/kit/candidates/typicalBlade';
import { fromMinor, toMinor } from '../../core/money/currency';
import { BoardView, SectionView, SideView } from '../blade/Drawings';
import { idFor } from '../shared/ownModel';
import { useLengths } from '../shared/units';
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

/** One's own or a home-made blade, described by its numbers, drawn as they change. */
export function BladeForm({
  taken,
  onSave,
}: {
  taken: ReadonlySet<string>;
  onSave: (model: BladeModel) => Promise<boolean>;
}) {
  const { units, unit, toMm, fromMm } = useLengths();
  const [draft, setDraft] = useState(() => startFrom(FIRST_TYPE));
  const [drawn, setDrawn] = useState(draft);
  const checked = useMemo(() => bladeModelSchema.safeParse({ ...draft, id: idFor(draft.name, taken) }), [draft, taken]);
  const faults = checked.success ? [] : faultsOf(checked.error);
  const faultAt = (key: string) => faults.find((f) => f.path === key)?.message;

  const set = (change: Partial<Record<keyof BladeModel, unknown>>) => {
    const next = { ...draft, ...change };
    // teeth need a pitch, and a plain edge has none
    if (change.serration !== undefined) next.serrationPitchMm = change.serration === 'none' ? 0 : 5;
    if (change.bevel === 'double') next.handed = 'either';
    if (change.bevel === 'single') {
      next.handed = 'right';
      next.edgeAngleBackDeg = 0;
    }
    if (change.edgeAngleDeg !== undefined && next.bevel === 'double')
      next.edgeAngleBackDeg = Number(change.edgeAngleDeg);
    setDraft(next as BladeModel);
    const parsed = bladeModelSchema.safeParse({ ...next, id: 'own-draft' });
    if (parsed.success) setDrawn(parsed.data);
  };

  return (
    <form
      className={css.form}
      onSubmit={(e) => {
        e.preventDefault();
        if (checked.success) void onSave(checked.data);
      }}
    >
      <div className={css.drawings}>
        <SideView blade={drawn} />
        <SectionView blade={drawn} />
        <BoardView blade={drawn} />
      </div>
      <div className={css.fields}>
        <NativeSelect
          label="Start from the usual"
          description={reference.types.get(draft.type)?.blurb}
          value={draft.type}
          data={[...reference.types.values()].map((t) => ({ value: t.id, label: t.name }))}
          onChange={(e) => {
            const next = startFrom(e.currentTarget.value);
            setDraft(next);
            setDrawn(next);
          }}
        />
        <TextInput
          label="Name"
          value={draft.name}
          maxLength={120}
          error={faultAt('name')}
          onChange={(e) => set({ name: e.currentTarget.value })}
        />
        <TextInput
          label="Maker"
          value={draft.maker}
          maxLength={80}
          error={faultAt('maker')}
          onChange={(e) => set({ maker: e.currentTarget.value })}
        />
        <NumberInput
          hideControls
          label="Price, EUR"
          min={0}
          decimalScale={2}
          value={fromMinor(draft.priceMinor, draft.currency)}
          onChange={(value) => set({ priceMinor: toMinor(Number(value) || 0, draft.currency) })}
        />
        {FIGURES.map(({ key, label, step }) => (
          <NumberInput
            hideControls
            key={key}
            label={isLength(key) ? `${label}, ${unit}` : label}
            step={isLength(key) && units === 'inches' ? 0.01 : step}
            value={draft[key] === null ? '' : isLength(key) ? fromMm(draft[key]) : draft[key]}
            error={faultAt(key)}
            onChange={(value) => set({ [key]: value === '' ? null : isLength(key) ? toMm(Number(value)) : value })}
          />
        ))}
        {WORDS.map(({ key, label, values }) => (
          <NativeSelect
            key={key}
            label={label}
            value={draft[key]}
            data={values.map((value) => ({ value, label: labelOf(value) }))}
            error={faultAt(key)}
            onChange={(e) => set({ [key]: e.currentTarget.value })}
          />
        ))}
      </div>
      <div>
        <Button type="submit" disabled={!checked.success}>
          Keep this blade
        </Button>
        {faults.length > 0 && <p className={css.faults}>{faults.map((f) => `${f.path}: ${f.message}`).join('; ')}</p>}
      </div>
    </form>
  );
}
