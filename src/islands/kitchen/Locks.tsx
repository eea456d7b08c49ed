import { Button } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { BladeModel } from '../../core/blade/schema';
import type { Plan } from '../../core/formats/planFile';
import { inOrder, released } from '../../core/kitchen/changes';
import type { QuestionProps } from '../shared/useKitchen';
import { typeName } from '../shared/words';
import css from './Locks.module.css';

/** What was demanded, excluded or put in order by hand, each to be let go again. */
export default function Locks({
  kitchen,
  update,
  plan,
  catalogue,
}: QuestionProps & { plan: Plan; catalogue: Map<string, BladeModel> }) {
  const { must = [], never = [], order = [] } = kitchen.limits ?? {};
  const nameOf = (id: string) => catalogue.get(id)?.name ?? typeName(id);
  const chips = [
    ...must.map((id) => ({ id, words: `Must have: ${nameOf(id)}` })),
    ...never.map((id) => ({ id, words: `Never: ${nameOf(id)}` })),
  ];
  return (
    <div className={css.locks}>
      {chips.map(({ id, words }) => (
        <Button
          key={words}
          size="compact-sm"
          variant="default"
          rightSection={<IconX size={14} aria-hidden="true" />}
          aria-label={`Let go: ${words}`}
          onClick={() => update((k) => released(k, id))}
        >
          {words}
        </Button>
      ))}
      {order.length > 0 && (
        <>
          <span>
            The order is yours.{' '}
            {(plan.orderCosts ?? 0) < 0.0005
              ? 'It costs nothing.'
              : `Your order costs ${((plan.orderCosts ?? 0) * 100).toFixed(1)} points on average while you are buying.`}
          </span>
          <Button size="compact-sm" variant="default" onClick={() => update((k) => inOrder(k, []))}>
            Let the plan decide
          </Button>
        </>
      )}
    </div>
  );
}
