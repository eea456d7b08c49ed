import type { Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { StoredKitchen } from '../../client/kitchens';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { dropNote, keepNote, takeNote } from './device';
import { begun, changed, redone, undone, type History } from './history';
import { Saver, type Doors, type SaveState } from './saver';

export type { SaveState } from './saver';

/** Undone and done again survive the way from page to page, not the window. */
const remembered = (id: string) => `scabbard.history.${id}`;
/** Most characters of history kept between pages. */
const MOST_REMEMBERED = 1_500_000;
/** How often it is asked whether another browser has saved, ms. */
const LOOK_EVERY_MS = 15_000;
/** Windows of this browser tell each other of a save here. */
const CHANNEL = 'scabbard.saves';

function remember(id: string, { past, present, future }: History): void {
  try {
    const text = JSON.stringify({ past: past.slice(-40), present, future: future.slice(-40) });
    if (text.length <= MOST_REMEMBERED) sessionStorage.setItem(remembered(id), text);
  } catch {
    // a full or forbidden store only costs the undo of another page
  }
}

/** A message of another window, when it is about this kitchen. */
const versionIn = (message: unknown, id: string): number | null =>
  typeof message === 'object' &&
  message !== null &&
  'id' in message &&
  message.id === id &&
  'version' in message &&
  typeof message.version === 'number'
    ? message.version
    : null;

/** Listens for saves of other windows and browsers while this window is looked at. */
function useOthers(id: string, worker: Remote<KitchenWorker>, saver: Saver, channel: BroadcastChannel): void {
  useEffect(() => {
    const hear = (event: MessageEvent<unknown>) => {
      const version = versionIn(event.data, id);
      if (version !== null) void saver.heard(version).catch(() => undefined);
    };
    const look = () => {
      if (document.visibilityState !== 'visible') return;
      // nobody answers while the server is away; the next look is soon
      void worker
        .version(id)
        .then((version) => saver.heard(version))
        .catch(() => undefined);
    };
    const send = () => void saver.save();
    channel.addEventListener('message', hear);
    document.addEventListener('visibilitychange', look);
    addEventListener('online', send);
    const timer = setInterval(look, LOOK_EVERY_MS);
    return () => {
      channel.removeEventListener('message', hear);
      document.removeEventListener('visibilitychange', look);
      removeEventListener('online', send);
      clearInterval(timer);
    };
  }, [id, worker, saver, channel]);
}

/** Leaving the page sends what is still on its way; the next page takes it up, should it be served before that has arrived. */
function useLeaving(id: string, saver: Saver): void {
  useEffect(() => {
    const leave = () => {
      const rest = saver.leave();
      if (!rest) return;
      void fetch(`/api/kitchens/${id}`, {
        method: 'PUT',
        body: JSON.stringify(rest),
        headers: { 'content-type': 'application/json' },
        keepalive: true,
      }).catch(() => undefined);
    };
    const ask = (event: BeforeUnloadEvent) => {
      if (saver.asksBeforeLeaving) event.preventDefault();
    };
    addEventListener('pagehide', leave);
    addEventListener('beforeunload', ask);
    return () => {
      removeEventListener('pagehide', leave);
      removeEventListener('beforeunload', ask);
    };
  }, [id, saver]);
}

const TOOK = 'took';
/** Another window's kitchen takes the place of the one on this page. */
class Took extends Event {
  constructor(readonly kitchen: KitchenFile) {
    super(TOOK);
  }
}

/** What saves the kitchen of this page, and what the page before it left unsaved. */
function begin(
  stored: StoredKitchen,
  worker: Remote<KitchenWorker>,
  tell: (saving: { state: SaveState; why: string }) => void,
) {
  const { id } = stored;
  const left = takeNote(id);
  const channel = new BroadcastChannel(CHANNEL);
  const elsewhere = new EventTarget();
  const doors: Doors = {
    save: (version, kitchen, before) => worker.save(id, version, kitchen, before),
    fetch: () => worker.fetch(id),
    note: (unsaved) => (unsaved ? keepNote(id, JSON.stringify(unsaved)) : dropNote(id)),
    announce: (version) => channel.postMessage({ id, version }),
    tell: (state, why) => tell({ state, why }),
    took: (kitchen) => elsewhere.dispatchEvent(new Took(kitchen)),
    later: (work, ms) => {
      const timer = setTimeout(work, ms);
      return () => clearTimeout(timer);
    },
  };
  return { saver: new Saver(stored, doors, left), channel, left, elsewhere };
}

/** The history of the kitchen on this page, the same for what is drawn and for what is done between two drawings. */
function useHistory(stored: StoredKitchen) {
  const [history, setHistory] = useState(() => begun(stored.kitchen));
  const told = useRef(history);
  const show = useCallback((next: History) => {
    told.current = next;
    setHistory(next);
  }, []);
  return { history, told, show };
}

/** Takes up what the page before left: its undo, and edits that were on their way. */
function useTakingUp(
  stored: StoredKitchen,
  worker: Remote<KitchenWorker>,
  { saver, left }: ReturnType<typeof begin>,
  { told, show }: Pick<ReturnType<typeof useHistory>, 'told' | 'show'>,
): void {
  useEffect(() => {
    const text = sessionStorage.getItem(remembered(stored.id)) ?? '';
    if (!text && !left) return;
    void worker.takeUp(stored, text, left).then(({ kitchen, conflict, history: before }) => {
      // edited before this answer came: a conflict is asked about
      if (told.current.past.length > 0) return;
      if (before) show({ ...before, present: kitchen ?? told.current.present, at: -Infinity });
      else if (kitchen) show(changed(told.current, kitchen, performance.now()));
      if (kitchen) saver.takeUp(kitchen, conflict);
    });
  }, [stored, worker, saver, left, told, show]);
}

/**
 * The kitchen on this page: edits save as they are made, one at a time, each naming the version it was made on; until the server has them they
 * are kept on the device. Every edit can be undone and done again.
 */
export function useKitchen(stored: StoredKitchen, worker: Remote<KitchenWorker>) {
  const { id } = stored;
  const [{ state, why }, setSaving] = useState<{ state: SaveState; why: string }>({ state: 'saved', why: '' });
  const [fromElsewhere, setFromElsewhere] = useState(false);
  const { history, told, show } = useHistory(stored);
  const [saving] = useState(() => begin(stored, worker, setSaving));
  const { saver, channel, elsewhere } = saving;

  useEffect(() => {
    const took = (event: Event) => {
      if (!(event instanceof Took)) return;
      setFromElsewhere(true);
      show(changed(told.current, event.kitchen, performance.now()));
    };
    elsewhere.addEventListener(TOOK, took);
    return () => elsewhere.removeEventListener(TOOK, took);
  }, [elsewhere, told, show]);

  const move = useCallback(
    (to: (history: History) => History) => {
      const next = to(told.current);
      if (next === told.current) return;
      show(next);
      remember(id, next);
      setFromElsewhere(false);
      saver.edit(next.present);
    },
    [saver, id, told, show],
  );
  const update = useCallback(
    (change: (kitchen: KitchenFile) => KitchenFile, { alone = false } = {}) =>
      move((h) => changed(h, change(h.present), performance.now(), alone)),
    [move],
  );

  useTakingUp(stored, worker, saving, { told, show });
  useOthers(id, worker, saver, channel);
  useLeaving(id, saver);

  return {
    kitchen: history.present,
    update,
    undo: useCallback(() => move(undone), [move]),
    redo: useCallback(() => move(redone), [move]),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    state,
    why,
    fromElsewhere,
    settle: useCallback((keep: 'theirs' | 'mine') => saver.settle(keep), [saver]),
  };
}

export type KitchenEdits = ReturnType<typeof useKitchen>;
export type Update = KitchenEdits['update'];

/** What a form of questions about a kitchen is given. */
export interface QuestionProps {
  kitchen: KitchenFile;
  update: Update;
}
