import { Button, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
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

/** The kitchens of a list and what is done to them; a deletion is remembered until the next, with its place in the list. */
function useList(kitchens: ListedKitchen[], onTrouble: (why: string) => void) {
  const [list, setList] = useState(kitchens);
  const [deleted, setDeleted] = useState<{ kitchen: ListedKitchen; at: number } | null>(null);
  /** Whether it went well. */
  const trying = async (work: () => Promise<void>): Promise<boolean> => {
    try {
      await work();
      return true;
    } catch (error) {
      onTrouble(error instanceof Refused ? error.message : 'The server could not do this; nothing was changed.');
      return false;
    }
  };
  return {
    list,
    deleted: deleted?.kitchen ?? null,
    copy: (id: string) =>
      trying(async () => {
        const made = await createKitchen({ from: 'copy', of: id });
        const name = made.kitchen.name ?? 'My kitchen';
        setList((now) => [{ id: made.id, name, updatedAt: new Date().toISOString() }, ...now]);
      }),
    rename: (id: string, name: string) =>
      trying(async () => {
        if (!name) return;
        await renameKitchen(id, name);
        setList((now) => now.map((k) => (k.id === id ? { ...k, name } : k)));
      }),
    remove: (kitchen: ListedKitchen) =>
      trying(async () => {
        await deleteKitchen(kitchen.id);
        setList((now) => now.filter((k) => k.id !== kitchen.id));
        setDeleted({ kitchen, at: list.indexOf(kitchen) });
      }),
    restore: () =>
      trying(async () => {
        if (!deleted) return;
        await restoreKitchen(deleted.kitchen.id);
        setList((now) => [...now.slice(0, deleted.at), deleted.kitchen, ...now.slice(deleted.at)]);
        setDeleted(null);
      }),
  };
}

/** One's own kitchens: open, rename, copy or delete each; a deletion can be taken back. */
export function KitchenList({ kitchens, onTrouble }: { kitchens: ListedKitchen[]; onTrouble: (why: string) => void }) {
  const { list, deleted, copy, rename, remove, restore } = useList(kitchens, onTrouble);
  const [noted] = useState(notedKitchens);
  const [renaming, setRenaming] = useState<string | null>(null);
  if (list.length === 0 && !deleted) return null;
  return (
    <section aria-labelledby="mine">
      <h2 id="mine">Your kitchens</h2>
      <p role="status" className={deleted ? css.undo : 'visually-hidden'}>
        {deleted && (
          <>
            {deleted.name} was deleted.{' '}
            <Button size="compact-sm" variant="default" onClick={() => void restore()}>
              Undo
            </Button>
          </>
        )}
      </p>
      <ul className={css.list}>
        {list.map((kitchen) => (
          <li key={kitchen.id} className={css.mine}>
            {renaming === kitchen.id ? (
              <Rename
                name={kitchen.name}
                onName={(name) => void rename(kitchen.id, name).then((done) => done && setRenaming(null))}
                onLeave={() => setRenaming(null)}
              />
            ) : (
              <Open kitchen={kitchen} unsaved={noted.has(kitchen.id)} />
            )}
            <span className={css.manage}>
              {(
                [
                  ['Rename', () => setRenaming(kitchen.id)],
                  ['Copy', () => void copy(kitchen.id)],
                  ['Delete', () => void remove(kitchen)],
                ] as const
              ).map(([word, work]) => (
                <button key={word} type="button" aria-label={`${word} ${kitchen.name}`} onClick={work}>
                  {word}
                </button>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Open({ kitchen: { id, name, updatedAt }, unsaved }: { kitchen: ListedKitchen; unsaved: boolean }) {
  return (
    <a href={`/kitchens/${id}`}>
      <strong>{name}</strong>
      <span className="faded">
        {unsaved ? 'has changes that are not saved yet: open it to save them' : `changed ${moment(updatedAt)}`}
      </span>
      <Due id={id} />
    </a>
  );
}

function Rename({ name, onName, onLeave }: { name: string; onName: (name: string) => void; onLeave: () => void }) {
  const form = useForm({ initialValues: { name } });
  return (
    <form className={css.rename} onSubmit={form.onSubmit((typed) => onName(typed.name.trim()))}>
      <TextInput
        aria-label={`New name of ${name}`}
        maxLength={80}
        data-autofocus
        autoFocus
        {...form.getInputProps('name')}
        onKeyDown={(e) => e.key === 'Escape' && onLeave()}
      />
      <Button type="submit" size="compact-sm" variant="default">
        Rename
      </Button>
    </form>
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
