import { Button, NativeSelect, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { KnownDish } from '../../workers/stock';
import type { QuestionProps } from '../shared/useKitchen';
import css from './CuttingView.module.css';
import { addDish, changeDish } from './dishEdits';
import { type MenuDish, readMenu } from '../../core/cutting/menu';

/** A whole week's menu, a dish a line: each is found among the known dishes, put right by picking, and counted as often as it stands there. */
export function WeekMenu({ kitchen, update, known }: QuestionProps & { known: KnownDish[] }) {
  const [text, setText] = useState('');
  const [menu, setMenu] = useState<MenuDish<KnownDish>[]>([]);
  const [told, setTold] = useState<string | null>(null);
  const all = [
    ...(kitchen.cooking?.ownDishes ?? []).map((d) => ({
      id: d.id,
      name: d.name,
      cuisines: [],
      contains: [],
      tasks: d.tasks.map((t) => t.id),
    })),
    ...known,
  ];
  const found = menu.filter((entry) => entry.dish !== null);
  const take = () => {
    update((before) =>
      found.reduce(
        (now, { dish, times }) => (dish ? changeDish(dish.id, { times, per: 'week' })(addDish(dish.id)(now)) : now),
        before,
      ),
    );
    setTold(`${found.length} ${found.length === 1 ? 'dish stands' : 'dishes stand'} on your list now.`);
    setMenu([]);
    setText('');
  };
  return (
    <details className={css.make}>
      <summary>Import a week’s menu</summary>
      <Textarea
        label="The week’s dishes, one per line"
        description="“Monday: onion soup”. A dish that stands there twice is counted twice. For a dish nobody knows bring in its recipe."
        autosize
        minRows={4}
        maxRows={12}
        value={text}
        onChange={(e) => setText(e.currentTarget.value)}
      />
      <Button variant="default" disabled={text.trim() === ''} onClick={() => setMenu(readMenu(text, all))}>
        Find the dishes
      </Button>
      <p role="status" className={told ? undefined : 'visually-hidden'}>
        {told}
      </p>
      {menu.length > 0 && (
        <>
          <Understood menu={menu} all={all} onChange={setMenu} />
          <Button disabled={found.length === 0} onClick={take}>
            {`Put ${found.length} on the list`}
          </Button>
        </>
      )}
    </details>
  );
}

interface UnderstoodProps {
  menu: readonly MenuDish<KnownDish>[];
  all: readonly KnownDish[];
  onChange: (menu: MenuDish<KnownDish>[]) => void;
}

/** Each line beside the dish it is taken for, put right by picking. */
function Understood({ menu, all, onChange }: UnderstoodProps) {
  return (
    <ul className={css.parts}>
      {menu.map((entry, at) => (
        <li key={entry.written}>
          <span>
            {entry.written}
            {entry.times > 1 && ` · ${entry.times} times`}
          </span>
          <NativeSelect
            aria-label={`Dish meant by: ${entry.written}`}
            value={entry.dish?.id ?? ''}
            data={[{ value: '', label: 'leave it out' }, ...all.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={(e) => {
              const dish = all.find(({ id }) => id === e.currentTarget.value) ?? null;
              onChange(menu.map((each, i) => (i === at ? { ...each, dish } : each)));
            }}
          />
        </li>
      ))}
    </ul>
  );
}
