import { BOUNDS } from '../../core/formats/kitchenBounds';
import { Button, Chip, Switch, TextInput } from '@mantine/core';
import type { BladeModel } from '../../core/blade/schema';
import type { CookFile } from '../../core/formats/kitchenFile';
import { DEFAULTS } from '../../core/kitchen/defaults';
import { Choice, Field, LengthFigure } from '../shared/Field';
import { GripDrawing, GRIPS } from '../shared/GripDrawing';
import { HAND_SIZES, handOf, handSizeOf, PRACTICE } from '../shared/choices';
import { Picks } from '../shared/Picks';
import { HandMeasure } from './HandMeasure';
import { MotionPicker } from './MotionPicker';
import css from './CooksView.module.css';
import { useLengths } from '../shared/units';

interface Props {
  cook: CookFile;
  name: string;
  motionBlades: BladeModel[];
  /** Names of the knives in the drawer, in their order. */
  owned: readonly string[];
  onChange: (change: Partial<CookFile>) => void;
  onRemove: (() => void) | null;
}

/** One cook: hand, practice, strength, grip, motions and tastes. */
export function CookForm({ cook, name, motionBlades, owned, onChange, onRemove }: Props) {
  const { length: inUnits } = useLengths();
  const length = cook.handLengthMm ?? DEFAULTS.handLengthMm;
  const breadth = cook.palmBreadthMm ?? Math.round(length * DEFAULTS.palmPerHand);
  const gripBlade = motionBlades.find((b) => b.type === 'gyuto');
  return (
    <div className={css.form}>
      <div className={css.pair}>
        <TextInput
          label="Name"
          value={cook.name ?? ''}
          placeholder={name}
          maxLength={60}
          onChange={(e) => {
            const typed = e.currentTarget.value;
            onChange({ name: typed.trim() ? typed : undefined });
          }}
        />
        <Choice
          label="Cuts with the"
          value={cook.handed ?? 'right'}
          options={[
            { value: 'right', label: 'Right hand' },
            { value: 'left', label: 'Left hand' },
          ]}
          onChange={(handed) => onChange({ handed })}
        />
      </div>
      <Choice
        label="Hand"
        value={handSizeOf(length)}
        options={HAND_SIZES.map(({ value, name: label, mm }) => ({ value, label: `${label}, ${inUnits(mm)}` }))}
        onChange={(chosen) => onChange(handOf(chosen))}
      />
      <HandMeasure who={name} lengthMm={length} breadthMm={breadth} onMeasured={onChange} />
      <Picks
        label="Practice"
        value={cook.experience ?? 'home'}
        options={PRACTICE}
        onChange={(experience) => onChange({ experience })}
      />
      <Picks
        label="Strength and stamina"
        value={cook.strength ?? 'average'}
        options={[
          { value: 'light', name: 'Light', about: 'heavy knives tire soon; rest when a hand aches' },
          { value: 'average', name: 'Average' },
          { value: 'strong', name: 'Strong', about: 'weight is no burden' },
        ]}
        onChange={(strength) => onChange({ strength })}
      />
      <Picks
        label="Grip"
        value={cook.grip ?? 'unsure'}
        options={[
          ...GRIPS.map((grip) => ({
            value: grip.id,
            name: grip.name,
            drawing: gripBlade && (
              <GripDrawing grip={grip} blade={gripBlade} hand={{ lengthMm: length, breadthMm: breadth }} />
            ),
          })),
          { value: 'unsure' as const, name: 'Unsure' },
        ]}
        onChange={(grip) => onChange({ grip })}
      />
      <MotionPicker motions={cook.motions ?? {}} blades={motionBlades} onChange={(motions) => onChange({ motions })} />
      <div className={css.pair}>
        <Choice
          label="Weight wanted"
          value={cook.wantsWeight ?? 'any'}
          options={[
            { value: 'light', label: 'Light' },
            { value: 'neutral', label: 'Middle' },
            { value: 'heavy', label: 'Heavy' },
            { value: 'any', label: 'Any' },
          ]}
          onChange={(wantsWeight) => onChange({ wantsWeight })}
        />
        <Choice
          label="Balance wanted"
          value={cook.wantsBalance ?? 'any'}
          options={[
            { value: 'forward', label: 'Forward' },
            { value: 'neutral', label: 'Neutral' },
            { value: 'handle', label: 'Handle' },
            { value: 'any', label: 'Any' },
          ]}
          onChange={(wantsBalance) => onChange({ wantsBalance })}
        />
        <div className={css.wish}>
          <LengthFigure
            label="Length wanted"
            bounds={BOUNDS.wantsLengthMm}
            value={cook.wantsLengthMm ?? null}
            onChange={(wantsLengthMm) => onChange({ wantsLengthMm })}
          />
          {cook.wantsLengthMm != null && (
            <Button variant="default" onClick={() => onChange({ wantsLengthMm: null })}>
              Work it out
            </Button>
          )}
        </div>
      </div>
      <Switch
        label="Uneasy with long blades"
        checked={cook.nervous ?? false}
        onChange={(e) => onChange({ nervous: e.currentTarget.checked })}
      />
      {owned.length > 0 && <MayUse cook={cook} owned={owned} onChange={onChange} />}
      {onRemove && (
        <Button variant="default" className={css.remove ?? ''} onClick={onRemove}>
          Remove {name}
        </Button>
      )}
    </div>
  );
}

/** Which of the drawer's knives this cook may use: what is barred does nothing for them. */
function MayUse({ cook: { mayUse }, owned, onChange }: Pick<Props, 'cook' | 'owned' | 'onChange'>) {
  const all = owned.map((_, i) => i);
  return (
    <Field
      label="May use, of the drawer"
      hint={mayUse == null ? 'Everything; press one to bar it.' : 'What is barred counts for the others only.'}
    >
      <Chip.Group
        multiple
        value={(mayUse ?? all).map(String)}
        onChange={(next) => {
          const chosen = next.map(Number).sort((a, b) => a - b);
          onChange({ mayUse: chosen.length === all.length ? undefined : chosen });
        }}
      >
        <div className={css.chips}>
          {owned.map((knife, i) => (
            <Chip key={i} value={String(i)} size="sm">
              {knife}
            </Chip>
          ))}
        </div>
      </Chip.Group>
    </Field>
  );
}
