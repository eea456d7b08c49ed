import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ActionIcon } from '@mantine/core';
import { IconArrowDown, IconArrowUp, IconGripVertical } from '@tabler/icons-react';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import { inOrder, stepKey } from '../../core/kit/actions';
import type { Update } from '../shared/useKitchen';
import { money } from '../shared/words';
import css from './Arrange.module.css';

interface Entry {
  id: string;
  key: string;
  step: PlanStep;
}

/** The steps as a list to be put in another order: dragged, or moved with keys. */
export default function Arrange({ plan, update }: { plan: Plan; update: Update }) {
  const steps = plan.steps.filter((s) => s.action !== 'retire');
  // two copies of one model go by one key but are two entries
  const entries: Entry[] = steps.map((step, i) => ({ id: `${stepKey(step)} ${i}`, key: stepKey(step), step }));
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const move = (from: number, to: number) => {
    if (from < 0 || to < 0 || to >= entries.length || from === to) return;
    const keys = arrayMove(entries, from, to).map(({ key }) => key);
    update((k) => inOrder(k, [...new Set(keys)]));
  };
  const at = (id: unknown) => entries.findIndex((e) => e.id === id);
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => over && move(at(active.id), at(over.id))}
    >
      <SortableContext items={entries.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ol className={css.list} aria-label="Order of the steps">
          {entries.map((entry, i) => (
            <Row
              key={entry.id}
              entry={entry}
              currency={plan.currency}
              onEarlier={i > 0 ? () => move(i, i - 1) : null}
              onLater={i < entries.length - 1 ? () => move(i, i + 1) : null}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Row({
  entry: { id, step },
  currency,
  onEarlier,
  onLater,
}: {
  entry: Entry;
  currency: string;
  onEarlier: (() => void) | null;
  onLater: (() => void) | null;
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  return (
    <li ref={setNodeRef} className={css.row} style={{ transform: CSS.Transform.toString(transform), transition }}>
      <span className={css.grip} {...attributes} {...listeners} aria-label={`Drag ${step.name}`}>
        <IconGripVertical size={18} aria-hidden="true" />
      </span>
      <b className="figure">{step.order}</b>
      <span className={css.name}>
        {step.name}
        <span className="faded">, {step.need}</span>
      </span>
      <span className="figure">{money(step.price, currency)}</span>
      <ActionIcon
        variant="default"
        size="lg"
        aria-label={`${step.name} earlier`}
        disabled={!onEarlier}
        onClick={() => onEarlier?.()}
      >
        <IconArrowUp size={17} />
      </ActionIcon>
      <ActionIcon
        variant="default"
        size="lg"
        aria-label={`${step.name} later`}
        disabled={!onLater}
        onClick={() => onLater?.()}
      >
        <IconArrowDown size={17} />
      </ActionIcon>
    </li>
  );
}
