// One server process: serves the built application named on the command line. Started, watched and stopped by supervise.ts.
import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import compression from 'compression';
import { pino } from 'pino';
import sirv from 'sirv';
import { pathForLog, readAddress } from './address';
import { Admission } from './admission';
import { ARRIVAL, arrivalTime, clientOf, FILE_POLICY, HEADERS, hostsAllowed, METHODS, refuse } from './front';
import { SharedPages, type Render } from './sharedPages';
import { ALIVE_EVERY_MS, type Report } from './reports';

/** A request's head must have arrived within this time, and all of it within that of `arrivalTime`, ms. */
const HEAD_TIMEOUT = 15_000;
/** An idle connection stays open longer than common proxies keep theirs (60 s), so that the proxy is the one to close it, ms. */
const KEEP_ALIVE = 75_000;
/** How often connections that take longer are looked for, ms. */
const CHECK_EVERY = 5_000;
/** Requests in flight may take this long to end when the server is told to stop, ms. */
const GRACE = 2_000;
/** After an error nobody caught, refusals may take this long to go out before the process ends, ms. */
const LAST_WORDS = 200;
/** How many requests one process works on; measured to keep answers under 200 ms at six hundred a second on two cores. */
const WORKING = Number(process.env.MAX_WORKING) || 24;
const OPEN = Math.max(400, 4 * WORKING);
const ADMISSION = {
  working: WORKING,
  workingOfClient: Math.max(1, Math.floor((5 / 6) * WORKING)),
  open: OPEN,
  openOfClient: OPEN / 2,
  workingMs: 1_000,
};
/** Seconds after which a refused request is worth sending again. */
const RETRY_AFTER = { busy: '1', broken: '2' };
const COOKIE = 'scabbard_workspace';

const report = (message: Report) => process.send?.(message);
const log = pino({ base: { pid: process.pid }, timestamp: pino.stdTimeFunctions.isoTime });

const entry = process.argv[2] ?? '';
const isAllowed = hostsAllowed(process.env.ALLOWED_HOSTS);
const proxies = Number(process.env.TRUST_PROXY ?? 0) || 0;
const counts = { requests: 0, errors: 0, refused: 0 };
const admission = new Admission(ADMISSION);
const shared = new SharedPages(COOKIE);
/** Answers that have not begun. */
const pending = new Map<ServerResponse, IncomingMessage>();

process.env.ASTRO_NODE_AUTOSTART = 'disabled';
process.env.SCABBARD_THREADS = join(dirname(entry), 'threads');
const { handler } = (await import(pathToFileURL(entry).href)) as {
  handler: (request: IncomingMessage, response: ServerResponse) => Promise<void>;
};

/** Files by which a browser learns of a new version. */
const FRESH: ReadonlySet<string> = new Set(['/serviceWorker.js', '/manifest.webmanifest']);
const client = join(dirname(entry), '..', 'client');
const files = existsSync(client)
  ? sirv(client, {
      brotli: true,
      gzip: true,
      etag: true,
      setHeaders: (response, path) => {
        response.setHeader('content-security-policy', FILE_POLICY);
        // what the build makes has its content in its name
        const lasting = path.startsWith('/assets/');
        response.setHeader(
          'cache-control',
          FRESH.has(path) ? 'no-cache' : lasting ? 'public, max-age=31536000, immutable' : 'public, max-age=3600',
        );
        response.setHeader('vary', 'accept-encoding');
      },
    })
  : (_: IncomingMessage, __: ServerResponse, next: () => void) => next();
/** Typed for Express, whose requests are Node's with more on them; the package itself needs no more than these. */
const compressed = compression({ threshold: 1024 }) as unknown as (
  request: IncomingMessage,
  response: ServerResponse,
  next: () => void,
) => void;

/** Writes one line a request when it is answered: no query, no body, no cookie. */
function logWhenDone(request: IncomingMessage, response: ServerResponse, id: string, path: string): void {
  const began = performance.now();
  pending.set(response, request);
  response.once('close', () => {
    pending.delete(response);
    const { statusCode: status } = response;
    counts.requests++;
    if (status >= 500) counts.errors++;
    const ms = Math.round(performance.now() - began);
    log[status >= 500 ? 'error' : 'info'](
      { request: id, method: request.method, path: pathForLog(path), status, ms },
      'request',
    );
  });
}

/** Astro's answer. It knows the client only by what is written here. */
const render: Render = (request, response) => {
  handler(request, response).catch((error: unknown) => {
    log.error({ error: String(error) }, 'an answer failed');
    if (!response.headersSent) refuse(request, response, 500, 'The server could not answer. Try again in a moment.');
    else response.destroy();
  });
};

function answer(request: IncomingMessage, response: ServerResponse, id: string): void {
  const { client: address, protocol } = clientOf(request, proxies);
  const leave = admission.enter(address);
  if (!leave) {
    counts.refused++;
    refuse(request, response, 503, 'The server is busy. Nothing was changed; try again in a moment.', {
      'retry-after': RETRY_AFTER.busy,
    });
    return;
  }
  response.once('close', leave);
  request.headers = {
    ...Object.fromEntries(Object.entries(request.headers).filter(([name]) => !name.startsWith('x-scabbard-'))),
    'x-scabbard-request': id,
    'x-scabbard-client': address,
    'x-scabbard-protocol': protocol,
  };
  if (shared.answer(request, response, render)) return;
  compressed(request, response, () => render(request, response));
}

/** Refuses a request whose body takes too long to arrive. */
function bound(request: IncomingMessage, response: ServerResponse, ms: number): void {
  const timer = setTimeout(() => {
    if (request.complete) return;
    if (!response.headersSent) refuse(request, response, 408, 'This took too long to arrive. Send it again.');
    request.destroy();
  }, ms);
  const stop = () => clearTimeout(timer);
  request.once('end', stop);
  response.once('close', stop);
}

function tellHealth(response: ServerResponse): void {
  response
    .writeHead(200, { 'content-type': 'application/json', 'cache-control': 'no-store' })
    .end(JSON.stringify({ alive: true, pid: process.pid, ...counts }));
}

const server = createServer(
  { connectionsCheckingInterval: CHECK_EVERY, keepAliveTimeout: KEEP_ALIVE },
  (request, response) => {
    const id = randomUUID().slice(0, 8);
    for (const [name, value] of Object.entries({ ...HEADERS, 'x-request-id': id })) response.setHeader(name, value);
    const address = readAddress(request.url ?? '');
    logWhenDone(request, response, id, address?.path ?? '(unreadable)');
    if (address) request.url = `${address.path}${address.query}`;
    if (!request.complete) bound(request, response, arrivalTime(request.method, address?.path));
    if (!METHODS.includes(request.method ?? ''))
      refuse(request, response, 405, 'This method is not known here.', { allow: METHODS.join(', ') });
    else if (!isAllowed(request.headers.host))
      refuse(request, response, 421, 'This server does not answer to that name.');
    else if (!address) refuse(request, response, 400, 'This address cannot be read.');
    else if (address.path === '/health') tellHealth(response);
    else files(request, response, () => answer(request, response, id));
  },
);
server.requestTimeout = ARRIVAL.longest;
server.headersTimeout = HEAD_TIMEOUT;

let isEnding = false;
function end(): void {
  if (isEnding) return;
  isEnding = true;
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  setTimeout(() => process.exit(0), GRACE).unref();
}
process.once('disconnect', () => process.exit(0));
process.once('SIGTERM', end);
// Ctrl-C reaches every process of the terminal: the command that started this one decides when it stops
process.on('SIGINT', () => undefined);
process.on('uncaughtException', (error) => {
  log.fatal({ error: `${error.name}: ${error.message}`, at: error.stack?.split('\n').slice(1, 8).join('\n') }, 'crash');
  for (const [response, request] of pending)
    if (!response.headersSent)
      refuse(request, response, 503, 'The server has to start again. Try again in a moment.', {
        'retry-after': RETRY_AFTER.broken,
      });
  setTimeout(() => process.exit(1), LAST_WORDS);
});

server.once('error', (error: NodeJS.ErrnoException) => {
  report({ failed: error.code ?? error.message });
  process.exitCode = 1;
  process.disconnect();
});
server.listen({ port: Number(process.env.PORT), host: process.env.HOST }, () => {
  report({ listening: true });
  setInterval(() => report({ alive: true }), ALIVE_EVERY_MS).unref();
});
