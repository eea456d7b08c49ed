// Runs the built server named on the command line, tells its parent when it listens, and ends with the command that started it, however that ends.
import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import compression from 'compression';
import { pino } from 'pino';
import sirv from 'sirv';
import { clientOf, FILE_POLICY, HEADERS, hostsAllowed, isImageService, isReadable, METHODS } from './front.mjs';

/** A request must have come in whole, and its head, by then, ms. */
const REQUEST_TIMEOUT = 30_000;
const HEAD_TIMEOUT = 15_000;
/** How often it is looked for connections that take longer, ms. */
const LOOK_EVERY = 5_000;
/** Requests under way get so long to end when the server is told to stop, ms. */
const GRACE = 2_000;

const entry = process.argv[2];
const log = pino({ base: null, timestamp: pino.stdTimeFunctions.isoTime });
const isAllowed = hostsAllowed(process.env.ALLOWED_HOSTS);
const proxies = Number(process.env.TRUST_PROXY ?? 0) || 0;
const counts = { requests: 0, errors: 0 };

process.env.ASTRO_NODE_AUTOSTART = 'disabled';
process.env.SCABBARD_READER = join(dirname(entry), 'reader.mjs');
const { handler } = await import(pathToFileURL(entry).href);

const client = join(dirname(entry), '..', 'client');
const files = existsSync(client)
  ? sirv(client, {
      brotli: true,
      gzip: true,
      etag: true,
      setHeaders: (response, path) => {
        response.setHeader('content-security-policy', FILE_POLICY);
        // what is made by the build has its content in its name
        const lasting = path.startsWith('/assets/');
        response.setHeader('cache-control', lasting ? 'public, max-age=31536000, immutable' : 'public, max-age=3600');
        response.setHeader('vary', 'accept-encoding');
      },
    })
  : (request, response, next) => next();
const compressed = compression({ threshold: 1024 });

function refuse(response, status, title, headers = {}) {
  response.writeHead(status, { 'content-type': 'application/problem+json', 'cache-control': 'no-store', ...headers });
  response.end(JSON.stringify({ type: 'about:blank', title, status, detail: `${title}.` }));
}

/** One line a request when it is answered: no query, no body, no cookie. */
function logWhenDone(request, response, id) {
  const began = performance.now();
  // the address of a shown plan or a calendar is its key, and no key stands in a log
  const path = request.url
    .split('?')[0]
    .slice(0, 200)
    .replace(/^(\/+(?:shown|calendar)\/).*/, '$1…');
  response.once('close', () => {
    const { statusCode: status } = response;
    counts.requests++;
    if (status >= 500) counts.errors++;
    const ms = Math.round(performance.now() - began);
    log[status >= 500 ? 'error' : 'info']({ request: id, method: request.method, path, status, ms }, 'request');
  });
}

/** Answers from the built application, which knows the client only by what is written here. */
function answer(request, response, id) {
  for (const name of Object.keys(request.headers)) if (name.startsWith('x-scabbard-')) delete request.headers[name];
  const { client: address, protocol } = clientOf(request, proxies);
  Object.assign(request.headers, {
    'x-scabbard-request': id,
    'x-scabbard-client': address,
    'x-scabbard-protocol': protocol,
  });
  compressed(request, response, () => void handler(request, response));
}

const server = createServer({ connectionsCheckingInterval: LOOK_EVERY }, (request, response) => {
  const id = randomUUID().slice(0, 8);
  for (const [name, value] of Object.entries({ ...HEADERS, 'x-request-id': id })) response.setHeader(name, value);
  logWhenDone(request, response, id);
  if (!METHODS.includes(request.method))
    refuse(response, 405, 'This method is not known here', { allow: METHODS.join(', ') });
  else if (!isAllowed(request.headers.host)) refuse(response, 421, 'This server does not go by that name');
  else if (!isReadable(request.url)) refuse(response, 400, 'This address cannot be read');
  else if (isImageService(request.url)) refuse(response, 404, 'There is nothing here');
  else if (request.url === '/health')
    response
      .writeHead(200, { 'content-type': 'application/json', 'cache-control': 'no-store' })
      .end(JSON.stringify({ alive: true, ...counts }));
  else files(request, response, () => answer(request, response, id));
});
server.requestTimeout = REQUEST_TIMEOUT;
server.headersTimeout = HEAD_TIMEOUT;

function end() {
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  setTimeout(() => process.exit(0), GRACE).unref();
}
process.once('disconnect', () => process.exit(0));
process.once('SIGTERM', end);

server.once('error', (error) => {
  process.send?.({ failed: error.code ?? error.message });
  process.exitCode = 1;
  process.disconnect?.();
});
server.listen({ port: Number(process.env.PORT), host: process.env.HOST, exclusive: true }, () =>
  process.send?.({ listening: true }),
);
