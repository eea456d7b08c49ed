// What comes before every page, file and endpoint: who is asking, by which name, and the headers of every answer.
import type { IncomingMessage, ServerResponse } from 'node:http';
import { isIP } from 'node:net';

/** The methods any page or endpoint knows. */
export const METHODS = ['GET', 'HEAD', 'OPTIONS', 'POST', 'PUT', 'PATCH', 'DELETE'];

/** On every answer: files and errors too. */
export const HEADERS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), geolocation=(), microphone=()',
};
/** For files, which the pages' own policy does not cover: workers keep to it. */
export const FILE_POLICY = "default-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'";

/** Times within which a request must have arrived whole, ms: a workspace file of 64 MB needs minutes on a slow line. */
export const ARRIVAL = { usual: 60_000, longest: 600_000 };
export const arrivalTime = (method?: string, path?: string): number =>
  method === 'POST' && path === '/api/workspace' ? ARRIVAL.longest : ARRIVAL.usual;

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]', '::1']);
export const isLoopback = (host: string): boolean => LOOPBACK.has(host.toLowerCase());

/** The name in a Host header, without its port. */
const nameOf = (host: string) => host.toLowerCase().replace(/:\d*$/, '');

/** Tells whether a Host header names this server: by a loopback name, or by one of a comma-separated list. */
export function hostsAllowed(list = ''): (host: string | undefined) => boolean {
  const allowed = new Set(
    list
      .split(',')
      .map((host) => host.trim().toLowerCase())
      .filter(Boolean),
  );
  return (host) => host !== undefined && (isLoopback(nameOf(host)) || allowed.has(nameOf(host)));
}

/**
 * The address and protocol of a client: of the connection, or, behind as many proxies as are trusted, what the outermost of them wrote down.
 */
export function clientOf(
  { headers, socket }: Pick<IncomingMessage, 'headers'> & { socket: { remoteAddress?: string | undefined } },
  proxies = 0,
): { client: string; protocol: 'http:' | 'https:' } {
  const outermost = (name: string) => {
    const values = String(headers[name] ?? '')
      .split(',')
      .map((value) => value.trim());
    return proxies > 0 ? (values.at(-proxies) ?? '') : '';
  };
  const forwarded = outermost('x-forwarded-for');
  return {
    client: isIP(forwarded) ? forwarded : (socket.remoteAddress ?? 'unknown'),
    protocol: outermost('x-forwarded-proto') === 'https' ? 'https:' : 'http:',
  };
}

/** Refuses a request in a sentence: as problem details, or as a page where a browser asks for one. */
export function refuse(
  { headers, url = '' }: IncomingMessage,
  response: ServerResponse,
  status: number,
  sentence: string,
  extra: Record<string, string> = {},
): void {
  const isPage = !url.startsWith('/api/') && (headers.accept ?? '').includes('text/html');
  response.writeHead(status, {
    'content-type': isPage ? 'text/html; charset=utf-8' : 'application/problem+json',
    'content-security-policy': FILE_POLICY,
    'cache-control': 'no-store',
    ...extra,
  });
  response.end(
    isPage
      ? `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">` +
          `<title>Scabbard</title><link rel="stylesheet" href="/plain.css"><main><h1>Scabbard</h1><p>${sentence}</p>` +
          `<p><a href="">Try again</a></p></main></html>`
      : JSON.stringify({ type: 'about:blank', title: sentence.replace(/[.;:,].*/s, ''), status, detail: sentence }),
  );
}
