import { Button, Checkbox } from '@mantine/core';
import { useState } from 'react';
import type { FoodToTry } from '../../core/kit/trying/foods';
import { taskName } from '../shared/words';
import css from './FoodView.module.css';

/** Foods taken in unless said otherwise. */
const FOODS = 6;

interface Props {
  foods: readonly FoodToTry[];
  names: readonly string[];
  onBegin: (tasks: string[]) => void;
}

/** The foods that tell most, any of which can be left out or taken in, and the way to begin. */
export function FoodsToTry({ foods, names, onBegin }: Props) {
  const [left, setLeft] = useState<ReadonlySet<string> | null>(null);
  const without = left ?? new Set(foods.slice(FOODS).map(({ task }) => task.id));
  const tasks = foods.map(({ task }) => task.id).filter((id) => !without.has(id));
  return (
    <>
      <Foods foods={foods} left={without} onLeft={setLeft} />
      <div className={css.row}>
        <Button size="md" disabled={tasks.length === 0} onClick={() => onBegin(tasks)}>
          {`Begin: ${tasks.length} foods, ${tasks.length * names.length} runs`}
        </Button>
      </div>
    </>
  );
}

interface FoodsProps extends Pick<Props, 'foods'> {
  left: ReadonlySet<string>;
  onLeft: (left: ReadonlySet<string>) => void;
}

/** The foods proposed, those that tell most first; any can be left out. What the figures expect is not told: it would lead the hand. */
function Foods({ foods, left, onLeft }: FoodsProps) {
  const most = foods[0]?.nats ?? 1;
  return (
    <div className={css.scroll} tabIndex={0} role="region" aria-label="Foods to try">
      <table className={css.foods}>
        <thead>
          <tr>
            <th scope="col">Food</th>
            <th scope="col">Tells</th>
          </tr>
        </thead>
        <tbody>
          {foods.map((food) => (
            <FoodRow
              key={food.task.id}
              food={food}
              tells={Math.round((100 * food.nats) / most)}
              taken={!left.has(food.task.id)}
              onTake={(take) => {
                const next = new Set(left);
                if (take) next.delete(food.task.id);
                else next.add(food.task.id);
                onLeft(next);
              }}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface FoodRowProps {
  food: FoodToTry;
  /** Percent of what the most telling food tells. */
  tells: number;
  taken: boolean;
  onTake: (taken: boolean) => void;
}

function FoodRow({ food: { task }, tells, taken, onTake }: FoodRowProps) {
  return (
    <tr>
      <td>
        <Checkbox label={taskName(task.id)} checked={taken} onChange={(e) => onTake(e.currentTarget.checked)} />
      </td>
      <td>
        <span
          className={css.tells}
          role="meter"
          aria-label="How much it tells"
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={tells}
        >
          <span style={{ width: `${tells}%` }} />
        </span>
      </td>
    </tr>
  );
}
