import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { typeNames } from '../../../../data/names';
import { typeBlurbs, usualLengths } from '../../../../data/typeFacts';
import type { OwnedFile } from '../../../core/formats/kitchenFile';
import { MOST } from '../../../core/formats/kitchenBounds';
import { CONDITIONS } from '../../../core/formats/kitchenWords';
import { Field } from '../../shared/Field';
import { ToolChips } from '../../shared/ToolChips';
import type { QuestionProps } from '../../shared/useKitchen';
import css from '../../shared/Questions.module.css';

const TOOLS = ['peeler', 'shears', 'fish-scaler'];
const CONDITION_WORDS: Record<(typeof CONDITIONS)[number], string> = {
  keen: 'Keen: glides through paper',
  serviceable: 'Serviceable: cuts tomato skin',
  dull: 'Dull: slides off tomato skin',
  chipped: 'Chipped',
  'worn-out': 'Worn out',
};
const types = [...typeNames].map(([value, label]) => ({ value, label }));

/** What is in the drawer already: often the first good step is to sharpen it. */
export default function DrawerQuestions({ kitchen, update }: QuestionProps) {
  const owned = kitchen.owned ?? [];
  const change = (next: (owned: OwnedFile[]) => OwnedFile[]) => update((k) => ({ ...k, owned: next(k.owned ?? []) }));
  return (
    <>
      {owned.map((knife, i) => (
        <Owned
          key={i}
          knife={knife}
          onCondition={(condition) => change((all) => all.map((o, at) => (at === i ? { ...o, condition } : o)))}
          onRemove={() => change((all) => all.filter((_, at) => at !== i))}
        />
      ))}
      <AddOne full={owned.length >= MOST.owned} onAdd={(knife) => change((all) => [...all, knife])} />
      <Field label="Tools you have">
        <ToolChips {...{ kitchen, update }} tools={TOOLS} className={css.chips} />
      </Field>
    </>
  );
}

interface OwnedProps {
  knife: OwnedFile;
  onCondition: (condition: (typeof CONDITIONS)[number]) => void;
  onRemove: () => void;
}

function Owned({ knife, onCondition, onRemove }: OwnedProps) {
  const name = typeNames.get(knife.type ?? '') ?? knife.model ?? 'Knife';
  return (
    <div className={css.owned}>
      <span>
        {name} {knife.lengthMm && <span className="figure">{Math.round(knife.lengthMm)}</span>}
      </span>
      <NativeSelect
        aria-label={`Condition of the ${name.toLowerCase()}`}
        size="xs"
        value={knife.condition ?? 'serviceable'}
        data={CONDITIONS.map((value) => ({ value, label: CONDITION_WORDS[value] }))}
        onChange={(e) => {
          const condition = CONDITIONS.find((c) => c === e.currentTarget.value);
          if (condition) onCondition(condition);
        }}
      />
      <Button
        variant="subtle"
        color="gray"
        size="compact-xs"
        className={css.remove ?? ''}
        aria-label={`Remove the ${name.toLowerCase()}`}
        onClick={onRemove}
      >
        Remove
      </Button>
    </div>
  );
}

function AddOne({ full, onAdd }: { full: boolean; onAdd: (knife: OwnedFile) => void }) {
  const [type, setType] = useState('chef');
  const lengthMm = usualLengths.get(type) ?? 200;
  return (
    <div className={css.add}>
      <NativeSelect
        label="Add a knife"
        description={typeBlurbs.get(type)}
        value={type}
        data={types}
        onChange={(e) => setType(e.currentTarget.value)}
      />
      <Button
        variant="default"
        disabled={full}
        onClick={() => onAdd({ type, lengthMm, condition: 'serviceable', use: 'weekly' })}
      >
        Add
      </Button>
    </div>
  );
}
