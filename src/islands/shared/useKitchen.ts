import type { Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { StoredKitchen } from '../../client/kitchens';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { begun, changed, redone, undone, type History } from './history';

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'stale' | 'refused';
const SAVE_AFTER_MS = 350;
const TRY_AGAIN_MS = 4000;

/** Undone and done again survive the way from page to page, not the window. */
const remembered = (id: string) => `scabbard.history.${id}`;
/** What was still on its way to the server when a page was left. */
const onItsWay = (id: string) => `scabbard.unsaved.${id}`;
/** Most characters of history kept between pages. */
const MOST_REMEMBERED = 1_500_000;

function remember(id: string, { past, present, future }: History): void {
  try {
    const text = JSON.stringify({ past: past.slice(-40), present, future: future.slice(-40) });
    if (text.length <= MOST_REMEMBERED) sessionStorage.setItem(remembered(id), text);
  } catch {
    // a full or forbidden store only costs the undo of another page
  }
}

/**
 * The kitchen on this page: edits save as they are made, one at a time, each naming the version it was made on. Every edit can be undone
 * and done again.
 */
export function useKitchen(stored: StoredKitchen, worker: Remote<KitchenWorker>) {
  const [history, setHistory] = useState(() => begun(stored.kitchen));
  const kitchen = history.present;
  const [state, setState] = useState<SaveState>('saved');
  const [why, setWhy] = useState('');
  const latest = useRef(stored.kitchen);
  const told = useRef(history);
  const version = useRef(stored.version);
  const saved = useRef(stored.kitchen);
  /** The kitchen being saved just now. */
  const sending = useRef<KitchenFile>(null);
  /** What the page before this one left unsaved, as text. */
  const left = useRef('');
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const save = useCallback(() => {
    const attempt = async (): Promise<void> => {
      if (sending.current) return;
      if (saved.current === latest.current) {
        setState('saved');
        return;
      }
      const sent = latest.current;
      sending.current = sent;
      setState('saving');
      let again: number | null = null;
      const outcome = await worker.save(stored.id, version.current, sent, left.current);
      if ('version' in outcome) {
        version.current = outcome.version;
        saved.current = sent;
        if (latest.current === sent) setState('saved');
        else again = 0;
      } else {
        const { refused } = outcome;
        setWhy(outcome.why);
        setState(refused === 409 ? 'stale' : refused >= 400 && refused < 500 ? 'refused' : 'unsaved');
        if (refused === 0 || refused >= 500) again = TRY_AGAIN_MS;
      }
      sending.current = null;
      if (again !== null) timer.current = setTimeout(() => void attempt(), again);
    };
    return attempt();
  }, [stored.id, worker]);

  const move = useCallback(
    (to: (history: History) => History) => {
      const next = to(told.current);
      if (next === told.current) return;
      told.current = next;
      latest.current = next.present;
      setHistory(next);
      remember(stored.id, next);
      setState('saving');
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void save(), SAVE_AFTER_MS);
    },
    [save, stored.id],
  );
  const update = useCallback(
    (change: (kitchen: KitchenFile) => KitchenFile) => move((h) => changed(h, change(h.present), performance.now())),
    [move],
  );
  const undo = useCallback(() => move(undone), [move]);
  const redo = useCallback(() => move(redone), [move]);

  useEffect(() => {
    left.current = sessionStorage.getItem(onItsWay(stored.id)) ?? '';
    sessionStorage.removeItem(onItsWay(stored.id));
    const text = sessionStorage.getItem(remembered(stored.id)) ?? '';
    if (!text && !left.current) return;
    void worker.takeUp(stored, text, left.current).then(({ kitchen, history: before }) => {
      if (told.current.past.length > 0) {
        // edited before this answer came: a conflict is asked about
        left.current = '';
        return;
      }
      if (before) {
        told.current = { ...before, present: kitchen ?? told.current.present, at: -Infinity };
        setHistory(told.current);
      }
      if (!kitchen) return;
      if (!before) move((h) => changed(h, kitchen, performance.now()));
      latest.current = kitchen;
      void save();
    });
  }, [stored, worker, move, save]);

  /** After a refused stale save: take over what the other window wrote, or write ours over it. */
  const settle = useCallback(
    async (keep: 'theirs' | 'mine') => {
      const theirs = await worker.fetch(stored.id);
      version.current = theirs.version;
      if (keep === 'theirs') {
        latest.current = theirs.kitchen;
        saved.current = theirs.kitchen;
        told.current = changed(told.current, theirs.kitchen, performance.now());
        setHistory(told.current);
        setState('saved');
      } else await save();
    },
    [save, stored.id, worker],
  );

  useEffect(() => {
    // leaving the page sends what the timer still holds; the next page takes it up, should it be served before that has arrived
    const flush = () => {
      if (saved.current === latest.current) return;
      const [kitchen, sent] = [latest.current, sending.current];
      sessionStorage.setItem(onItsWay(stored.id), JSON.stringify({ version: version.current, kitchen, sent }));
      if (sent === kitchen) return;
      const body = JSON.stringify({ version: version.current + (sent ? 1 : 0), kitchen });
      void fetch(`/api/kitchens/${stored.id}`, {
        method: 'PUT',
        body,
        headers: { 'content-type': 'application/json' },
        keepalive: true,
      }).catch(() => undefined);
    };
    addEventListener('pagehide', flush);
    return () => removeEventListener('pagehide', flush);
  }, [stored.id]);

  return {
    kitchen,
    update,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    state,
    why,
    settle,
  };
}

export type KitchenEdits = ReturnType<typeof useKitchen>;
export type Update = KitchenEdits['update'];

/** What a form of questions about a kitchen is given. */
export interface QuestionProps {
  kitchen: KitchenFile;
  update: Update;
}
