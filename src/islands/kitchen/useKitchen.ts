import type { Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { StoredKitchen } from '../../client/kitchens';
import type { KitchenWorker } from '../../workers/kitchen.worker';

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'stale' | 'refused';
const SAVE_AFTER_MS = 350;
const TRY_AGAIN_MS = 4000;

/** The kitchen on this page: edits save as they are made, one at a time, each naming the version it was made on. */
export function useKitchen(stored: StoredKitchen, worker: Remote<KitchenWorker>) {
  const [kitchen, setKitchen] = useState(stored.kitchen);
  const [state, setState] = useState<SaveState>('saved');
  const [why, setWhy] = useState('');
  const latest = useRef(stored.kitchen);
  const version = useRef(stored.version);
  const saved = useRef(stored.kitchen);
  const busy = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);

  const save = useCallback(() => {
    const attempt = async (): Promise<void> => {
      if (busy.current || saved.current === latest.current) return;
      busy.current = true;
      const sent = latest.current;
      setState('saving');
      let again: number | null = null;
      const outcome = await worker.save(stored.id, version.current, sent);
      if ('version' in outcome) {
        version.current = outcome.version;
        saved.current = sent;
        setState('saved');
        if (latest.current !== sent) again = 0;
      } else {
        const { refused } = outcome;
        setWhy(outcome.why);
        setState(refused === 409 ? 'stale' : refused >= 400 && refused < 500 ? 'refused' : 'unsaved');
        if (refused === 0 || refused >= 500) again = TRY_AGAIN_MS;
      }
      busy.current = false;
      if (again !== null) timer.current = setTimeout(() => void attempt(), again);
    };
    return attempt();
  }, [stored.id, worker]);

  const update = useCallback(
    (change: (kitchen: KitchenFile) => KitchenFile) => {
      latest.current = change(latest.current);
      setKitchen(latest.current);
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void save(), SAVE_AFTER_MS);
    },
    [save],
  );

  /** After a refused stale save: take over what the other window wrote, or write ours over it. */
  const settle = useCallback(
    async (keep: 'theirs' | 'mine') => {
      const theirs = await worker.fetch(stored.id);
      version.current = theirs.version;
      if (keep === 'theirs') {
        latest.current = theirs.kitchen;
        saved.current = theirs.kitchen;
        setKitchen(theirs.kitchen);
        setState('saved');
      } else await save();
    },
    [save, stored.id, worker],
  );

  useEffect(() => {
    // leaving the page flushes what the timer still holds
    const flush = () => {
      if (saved.current === latest.current || busy.current) return;
      const body = JSON.stringify({ version: version.current, kitchen: latest.current });
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

  return { kitchen, update, state, why, settle };
}
