import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  pointerWithin,
  useDroppable,
  useSensor,
  useSensors,
  type CollisionDetection,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ActionIcon } from '@mantine/core';
import { IconArrowDown, IconArrowUp, IconGripVertical, IconLock, IconLockOpen } from '@tabler/icons-react';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import { counted, kitSteps } from '../../core/formats/planSteps';
import { demanded, inOrder, released, stepKey } from '../../core/kitchen/changes';
import type { Update } from '../shared/useKitchen';
import { money } from '../shared/words';
import css from './Arrange.module.css';

interface Entry {
  id: string;
  key: string;
  step: PlanStep;
}

const LOCK = 'lock';

/** A pointer over the lock means the lock; everywhere else the nearest row is meant. */
const meant: CollisionDetection = (args) => {
  const lock = pointerWithin(args).filter(({ id }) => id === LOCK);
  return lock.length > 0 ? lock : closestCenter(args);
};

/** What holds a step in the plan: its model or its type by name, or nothing. */
const lockOf = ({ action, model, type }: PlanStep, must: readonly string[]) =>
  action === 'buy' ? must.find((id) => id === model || id === type) : undefined;

/** The steps as a list to be put in another order or locked: dragged, or moved with keys. */
export default function Arrange({ plan, must, update }: { plan: Plan; must: readonly string[]; update: Update }) {
  const steps = kitSteps(plan);
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
  const lock = (step: PlanStep | undefined) => {
    const { model } = step ?? {};
    if (step?.action === 'buy' && model) update((k) => demanded(k, model));
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={meant}
      onDragEnd={({ active, over }) => {
        if (over?.id === LOCK) lock(entries[at(active.id)]?.step);
        else if (over) move(at(active.id), at(over.id));
      }}
    >
      <Lock />
      <SortableContext items={entries.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ol className={css.list} aria-label="Order of the steps">
          {entries.map((entry, i) => (
            <Row
              key={entry.id}
              entry={entry}
              currency={plan.currency}
              lock={lockOf(entry.step, must)}
              onLock={() => lock(entry.step)}
              onRelease={(id) => update((k) => released(k, id))}
              onEarlier={i > 0 ? () => move(i, i - 1) : null}
              onLater={i < entries.length - 1 ? () => move(i, i + 1) : null}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

/** Where a knife is dropped to stay. */
function Lock() {
  const { setNodeRef, isOver } = useDroppable({ id: LOCK });
  return (
    <p ref={setNodeRef} className={css.lock} data-over={isOver || undefined}>
      <IconLock size={18} aria-hidden="true" /> Drop a knife here to keep it in every plan.
    </p>
  );
}

function Row({
  entry: { id, step },
  currency,
  lock,
  onLock,
  onRelease,
  onEarlier,
  onLater,
}: {
  entry: Entry;
  currency: string;
  lock: string | undefined;
  onLock: () => void;
  onRelease: (id: string) => void;
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
        {counted(step, step.name)}
        <span className="faded">, {lock ? 'locked' : step.need}</span>
      </span>
      <span className="figure">{money(step.price, currency)}</span>
      <ActionIcon
        variant="default"
        size="lg"
        aria-label={lock ? `Unlock ${step.name}` : `Lock ${step.name}`}
        aria-pressed={lock !== undefined}
        disabled={step.action !== 'buy'}
        onClick={() => (lock ? onRelease(lock) : onLock())}
      >
        {lock ? <IconLock size={17} /> : <IconLockOpen size={17} />}
      </ActionIcon>
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
