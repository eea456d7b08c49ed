import { defineMiddleware } from 'astro:middleware';
import { problem } from './server/http';
import { COOKIE_SECONDS, createWorkspace, findWorkspace, WORKSPACE_COOKIE } from './server/workspaces';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Writes come from our own pages only: the Origin header names this host. */
function isSameOrigin(request: Request, url: URL): boolean {
  const origin = request.headers.get('origin');
  const site = request.headers.get('sec-fetch-site');
  if (site && site !== 'same-origin') return false;
  return origin !== null && origin === `${url.protocol}//${request.headers.get('host') ?? url.host}`;
}

/** A workspace that owns nothing: what a browser without a cookie reads from. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

const HEADERS: Record<string, string> = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'permissions-policy': 'camera=(), geolocation=(), microphone=()',
};

export const onRequest = defineMiddleware(async ({ request, url, cookies, locals }, next) => {
  if (!SAFE.has(request.method) && !isSameOrigin(request, url))
    return problem(403, 'Refused', 'This request did not come from one of our own pages.');
  if (url.pathname !== '/health') {
    const found = await findWorkspace(cookies.get(WORKSPACE_COOKIE)?.value);
    const isPage = !url.pathname.startsWith('/api/');
    locals.workspaceId = found ?? NOBODY;
    if (!found && (isPage || request.method === 'POST')) {
      // a first visit gets a workspace of its own
      const { id, token } = await createWorkspace();
      locals.workspaceId = id;
      cookies.set(WORKSPACE_COOKIE, token, {
        path: '/',
        httpOnly: true,
        sameSite: 'lax',
        secure: url.protocol === 'https:',
        maxAge: COOKIE_SECONDS,
      });
    }
  }
  const response = await next();
  for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
  return response;
});
