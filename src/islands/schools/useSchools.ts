import { proxy, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { SchoolView } from '../../workers/argue';
import type { KitchenWorker } from '../../workers/kitchen.worker';

export type Sets = Awaited<ReturnType<KitchenWorker['sets']>>;

/** Every school asked about a kitchen, one by one, and then the sets on sale; a change asks again while the old answers stay in sight. */
export function useSchools(kitchen: KitchenFile, worker: Remote<KitchenWorker>, ready: boolean) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const [schools, setSchools] = useState<SchoolView[]>([]);
  const [sets, setSets] = useState<Sets>([]);
  /** How many schools have answered of this kitchen; null once all have. */
  const [done, setDone] = useState<number | null>(0);
  useEffect(() => {
    if (!ready) return;
    let stale = false;
    // what is told and what is answered come by two ways: the last school may be told after the answer
    let answered = false;
    const told: SchoolView[] = [];
    const tell = (school: SchoolView) => {
      if (stale) return;
      told.push(school);
      if (!answered) setDone(told.length);
      // the old answers stay until the new one of the same school is there
      setSchools((before) => [...told, ...before.filter((b) => !told.some((t) => t.id === b.id))]);
    };
    const askAll = async () => {
      const all = await worker.schools(kitchen, proxy(tell));
      if (stale) return;
      answered = true;
      setDone(null);
      setTrouble(null);
      if (!all) return;
      const verdicts = await worker.sets(kitchen);
      if (!stale) setSets(verdicts);
    };
    askAll().catch((error: unknown) => {
      if (!stale) setTrouble(error instanceof Error ? error.message : 'The schools could not be asked.');
    });
    return () => {
      stale = true;
    };
  }, [ready, kitchen, worker]);
  return { schools, sets, done, trouble };
}
