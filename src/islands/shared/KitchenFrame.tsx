import { ActionIcon, Button, TextInput } from '@mantine/core';
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react';
import type { Remote } from 'comlink';
import { useEffect, type ReactNode } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Dress } from './Dress';
import css from './KitchenFrame.module.css';
import type { ViewId } from './KitchenMast';
import { KitchenMast } from './KitchenMast';
import type { KitchenEdits, SaveState } from './useKitchen';
import { useKitchen } from './useKitchen';
import { useKitchenWorker } from './useKitchenWorker';

const SAVE_WORDS: Record<SaveState, string> = {
  saved: 'Saved',
  saving: 'Saving…',
  unsaved: 'Not saved yet',
  stale: 'Changed elsewhere',
  refused: 'Not saved',
};

interface Props {
  stored: StoredKitchen;
  here: ViewId;
  /** Further tools in the masthead. */
  tools?: ReactNode;
  children: (edits: KitchenEdits, worker: Remote<KitchenWorker>) => ReactNode;
}

/** What every view that changes a kitchen shares: its name, undo and redo, whether it is saved, and what to do when it is not. */
export function KitchenFrame(props: Props) {
  return (
    <Dress>
      <Frame {...props} />
    </Dress>
  );
}

/** Whether a key press belongs to a field that undoes its own typing. */
function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLTextAreaElement ||
    (target instanceof HTMLInputElement && !['radio', 'checkbox', 'range', 'button', 'file'].includes(target.type))
  );
}

function useUndoKeys({ undo, redo }: KitchenEdits): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || isTyping(event.target)) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redo();
      else undo();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, [undo, redo]);
}

function Frame({ stored, here, tools, children }: Props) {
  const worker = useKitchenWorker();
  const edits = useKitchen(stored, worker);
  const { kitchen, update, undo, redo, canUndo, canRedo, state, why, settle } = edits;
  useUndoKeys(edits);

  return (
    <>
      <KitchenMast
        kitchenId={stored.id}
        here={here}
        name={
          <TextInput
            className={css.name ?? ''}
            aria-label="Name of this kitchen"
            variant="unstyled"
            value={kitchen.name ?? ''}
            placeholder="My kitchen"
            maxLength={80}
            onChange={(e) => {
              const name = e.currentTarget.value;
              update((k) => ({ ...k, name: name.trim() ? name : undefined }));
            }}
          />
        }
      >
        <span className={css.steps}>
          <ActionIcon
            variant="subtle"
            color="gray"
            size="lg"
            className={css.step ?? ''}
            aria-label="Undo (Ctrl+Z)"
            title="Undo (Ctrl+Z)"
            disabled={!canUndo}
            onClick={undo}
          >
            <IconArrowBackUp size={20} />
          </ActionIcon>
          <ActionIcon
            variant="subtle"
            color="gray"
            size="lg"
            className={css.step ?? ''}
            aria-label="Redo (Ctrl+Shift+Z)"
            title="Redo (Ctrl+Shift+Z)"
            disabled={!canRedo}
            onClick={redo}
          >
            <IconArrowForwardUp size={20} />
          </ActionIcon>
        </span>
        <span className="faded" role="status" title={why}>
          {SAVE_WORDS[state]}
        </span>
        {tools}
      </KitchenMast>

      {state === 'stale' && (
        <div className={css.notice} role="alert">
          <p>This kitchen was changed in another window. Which version goes on?</p>
          <Button size="xs" variant="default" onClick={() => void settle('theirs')}>
            The other window’s
          </Button>
          <Button size="xs" variant="default" onClick={() => void settle('mine')}>
            This one
          </Button>
        </div>
      )}
      {state === 'refused' && (
        <div className={css.notice} role="alert">
          <p>The last change was not saved: {why}</p>
        </div>
      )}
      {state === 'unsaved' && (
        <div className={css.notice} role="alert">
          <p>{why} It is tried again by itself.</p>
        </div>
      )}
      {children(edits, worker)}
    </>
  );
}
