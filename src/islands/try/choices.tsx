import { NativeSelect } from '@mantine/core';
import type { BladeModel } from '../../core/blade/schema';
import type { Answer } from '../shared/usePlanner';
import { knifeName } from '../shared/names';

/** A knife that can be tried. */
export interface Choice {
  ref: string;
  name: string;
  blade: BladeModel;
}

/** What may be tried: the drawer, the plan, then every model. */
export function choicesOf({ plan, owned }: Answer, catalogue: ReadonlyMap<string, BladeModel>) {
  const drawer = owned.map((blade, i) => ({ ref: `owned-${i}`, name: knifeName(blade), blade }));
  const planned = plan.steps.flatMap(({ action, model, order }) => {
    const blade = action === 'buy' && model ? catalogue.get(model) : undefined;
    return blade ? [{ ref: `step-${order}`, name: knifeName(blade), blade }] : [];
  });
  const models = [...catalogue.values()].map((blade) => ({
    ref: blade.id,
    name: `${blade.name}, ${blade.maker}`,
    blade,
  }));
  return { drawer, planned, models };
}
export type Choices = ReturnType<typeof choicesOf>;

/** One of the knives, by group. */
export function Pick({
  label,
  none,
  choices,
  value,
  onPick,
}: {
  label: string;
  none?: string;
  choices: Partial<Choices>;
  value: string;
  onPick: (ref: string) => void;
}) {
  const items = (of: Choice[] = []) => of.map(({ ref, name }) => ({ value: ref, label: name }));
  return (
    <NativeSelect
      label={label}
      value={value}
      onChange={(e) => onPick(e.currentTarget.value)}
      data={[
        ...(none === undefined ? [] : [{ value: '', label: none }]),
        ...[
          { group: 'In the plan', items: items(choices.planned) },
          { group: 'In the drawer', items: items(choices.drawer) },
          { group: 'All knives', items: items(choices.models) },
        ].filter((group) => group.items.length > 0),
      ]}
    />
  );
}
