import { Button, Chip, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { toolNames, typeNames } from '../../../../data/names';
import { typeBlurbs, usualLengths } from '../../../../data/typeFacts';
import { CONDITIONS } from '../../../core/formats/kitchenWords';
import { Field } from '../../shared/Field';
import type { QuestionProps } from '../../shared/useKitchen';
import css from '../../shared/Questions.module.css';

const MOST_OWNED = 60;
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
  const [type, setType] = useState('chef');
  const owned = kitchen.owned ?? [];
  const set = (index: number, change: Partial<(typeof owned)[number]>) =>
    update((k) => ({ ...k, owned: (k.owned ?? []).map((o, i) => (i === index ? { ...o, ...change } : o)) }));

  return (
    <>
      {owned.map((knife, i) => {
        const name = typeNames.get(knife.type ?? '') ?? knife.model ?? 'Knife';
        return (
          <div key={i} className={css.owned}>
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
                if (condition) set(i, { condition });
              }}
            />
            <Button
              variant="subtle"
              color="gray"
              size="compact-xs"
              className={css.remove ?? ''}
              aria-label={`Remove the ${name.toLowerCase()}`}
              onClick={() => update((k) => ({ ...k, owned: (k.owned ?? []).filter((_, at) => at !== i) }))}
            >
              Remove
            </Button>
          </div>
        );
      })}
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
          disabled={owned.length >= MOST_OWNED}
          onClick={() =>
            update((k) => ({
              ...k,
              owned: [
                ...(k.owned ?? []),
                {
                  type,
                  lengthMm: usualLengths.get(type) ?? 200,
                  condition: 'serviceable' as const,
                  use: 'weekly' as const,
                },
              ],
            }))
          }
        >
          Add
        </Button>
      </div>
      <Field label="Tools you have">
        <div className={css.chips}>
          {TOOLS.map((id) => (
            <Chip
              key={id}
              size="sm"
              checked={kitchen.tools?.includes(id) ?? false}
              onChange={(on) =>
                update((k) => ({
                  ...k,
                  tools: on ? [...(k.tools ?? []), id] : (k.tools ?? []).filter((t) => t !== id),
                }))
              }
            >
              {toolNames.get(id)}
            </Chip>
          ))}
        </div>
      </Field>
    </>
  );
}
