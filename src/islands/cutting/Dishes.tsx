import { BOUNDS } from '../../core/formats/kitchenBounds';
import { Button, Chip, TextInput } from '@mantine/core';
import { useDeferredValue, useMemo, useState } from 'react';
import type { DishFile } from '../../core/formats/kitchenFile';
import { DEFAULTS } from '../../core/kitchen/defaults';
import { dishFinder } from '../../core/cutting/dishNames';
import type { KnownDish } from '../../workers/stock';
import { Figure } from '../shared/NumberField';
import type { QuestionProps } from '../shared/useKitchen';
import css from './CuttingView.module.css';
import { TimesPer } from './TimesPer';
import { addDish, changeDish, forgetDish, removeDish } from './dishEdits';

const SHOWN = 8;
const MOST_DISHES = 400;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Every dish there is: one's own first. */
function useAllDishes({ cooking }: QuestionProps['kitchen'], known: KnownDish[]): KnownDish[] {
  return useMemo(
    () => [
      ...(cooking?.ownDishes ?? []).map((d) => ({
        id: d.id,
        name: d.name,
        cuisines: ['your own'],
        contains: d.contains ?? [],
        tasks: d.tasks.map((t) => t.id),
      })),
      ...known,
    ],
    [cooking?.ownDishes, known],
  );
}

/** Dishes one by one: found by name, counted by week, month or year, scaled by portions, kept to a season. */
export function Dishes({ kitchen, update, known }: QuestionProps & { known: KnownDish[] }) {
  const own = kitchen.cooking?.ownDishes ?? [];
  const dishes = kitchen.cooking?.dishes ?? [];
  const all = useAllDishes(kitchen, known);
  const byId = new Map(all.map((d) => [d.id, d]));
  const avoided = (dish: KnownDish | undefined) =>
    (kitchen.avoids ?? []).filter((food) => dish?.contains.includes(food));
  return (
    <section className={css.block} aria-labelledby="dishes">
      <h2 id="dishes">Dishes one by one</h2>
      <p className="faded">Dishes you cook besides everyday meals: Sunday roasts, feasts, summer salads.</p>
      <FindDish
        all={all}
        there={new Set(dishes.map(({ id }) => id))}
        full={dishes.length >= MOST_DISHES}
        onAdd={(id) => update(addDish(id))}
      />
      <ul className={css.dishes}>
        {dishes.map((dish) => (
          <DishRow
            key={dish.id}
            dish={dish}
            name={byId.get(dish.id)?.name ?? dish.id}
            off={avoided(byId.get(dish.id))}
            portions={kitchen.cooking?.portions ?? DEFAULTS.portions}
            own={own.some((d) => d.id === dish.id)}
            update={update}
          />
        ))}
      </ul>
    </section>
  );
}

interface FindDishProps {
  all: KnownDish[];
  /** Ids on the list already. */
  there: ReadonlySet<string>;
  full: boolean;
  onAdd: (id: string) => void;
}

/** Dishes found by a name roughly spelt; Enter adds the first. */
function FindDish({ all, there, full, onAdd }: FindDishProps) {
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const find = useMemo(() => dishFinder(all), [all]);
  const found = asked ? find(asked, SHOWN) : [];
  return (
    <>
      <TextInput
        label="Find a dish"
        placeholder="a name, roughly spelt"
        value={search}
        onChange={(e) => setSearch(e.currentTarget.value)}
        onKeyDown={(e) => {
          const first = found.find(({ dish }) => !there.has(dish.id));
          if (e.key === 'Enter' && first && !full) {
            onAdd(first.dish.id);
            setSearch('');
          }
        }}
        description={
          asked && found.length === 0
            ? 'No dish of that name. Add it as your own below, or paste its recipe.'
            : 'Enter adds the first one found.'
        }
      />
      {found.length > 0 && (
        <ul className={css.found}>
          {found.map(({ dish: { id, name, cuisines }, called }) => (
            <li key={id}>
              <span>
                <b>{name}</b> <span className="faded">{called === name ? cuisines.join(', ') : `also ${called}`}</span>
              </span>
              <Button
                size="compact-sm"
                variant="default"
                disabled={there.has(id) || full}
                onClick={() => onAdd(id)}
                aria-label={`Add ${name}`}
              >
                {there.has(id) ? 'On the list' : 'Add'}
              </Button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

interface DishRowProps {
  dish: DishFile;
  name: string;
  /** What is not eaten here of it: it is not counted then. */
  off: string[];
  portions: number;
  own: boolean;
  update: QuestionProps['update'];
}

function DishRow({ dish, name, off, portions, own, update }: DishRowProps) {
  const [seasonal, setSeasonal] = useState(dish.months !== undefined);
  return (
    <li>
      <div className={css.dish}>
        <b>
          {name} {off.length > 0 && <span className={css.off}>not counted: {off.join(', ')} is not eaten here</span>}
        </b>
        <TimesPer often={dish} onChange={(change) => update(changeDish(dish.id, change))} />
        <Figure
          label="Portions"
          bounds={BOUNDS.portions}
          value={dish.portions ?? portions}
          onChange={(many) => update(changeDish(dish.id, { portions: many }))}
        />
        <span className={css.tools}>
          <Button size="compact-sm" variant="default" aria-expanded={seasonal} onClick={() => setSeasonal(!seasonal)}>
            Season
          </Button>
          <Does word="Remove" name={name} work={() => update(removeDish(dish.id))} />
          {own && <Does word="Forget" name={name} work={() => update(forgetDish(dish.id))} />}
        </span>
      </div>
      {seasonal && <Season dish={dish} name={name} update={update} />}
    </li>
  );
}

function Does({ word, name, work }: { word: string; name: string; work: () => void }) {
  return (
    <Button size="compact-sm" variant="default" aria-label={`${word} ${name}`} onClick={work}>
      {word}
    </Button>
  );
}

/** The months of a dish; all of them, where none is left out. */
function Season({ dish, name, update }: Pick<DishRowProps, 'dish' | 'name' | 'update'>) {
  const months = dish.months ?? MONTHS.map((_, m) => m + 1);
  return (
    <div className={css.months} role="group" aria-label={`Months in which ${name} is cooked`}>
      {MONTHS.map((month, i) => (
        <Chip
          key={month}
          size="xs"
          checked={months.includes(i + 1)}
          onChange={(on) => {
            const next = on ? [...months, i + 1].sort((a, b) => a - b) : months.filter((m) => m !== i + 1);
            update(changeDish(dish.id, { months: next.length === 12 || next.length === 0 ? undefined : next }));
          }}
        >
          {month}
        </Chip>
      ))}
    </div>
  );
}
