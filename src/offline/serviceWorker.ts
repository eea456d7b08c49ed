import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { registerRoute, setCatchHandler } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import {
  assetsIn,
  CACHES,
  isKeepKitchen,
  isPage,
  KEPT_PAGES,
  kitchenIn,
  marked,
  OFFLINE_PAGE,
  OWN_MODELS,
} from './kept';

interface Waiting extends Event {
  waitUntil: (work: Promise<unknown>) => void;
}
/** What is used of a service worker's scope; its types do not go together with those of pages. */
declare const self: {
  __WB_MANIFEST: Parameters<typeof precacheAndRoute>[0];
  location: Location;
  skipWaiting: () => Promise<void>;
  addEventListener: ((type: 'install' | 'activate', hear: (event: Waiting) => void) => void) &
    ((type: 'message', hear: (event: Waiting & MessageEvent<unknown>) => void) => void);
};

/** What is kept is shown when the network has not answered within this, s. */
const PATIENCE_S = 5;

precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
clientsClaim();

/** A page as it is kept: marked, and only where all it is made of is kept too; null otherwise. */
async function asKept(response: Response): Promise<Response | null> {
  if (response.status !== 200) return null;
  const html = await response.text();
  const parts = await Promise.all(assetsIn(html).map((asset) => matchPrecache(asset)));
  if (parts.includes(undefined)) return null;
  const headers = new Headers(response.headers);
  for (const ofTheWire of ['content-encoding', 'content-length']) headers.delete(ofTheWire);
  return new Response(marked(html), { headers });
}

const withoutQuery = (url: string) => url.replace(/[?#].*$/s, '');

const pages = new NetworkFirst({
  cacheName: CACHES.pages,
  networkTimeoutSeconds: PATIENCE_S,
  plugins: [
    {
      cacheWillUpdate: ({ response }) => asKept(response),
      cacheKeyWillBeUsed: ({ request }) => Promise.resolve(withoutQuery(request.url)),
      // a kitchen that is gone is gone from the device too
      fetchDidSucceed: async ({ request, response }) => {
        if (response.status === 404) await (await caches.open(CACHES.pages)).delete(withoutQuery(request.url));
        return response;
      },
    },
  ],
});
registerRoute(({ request, url }) => request.mode === 'navigate' && isPage(url.pathname), pages);
registerRoute(({ url }) => kitchenIn(url.pathname) !== null, new NetworkFirst({ cacheName: CACHES.kitchens }));
registerRoute(
  ({ url }) => `${url.pathname}${url.search}` === OWN_MODELS,
  new NetworkFirst({ cacheName: CACHES.models }),
);

/** A save that arrived is what the kitchen is now. */
registerRoute(
  ({ url }) => kitchenIn(url.pathname) !== null,
  async ({ request, url }) => {
    const sent = request.clone();
    const response = await fetch(request);
    if (response.ok) await noteSaved(url, sent, response.clone()).catch(() => undefined);
    return response;
  },
  'PUT',
);
async function noteSaved(url: URL, sent: Request, answer: Response): Promise<void> {
  const [{ kitchen }, { version }] = (await Promise.all([sent.json(), answer.json()])) as [
    { kitchen: unknown },
    { version: unknown },
  ];
  const now = JSON.stringify({ id: kitchenIn(url.pathname), version, kitchen });
  const headers = { 'content-type': 'application/json' };
  await (await caches.open(CACHES.kitchens)).put(url.href, new Response(now, { headers }));
}

setCatchHandler(async ({ request }) => {
  const offline = request.mode === 'navigate' ? await caches.match(OFFLINE_PAGE) : undefined;
  return offline ?? Response.error();
});

self.addEventListener('install', (event) => event.waitUntil(keepPage(OFFLINE_PAGE)));
// pages made by another version name scripts that are no longer kept
self.addEventListener('activate', (event) =>
  event.waitUntil(caches.delete(CACHES.pages).then(() => keepPage(OFFLINE_PAGE))),
);
self.addEventListener('message', (event) => {
  const message: unknown = event.data;
  if (isKeepKitchen(message)) event.waitUntil(keepKitchen(message.id));
  else if ((message as { type?: unknown } | null)?.type === 'SKIP_WAITING') void self.skipWaiting();
});

async function keepPage(path: string): Promise<void> {
  const cache = await caches.open(CACHES.pages);
  const key = new URL(path, self.location.origin).href;
  if (await cache.match(key)) return;
  const page = await asKept(await fetch(path));
  if (page) await cache.put(key, page);
}

/** Keeps the pages of a kitchen, its file and the models of one’s own, what is not there yet. */
async function keepKitchen(id: string): Promise<void> {
  const keepAnswer = async (cacheName: string, path: string) => {
    const response = await fetch(path);
    if (response.ok) await (await caches.open(cacheName)).put(new URL(path, self.location.origin).href, response);
  };
  await keepAnswer(CACHES.kitchens, `/api/kitchens/${id}`);
  await keepAnswer(CACHES.models, OWN_MODELS);
  for (const path of ['/', ...KEPT_PAGES.map((page) => `/kitchens/${id}${page}`)]) await keepPage(path);
}
