import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import { Dialog } from './Dialog';
import { isTyping } from './typing';
import css from './Keys.module.css';

/** Every key that does something, with what it does. */
const KEYS = [
  { keys: ['Tab', 'Shift Tab'], does: 'go from answer to answer and along the pockets, and back' },
  { keys: ['Space', 'Enter'], does: 'press, open or choose' },
  { keys: ['←', '→', '↑', '↓'], does: 'choose among tabs, move a slider, go from cell to cell in knives by task' },
  { keys: ['Home', 'End'], does: 'a slider’s lowest and highest; the first and last cell of a row' },
  { keys: ['Escape'], does: 'close what is open: a pocket, a dialog, a new name' },
  { keys: ['Ctrl Z'], does: 'undo the last change of a kitchen' },
  { keys: ['Ctrl Shift Z', 'Ctrl Y'], does: 'do it again' },
  { keys: ['Space', 'arrows', 'Space'], does: 'in order and locks: pick a step up, move it, put it down' },
  { keys: ['?'], does: 'show these keys' },
] as const;

/** The list of keys, opened by `?` anywhere but where one types. */
export function Keys() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key !== '?' || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      event.preventDefault();
      setOpen(true);
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
  const close = () => setOpen(false);
  return (
    <Dialog open={open} title="Keys" onClose={close}>
      {open && (
        <>
          <dl className={css.keys}>
            {KEYS.map(({ keys, does }) => (
              <div key={keys.join()}>
                <dt>
                  {keys.map((key, i) => (
                    <kbd key={i}>{key}</kbd>
                  ))}
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <p className="faded">On a Mac, Command in place of Ctrl.</p>
          <Button variant="default" autoFocus onClick={close}>
            Close
          </Button>
        </>
      )}
    </Dialog>
  );
}
