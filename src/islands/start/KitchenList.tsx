import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Refused } from '../../client/http';
import { createKitchen, deleteKitchen, renameKitchen, restoreKitchen } from '../../client/kitchens';
import { notedKitchens } from '../shared/device';
import { moment } from '../shared/words';
import { dueBy } from '../shared/dueDays';
import { today } from '../shared/today';
import css from './StartView.module.css';

export interface ListedKitchen {
  id: string;
  name: string;
  updatedAt: string;
}

/** One's own kitchens: open, rename, copy or delete each; a deletion can be taken back. */
export function KitchenList({ kitchens, onTrouble }: { kitchens: ListedKitchen[]; onTrouble: (why: string) => void }) {
  const [list, setList] = useState(kitchens);
  const [noted] = useState(notedKitchens);
  const [renaming, setRenaming] = useState<{ id: string; name: string } | null>(null);
  const [deleted, setDeleted] = useState<{ kitchen: ListedKitchen; at: number } | null>(null);

  const trying = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (error) {
      onTrouble(error instanceof Refused ? error.message : 'The server could not do this; nothing was changed.');
    }
  };
  const copy = (id: string) =>
    trying(async () => {
      const made = await createKitchen({ from: 'copy', of: id });
      const name = made.kitchen.name ?? 'My kitchen';
      setList((now) => [{ id: made.id, name, updatedAt: new Date().toISOString() }, ...now]);
    });
  const rename = () =>
    trying(async () => {
      const name = renaming?.name.trim();
      if (renaming && name) {
        await renameKitchen(renaming.id, name);
        setList((now) => now.map((k) => (k.id === renaming.id ? { ...k, name } : k)));
      }
      setRenaming(null);
    });
  const remove = (kitchen: ListedKitchen, at: number) =>
    trying(async () => {
      await deleteKitchen(kitchen.id);
      setList((now) => now.filter((k) => k.id !== kitchen.id));
      setDeleted({ kitchen, at });
    });
  const restore = () =>
    trying(async () => {
      if (!deleted) return;
      await restoreKitchen(deleted.kitchen.id);
      setList((now) => [...now.slice(0, deleted.at), deleted.kitchen, ...now.slice(deleted.at)]);
      setDeleted(null);
    });

  if (list.length === 0 && !deleted) return null;
  return (
    <section aria-labelledby="mine">
      <h2 id="mine">Your kitchens</h2>
      <p role="status" className={deleted ? css.undo : 'visually-hidden'}>
        {deleted && (
          <>
            {deleted.kitchen.name} was deleted.{' '}
            <Button size="compact-sm" variant="default" onClick={() => void restore()}>
              Undo
            </Button>
          </>
        )}
      </p>
      <ul className={css.list}>
        {list.map((kitchen, at) => {
          const { id, name, updatedAt } = kitchen;
          return (
            <li key={id} className={css.mine}>
              {renaming?.id === id ? (
                <form
                  className={css.rename}
                  onSubmit={(e) => {
                    e.preventDefault();
                    void rename();
                  }}
                >
                  <TextInput
                    aria-label={`New name of ${name}`}
                    value={renaming.name}
                    maxLength={80}
                    data-autofocus
                    autoFocus
                    onChange={(e) => setRenaming({ id, name: e.currentTarget.value })}
                    onKeyDown={(e) => e.key === 'Escape' && setRenaming(null)}
                  />
                  <Button type="submit" size="compact-sm" variant="default">
                    Rename
                  </Button>
                </form>
              ) : (
                <a href={`/kitchens/${id}`}>
                  <strong>{name}</strong>
                  <span className="faded">
                    {noted.has(id)
                      ? 'has changes that are not saved yet: open it to save them'
                      : `changed ${moment(updatedAt)}`}
                  </span>
                  <Due id={id} />
                </a>
              )}
              <span className={css.manage}>
                {(
                  [
                    ['Rename', () => setRenaming({ id, name })],
                    ['Copy', () => void copy(id)],
                    ['Delete', () => void remove(kitchen, at)],
                  ] as const
                ).map(([word, work]) => (
                  <button key={word} type="button" aria-label={`${word} ${name}`} onClick={work}>
                    {word}
                  </button>
                ))}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What is due in a kitchen today, as this device knows it. */
function Due({ id }: { id: string }) {
  const [first, ...more] = dueBy(id, today());
  if (!first) return null;
  return (
    <span className={css.due}>
      Due: {first.title.toLowerCase()}
      {more.length > 0 && `, and ${more.length} more`}
    </span>
  );
}
