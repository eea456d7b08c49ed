/** What a device keeps so that a kitchen opens without a network. */

/** Pages that open without a network once any page of their kitchen was opened: behind the kitchen’s address. */
export const KEPT_PAGES = ['', '/shop', '/try/hand', '/try/food', '/keep/use', '/keep/wall'] as const;
/** Where one is sent for a page that is not kept. */
export const OFFLINE_PAGE = '/offline';

/** Where the models of one’s own are had. */
export const OWN_MODELS = '/api/catalogue?only=own';

/** Names of the caches. What a workspace left in them goes when it is forgotten. */
export const CACHES = { pages: 'scabbard-pages', kitchens: 'scabbard-kitchens', models: 'scabbard-models' } as const;

/** What a page asks of the service worker: keep what this kitchen needs. */
export interface KeepKitchen {
  type: 'keep-kitchen';
  id: string;
}
const KITCHEN_ID = /^[0-9a-f-]{36}$/;
export const isKeepKitchen = (message: unknown): message is KeepKitchen =>
  typeof message === 'object' &&
  message !== null &&
  'type' in message &&
  message.type === 'keep-kitchen' &&
  'id' in message &&
  typeof message.id === 'string' &&
  KITCHEN_ID.test(message.id);

/** The id in the address of a kitchen’s file of the server, `/api/kitchens/ID`; null for any other address. */
export function kitchenIn(pathname: string): string | null {
  const [, id = ''] = /^\/api\/kitchens\/([^/]+)$/.exec(pathname) ?? [];
  return KITCHEN_ID.test(id) ? id : null;
}

export const isPage = (pathname: string): boolean =>
  pathname === '/' || /^\/kitchens\/[0-9a-f-]{36}(?:\/|$)/.test(pathname);

/** Every script, style and font a page names. */
export const assetsIn = (html: string): string[] => [
  ...new Set([...html.matchAll(/["'(](\/assets\/[^"')?#]+)/g)].map(([, path = '']) => path)),
];

/** A page marked as kept, so that it looks for a later state of its kitchen before it is edited. */
export const marked = (html: string): string => html.replace('<html ', '<html data-kept ');
