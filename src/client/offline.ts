import { CACHES, type KeepKitchen } from '../offline/kept';

/** Whether this browser and this connection let a page be kept for use without a network. */
export const canKeep = (): boolean => 'serviceWorker' in navigator;

/** Whether this page came from what the device keeps, and may be older than what was saved since. */
export const isKept = (): boolean => document.documentElement.dataset.kept !== undefined;

/**
 * Has this kitchen kept on the device. `onNewVersion` is called when a new version of the application is ready, with a function that starts it and loads the page again;
 * until then the old one goes on.
 */
export async function keepOffline(id: string, onNewVersion: (start: () => void) => void): Promise<void> {
  if (!canKeep() || !import.meta.env.PROD) return;
  const { Workbox } = await import('workbox-window');
  const workbox = new Workbox('/serviceWorker.js');
  workbox.addEventListener('waiting', () =>
    onNewVersion(() => {
      workbox.addEventListener('controlling', () => location.reload());
      workbox.messageSkipWaiting();
    }),
  );
  await workbox.register();
  const { active } = await navigator.serviceWorker.ready;
  active?.postMessage({ type: 'keep-kitchen', id } satisfies KeepKitchen);
}

/** Forgets what the device keeps of this workspace. */
export async function forgetKept(): Promise<void> {
  if ('caches' in globalThis) await Promise.all(Object.values(CACHES).map((name) => caches.delete(name)));
}
