import type { APIContext } from 'astro';
import { defineMiddleware } from 'astro:middleware';
import { beginPlanning } from './threads/planning';
import { outage } from './server/failures';
import { beginHousekeeping } from './server/housekeeping';
import { Answer, failed, problem } from './server/http';
import { checkMaking, checkPace, clientOf } from './server/pace';
import { beginReading } from './server/reading';
import { startLater } from './server/threads';
import { beginMaking } from './threads/making';
import { COOKIE_SECONDS, createWorkspace, findWorkspace, WORKSPACE_COOKIE } from './server/workspaces';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);
/** A workspace that owns nothing: what a browser without a cookie reads from. */
const NOBODY = '00000000-0000-0000-0000-000000000000';
/** What needs no workspace: whether the server is ready, and the pages that say that something is wrong. */
const PLAIN = new Set(['/ready', '/404', '/500', '/503']);

const protocolOf = (request: Request, url: URL) => request.headers.get('x-scabbard-protocol') ?? url.protocol;

/** Writes come from our own pages only: the Origin header names this host. */
function isSameOrigin(request: Request, url: URL): boolean {
  const origin = request.headers.get('origin');
  const site = request.headers.get('sec-fetch-site');
  if (site && site !== 'same-origin') return false;
  return origin !== null && origin === `${protocolOf(request, url)}//${request.headers.get('host') ?? url.host}`;
}

/** Finds the workspace of this browser, and gives the request the means to make one. */
async function prepare({ request, url, cookies, locals }: APIContext): Promise<void> {
  const token = cookies.get(WORKSPACE_COOKIE)?.value;
  const found = await findWorkspace(token);
  const isWrite = !SAFE.has(request.method);
  if (isWrite) checkPace(request, url.pathname, found);
  const setKey = (key: string | null) => {
    if (key === null) cookies.delete(WORKSPACE_COOKIE, { path: '/' });
    else
      cookies.set(WORKSPACE_COOKIE, key, {
        path: '/',
        httpOnly: true,
        sameSite: 'lax',
        secure: protocolOf(request, url) === 'https:',
        maxAge: COOKIE_SECONDS,
      });
  };
  locals.workspaceId = found ?? NOBODY;
  locals.token = (found && token) ?? '';
  locals.hasWorkspace = found !== null;
  locals.setKey = setKey;
  locals.ownWorkspace = async () => {
    if (locals.workspaceId !== NOBODY) return locals.workspaceId;
    checkMaking(clientOf(request));
    const made = await createWorkspace();
    setKey(made.token);
    locals.token = made.token;
    return (locals.workspaceId = made.id);
  };
  // a page renews the cookie: it ends a year after the last visit, not after the first
  if (found && token && !isWrite && !url.pathname.startsWith('/api/')) setKey(token);
}

let begun = false;
/** Starts what goes on beside the requests, with the first of them. */
function begin(): void {
  if (begun) return;
  begun = true;
  for (const each of [beginHousekeeping, beginReading, beginMaking, beginPlanning]) startLater(each);
}

export const onRequest = defineMiddleware(async (context, next) => {
  const { request, url } = context;
  const isPage = !url.pathname.startsWith('/api/');
  if (!SAFE.has(request.method) && !isSameOrigin(request, url))
    return problem(403, 'Refused', 'This request did not come from one of our own pages.');
  begin();
  try {
    if (!PLAIN.has(url.pathname)) await prepare(context);
    const response = await next();
    // a page may show a kitchen: no cache keeps it
    if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'no-store');
    return response;
  } catch (error) {
    if (error instanceof Answer) return error.response;
    const response = failed(request, error);
    return isPage ? next(outage(error) ? '/503' : '/500') : response;
  }
});
