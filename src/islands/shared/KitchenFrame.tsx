import { ActionIcon, Button } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react';
import type { Remote } from 'comlink';
import { useState, type ReactNode } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Dress } from './Dress';
import css from './KitchenFrame.module.css';
import { KitchenMast } from './KitchenMast';
import type { PagePath } from './stages';
import { isTyping } from './typing';
import type { KitchenEdits, SaveState } from './useKitchen';
import { useKitchen } from './useKitchen';
import { useKitchenWorker } from './useKitchenWorker';
import { useLatest, useOffline } from './useOffline';

const SAVE_WORDS: Record<SaveState, string> = {
  saved: 'Saved',
  saving: 'Saving…',
  unsaved: 'Not saved yet',
  stale: 'Changed elsewhere',
  refused: 'Not saved',
};

interface Props {
  stored: StoredKitchen;
  here: PagePath | null;
  /** Further tools in the masthead. */
  tools?: ReactNode;
  children: (edits: KitchenEdits, worker: Remote<KitchenWorker>) => ReactNode;
}

/** What every view that changes a kitchen shares: its name, undo and redo, whether it is saved, and what to do when it is not. */
export function KitchenFrame(props: Props) {
  const stored = useLatest(props.stored);
  return <Dress>{stored && <Frame {...props} stored={stored} />}</Dress>;
}

function useUndoKeys({ undo, redo }: KitchenEdits): void {
  const unlessTyping = (work: () => void) => (event: KeyboardEvent) => {
    if (isTyping(event.target)) return;
    event.preventDefault();
    work();
  };
  const asPressed = { preventDefault: false };
  useHotkeys(
    [
      ['mod+Z', unlessTyping(undo), asPressed],
      ['mod+shift+Z', unlessTyping(redo), asPressed],
      ['mod+Y', unlessTyping(redo), asPressed],
    ],
    [],
  );
}

function Frame({ stored, here, tools, children }: Props) {
  const { worker, failed } = useKitchenWorker();
  const edits = useKitchen(stored, worker);
  const { kitchen, update, state, why, fromElsewhere, settle } = edits;
  useUndoKeys(edits);
  const startNewVersion = useOffline(stored.id);

  return (
    <>
      <KitchenMast
        kitchenId={stored.id}
        kitchen={kitchen}
        here={here}
        name={
          <input
            className={css.name}
            aria-label="Name of this kitchen"
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
        <Steps {...edits} />
        <span className={css.saved} role="status" title={why}>
          {state === 'saved' && fromElsewhere ? 'Updated from another window' : SAVE_WORDS[state]}
        </span>
        {tools}
      </KitchenMast>

      {children(edits, worker)}
      <SaveNotice {...{ state, why, settle }} />
      {startNewVersion && <NewVersion onStart={startNewVersion} />}
      {failed && <Broken />}
    </>
  );
}

/** Told at the foot of the window, wherever one scrolls; what one is about to press stays where it is. */
function Notice({ children }: { children: ReactNode }) {
  return (
    <div className={css.room}>
      <div className={css.notice} role="alert">
        {children}
      </div>
    </div>
  );
}

function NewVersion({ onStart }: { onStart: () => void }) {
  const [isLater, setLater] = useState(false);
  if (isLater) return null;
  return (
    <Notice>
      <p>A new version of Scabbard is ready. Starting it loads this page again; nothing is lost.</p>
      <Button size="xs" onClick={onStart}>
        Start it
      </Button>
      <Button size="xs" variant="default" onClick={() => setLater(true)}>
        Later
      </Button>
    </Notice>
  );
}

function Broken() {
  return (
    <Notice>
      <p>A part of this page could not be loaded. What you changed is kept on this device; load the page again.</p>
      <Button size="xs" variant="default" onClick={() => location.reload()}>
        Load again
      </Button>
    </Notice>
  );
}

/** Undo and redo. */
function Steps({ undo, redo, canUndo, canRedo }: KitchenEdits) {
  const steps = [
    { name: 'Undo (Ctrl+Z)', Icon: IconArrowBackUp, can: canUndo, go: undo },
    { name: 'Redo (Ctrl+Shift+Z)', Icon: IconArrowForwardUp, can: canRedo, go: redo },
  ];
  return (
    <span className={css.steps}>
      {steps.map(({ name, Icon, can, go }) => (
        <ActionIcon
          key={name}
          variant="subtle"
          color="gray"
          size="lg"
          className={css.step ?? ''}
          aria-label={name}
          title={name}
          disabled={!can}
          onClick={go}
        >
          <Icon size={20} />
        </ActionIcon>
      ))}
    </span>
  );
}

/** What keeps a kitchen from being saved. */
function SaveNotice({ state, why, settle }: Pick<KitchenEdits, 'state' | 'why' | 'settle'>) {
  if (state !== 'stale' && state !== 'unsaved' && state !== 'refused') return null;
  return (
    <Notice>
      {state === 'stale' && <WhichGoesOn settle={settle} />}
      {state === 'unsaved' && (
        <p>Not saved yet: {why} Your changes are kept on this device and are sent by themselves.</p>
      )}
      {state === 'refused' && (
        <p>
          The last change is not saved: {why} It is kept on this device; change it, or undo it, and it is tried again.
        </p>
      )}
    </Notice>
  );
}

function WhichGoesOn({ settle }: Pick<KitchenEdits, 'settle'>) {
  const [busy, setBusy] = useState(false);
  const choose = (keep: 'theirs' | 'mine') => {
    setBusy(true);
    void settle(keep)
      .catch(() => undefined)
      .finally(() => setBusy(false));
  };
  return (
    <>
      <p>
        This kitchen was also changed in another window. Your changes here are on this device, not saved yet. Which
        version do you want to keep?
      </p>
      <Button size="xs" variant="default" disabled={busy} onClick={() => choose('theirs')}>
        The other window’s
      </Button>
      <Button size="xs" variant="default" disabled={busy} onClick={() => choose('mine')}>
        This one
      </Button>
    </>
  );
}
