import { Button, Chip, TextInput } from '@mantine/core';
import type { BladeModel } from '../../core/blade/schema';
import type { CookFile } from '../../core/formats/kitchenFile';
import { Question } from '../questions/Question';
import { cookChanged } from '../questions/questions';
import { Field } from '../shared/Field';
import { GripDrawing, GRIPS } from '../shared/GripDrawing';
import { handOf } from '../shared/hand';
import { Picks } from '../shared/Picks';
import type { QuestionProps } from '../shared/useKitchen';
import { HandMeasure } from './HandMeasure';
import { MotionPicker } from './MotionPicker';
import css from './CooksView.module.css';

interface Props extends QuestionProps {
  /** Which cook. */
  at: number;
  name: string;
  motionBlades: BladeModel[];
  /** Names of the knives in the drawer, in their order. */
  owned: readonly string[];
  onRemove: (() => void) | null;
}
type OnChange = (change: Partial<CookFile>) => void;

/** One cook: hand, practice, strength, grip, motions and tastes. */
export function CookForm({ kitchen, update, at, name, motionBlades, owned, onRemove }: Props) {
  const cook = kitchen.cooks?.[at] ?? {};
  const onChange: OnChange = (change) => update((file) => cookChanged(file, at, change));
  const asked = { kitchen, update, cook: at };
  const hand = handOf(cook);
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
        <Question of="handed" {...asked} />
      </div>
      <Question of="handSize" {...asked} />
      <HandMeasure who={name} {...hand} onMeasured={onChange} />
      <Question of="experience" {...asked} />
      <Question of="strength" {...asked} />
      <Grip cook={cook} blade={motionBlades.find((b) => b.type === 'gyuto')} onChange={onChange} />
      <MotionPicker motions={cook.motions ?? {}} blades={motionBlades} onChange={(motions) => onChange({ motions })} />
      <div className={css.pair}>
        <Question of="wantsWeight" {...asked} />
        <Question of="wantsBalance" {...asked} />
        <div className={css.wish}>
          <Question of="wantsLengthMm" {...asked} />
          {cook.wantsLengthMm != null && (
            <Button variant="default" onClick={() => onChange({ wantsLengthMm: null })}>
              Work it out
            </Button>
          )}
        </div>
      </div>
      <Question of="nervous" {...asked} />
      {owned.length > 0 && <MayUse cook={cook} owned={owned} onChange={onChange} />}
      {onRemove && (
        <Button variant="default" className={css.remove ?? ''} onClick={onRemove}>
          Remove {name}
        </Button>
      )}
    </div>
  );
}

/** How the knife is held, drawn with the cook's own hand. */
function Grip({ cook, blade, onChange }: { cook: CookFile; blade: BladeModel | undefined; onChange: OnChange }) {
  return (
    <Picks
      label="Grip"
      value={cook.grip ?? 'unsure'}
      options={[
        ...GRIPS.map((grip) => ({
          value: grip.id,
          name: grip.name,
          drawing: blade && <GripDrawing grip={grip} blade={blade} hand={handOf(cook)} />,
        })),
        { value: 'unsure' as const, name: 'Unsure' },
      ]}
      onChange={(grip) => onChange({ grip })}
    />
  );
}

/** Which of the drawer's knives this cook may use: what is barred does nothing for them. */
function MayUse({
  cook: { mayUse },
  owned,
  onChange,
}: {
  cook: CookFile;
  owned: readonly string[];
  onChange: OnChange;
}) {
  const all = owned.map((_, i) => i);
  return (
    <Field
      label="May use, of the drawer"
      hint={
        mayUse == null
          ? 'Everything. Tap a knife to rule it out.'
          : 'Knives ruled out here still count for the other cooks.'
      }
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
