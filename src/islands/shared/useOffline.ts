import { useEffect, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { isKept, keepOffline } from '../../client/offline';

/** Keeping a page for later waits until the page itself is done, ms. */
const LATER_MS = 5_000;

/** Keeps this kitchen on the device; gives what starts a new version of the application, once there is one. */
export function useOffline(id: string): (() => void) | null {
  const [start, setStart] = useState<(() => void) | null>(null);
  useEffect(() => {
    // where it cannot be kept, as in a private window, the page works as long as there is a network
    const later = setTimeout(() => void keepOffline(id, (go) => setStart(() => go)).catch(() => undefined), LATER_MS);
    return () => clearTimeout(later);
  }, [id]);
  return start;
}

/** A kitchen as it is now: a page kept on the device may show an earlier state; null until that is known. */
export function useLatest(stored: StoredKitchen): StoredKitchen | null {
  const [latest, setLatest] = useState<StoredKitchen | null>(() => (isKept() ? null : stored));
  useEffect(() => {
    if (latest) return;
    const look = async () => (await import('../../client/kitchens')).fetchKitchen(stored.id);
    look().then(setLatest, () => setLatest(stored));
  }, [latest, stored]);
  return latest;
}
